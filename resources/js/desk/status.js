/* The line that says whether all is saved, and the notice above the rubric when it is not. */
import { make } from '../make.js';

const changes = (count) => (count === 1 ? '1 change' : `${count} changes`);

/**
 * What is said of an outbox.
 *
 * @param {{state: string, count: number, savedAt: string|null, isDone: boolean, message?: string}} outbox
 * @returns {{line?: string, isProblem?: boolean, trouble?: string, signIn?: boolean}} what is left out stays as it is
 */
export function said({ state, count, savedAt, isDone, message }) {
    switch (state) {
        case 'saved':
            return { ...(isDone ? { line: '' } : savedAt ? { line: `Saved ${savedAt}` } : {}), isProblem: false, trouble: '' };
        case 'saving':
            return { line: 'Saving …' };
        case 'held':
            return { line: `Not saved: ${changes(count)} waiting for you`, isProblem: true };
        case 'signed out':
            return {
                line: 'Not saved yet; kept in this browser', isProblem: true, signIn: true,
                trouble: `You are no longer signed in. ${count === 0 ? 'What you write now' : changes(count)} ${count < 2 ? 'is' : 'are'} kept in this browser and sent as soon as you are.`,
            };
        case 'closed':
            return { line: 'Not saved; kept in this browser', isProblem: true, trouble: message ?? 'This mark can no longer be changed. What you wrote is kept in this browser.' };
        default:
            return count === 0 ? {} : {
                line: 'Not saved yet; kept in this browser', isProblem: true,
                trouble: `The server cannot be reached. ${changes(count)} ${count === 1 ? 'is' : 'are'} kept in this browser and sent when the connection is back. Go on marking.`,
            };
    }
}

export class Status {
    constructor() {
        this.box = document.getElementById('trouble');
    }

    show(line, isProblem = false) {
        const saved = document.getElementById('saved');
        saved.textContent = line;
        saved.classList.toggle('signal', isProblem);
    }

    /** @param {boolean} hasKept whether something waits that could be taken away as a file */
    trouble(text, hasKept = false, signIn = false) {
        this.box.hidden = text === '';
        this.box.querySelector('[data-text]').textContent = text;
        this.box.querySelector('[data-sign-in]').hidden = !signIn;
        this.box.querySelector('[data-take-away]').hidden = !hasKept;
    }

    tell(outbox, savedAt, isDone, message) {
        const count = outbox.waiting().length;
        const { line, isProblem, trouble, signIn } = said({ state: outbox.state, count, savedAt, isDone, message });
        if (line !== undefined || isProblem === false) {
            this.show(line ?? document.getElementById('saved').textContent, isProblem === true);
        }
        if (trouble !== undefined) {
            this.trouble(trouble, count > 0, signIn === true);
        }
    }

    /** What waits, as a file, for whoever does not trust the browser to keep it. */
    offersFile(outbox, code) {
        this.box.querySelector('[data-take-away]').addEventListener('click', () => {
            const href = URL.createObjectURL(new Blob([outbox.asText()], { type: 'text/plain' }));
            make('a', { href, download: `${code}-not-saved.txt` }).click();
        });
    }
}
