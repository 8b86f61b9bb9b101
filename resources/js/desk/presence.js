/*
 * Where the reader is, and how long they have been at work since the page last spoke: a minute without a key, a click or a
 * movement is a pause. It goes with the next request of the outbox and causes none.
 */
import { stable } from './outbox.js';

const BUSY = 60_000;
const WORTH_SAYING = 5;

/** Adds up time at work. @param {() => number} clock milliseconds */
export class WorkClock {
    #active = 0;
    #last = null;

    constructor(clock) {
        this.clock = clock;
    }

    /** Someone is there. */
    stir(isHidden = false) {
        const now = this.clock();
        if (this.#last !== null && now - this.#last < BUSY && !isHidden) {
            this.#active += now - this.#last;
        }
        this.#last = now;
    }

    hasStirred() {
        return this.#last !== null;
    }

    /** Whole seconds since they were last taken; null while it is too few to say. */
    take() {
        const seconds = Math.floor(this.#active / 1000);
        if (seconds < WORTH_SAYING) {
            return null;
        }
        this.#active -= seconds * 1000;
        return seconds;
    }
}

export class Presence {
    #said = '';

    /** @param {{isOpen: () => boolean, current: () => number}} pages */
    constructor(reader, pages) {
        this.reader = reader;
        this.pages = pages;
        this.work = new WorkClock(() => performance.now());
        for (const event of ['pointermove', 'keydown', 'wheel', 'touchmove', 'scroll']) {
            document.addEventListener(event, () => this.work.stir(document.hidden), { passive: true, capture: true });
        }
    }

    place() {
        const form = document.activeElement?.closest?.('form[data-part]');
        return {
            y: Math.round(1e6 * this.reader.scrollTop / Math.max(1, this.reader.scrollHeight)),
            ...(form ? { criterion: form.dataset.part } : {}), ...(this.pages.isOpen() ? { view: 'pages', page: this.pages.current() } : {}),
        };
    }

    /** What has changed since it was last said. */
    news() {
        const seconds = this.work.take();
        const now = stable(this.place());
        const hasMoved = now !== this.#said && this.work.hasStirred();
        if (hasMoved) {
            this.#said = now;
        }
        return { ...(seconds === null ? {} : { active: seconds }), ...(hasMoved ? { place: JSON.parse(now) } : {}) };
    }

    /** Back to where its marker left off. */
    goBack(place, say) {
        if (place?.view === 'pages') {
            this.pages.enter(place.page);
        } else if (place?.y > 0) {
            this.reader.scrollTop = place.y / 1e6 * this.reader.scrollHeight;
            if (this.reader.scrollTop > 80) {
                say('Where you left off.');
            }
        }
        this.#said = stable(this.place());
    }
}
