/*
 * Comments on the script: on words of its text, or on its pages. The words are marked without touching the text (custom
 * highlights, one look a kind, so that overlapping ones stay apart); numbers stand in the margin beside them; all of them
 * are listed. One comment at a time is written in the strip under the script, which hides none of the words it is about.
 */
import { make } from '../make.js';

const smooth = () => (matchMedia('(prefers-reduced-motion: reduce)').matches ? 'auto' : 'smooth');

/** So many comments a student is to read first; the server knows it too. */
const MOST_STARRED = 3;

export class Notes {
    #notes = new Map();
    #undo = [];
    #open = null;
    #cursor = -1;
    #pages = null;

    /**
     * @param {{desk: HTMLElement, places: import('./places.js').Places, outbox: import('./outbox.js').Outbox, criteria: Record<string, string>, kinds: Record<string, string>, locked: boolean}} given words of each kind of comment, the usual one first
     */
    constructor({ desk, places, outbox, criteria, kinds, locked }) {
        Object.assign(this, { desk, places, outbox, criteria, kinds, locked });
        [this.usual] = Object.keys(kinds);
        this.strip = document.getElementById('strip');
        this.body = this.strip.querySelector('textarea');
        this.margin = document.getElementById('margin');
        this.list = document.getElementById('note-list');
        this.spoken = document.getElementById('spoken');
        this.reader = desk.querySelector('.script');
        this.#listen();
    }

    /** What the server knows; what is still waiting here stands above it. */
    take(notes) {
        for (const [id, note] of Object.entries(notes)) {
            if (!this.outbox.has(`note:${id}`)) {
                this.#notes.set(id, { ...note, known: this.#content(note) });
            }
        }
        for (const id of [...this.#notes.keys()]) {
            if (!notes[id] && !this.outbox.has(`note:${id}`) && id !== this.#open) {
                this.#notes.delete(id);
            }
        }
        this.draw();
    }

    /** A change that an earlier page left behind. */
    putBack(id, now) {
        const known = this.#notes.get(id)?.known ?? null;
        this.#notes.set(id, { ...now, place: this.#placeOf(now), known });
    }

    saved(id, now) {
        const note = this.#notes.get(id);
        if (note) {
            note.known = this.#content(now);
            if (now.gone && id !== this.#open) {
                this.#notes.delete(id);
            }
        }
    }

    clash(id, theirs) {
        const note = this.#notes.get(id);
        if (!note) {
            return;
        }
        this.open(id);
        const box = this.strip.querySelector('[data-clash]');
        box.hidden = false;
        box.querySelector('[data-theirs]').textContent = theirs.gone ? 'It was taken away.' : theirs.body;
        box.querySelector('[data-keep]').onclick = () => { box.hidden = true; note.known = this.#content(theirs); this.outbox.settle(`note:${id}`, note.known, this.#content(note)); };
        box.querySelector('[data-take]').onclick = () => {
            box.hidden = true;
            Object.assign(note, theirs, { place: this.#placeOf(theirs), known: this.#content(theirs) });
            this.outbox.settle(`note:${id}`, note.known, note.known);
            this.#show();
            this.draw();
        };
        box.querySelector('[data-both]').onclick = () => {
            box.hidden = true;
            note.body = theirs.gone ? note.body : `${theirs.body}\n\n${note.body}`;
            note.known = this.#content(theirs);
            this.outbox.settle(`note:${id}`, note.known, this.#content(note));
            this.#show();
            this.draw();
        };
    }

    refused(id, why) {
        if (id === this.#open) {
            this.strip.querySelector('[data-why]').textContent = why;
        }
    }

    onPages(pages) {
        this.#pages = pages;
    }

    ordered() {
        const place = (note) => (note.anchor.page ? [1, note.anchor.file, note.anchor.page, note.anchor.points[0][1]] : (note.place ? [0, note.place[0], note.place[1], 0] : [2, 0, 0, 0]));
        return [...this.#notes].filter(([, note]) => !note.gone).sort(([, a], [, b]) => {
            const [one, other] = [place(a), place(b)];
            for (let n = 0; n < 4; n++) {
                if (one[n] !== other[n]) {
                    return one[n] - other[n];
                }
            }
            return 0;
        });
    }

    numbers() {
        return new Map(this.ordered().map(([id], n) => [id, n + 1]));
    }

    onPage(file, page) {
        const numbers = this.numbers();
        return this.ordered().filter(([, note]) => note.anchor.file === file && note.anchor.page === page).map(([id, note]) => ({ id, note, number: numbers.get(id), isOpen: id === this.#open }));
    }

    /** Begins a comment on the selected words, or on the sentence the reader stands on. */
    begin(anchor = null) {
        if (this.locked) {
            return;
        }
        const place = anchor ? null : this.places.selected() ?? this.cursor();
        if (!anchor && !place) {
            this.say('Select words in the script first, or step to a sentence, then comment on it.');
            return;
        }
        const id = crypto.randomUUID();
        this.#notes.set(id, { body: '', kind: this.usual, criterion: null, anchor: anchor ?? this.places.anchor(place), place, gone: false, known: null });
        getSelection()?.removeAllRanges();
        this.open(id);
        this.body.focus();
    }

    open(id, focus = false) {
        this.#leave();
        this.#open = id;
        this.strip.hidden = false;
        this.#show();
        this.draw();
        this.reveal(id);
        if (focus) {
            this.body.focus();
        }
    }

    close() {
        const id = this.#open;
        this.#leave();
        this.#open = null;
        this.strip.hidden = true;
        this.draw();
        (this.margin.querySelector(`[data-note="${id}"]`) ?? this.reader).focus({ preventScroll: true });
    }

    /** A comment that was begun and left without a word is not kept. */
    #leave() {
        const note = this.#open && this.#notes.get(this.#open);
        if (note && note.known === null && note.body.trim() === '' && !this.outbox.has(`note:${this.#open}`)) {
            this.#notes.delete(this.#open);
        }
    }

    reveal(id) {
        const note = this.#notes.get(id);
        if (!note) {
            return;
        }
        if (note.anchor.page) {
            this.#pages?.goTo(note.anchor.file, note.anchor.page, note.anchor.points[0][1]);
            return;
        }
        const range = note.place && this.places.range(...note.place);
        if (range) {
            this.#pages?.leave();
            this.#scrollTo(range.getBoundingClientRect());
        }
    }

    #scrollTo(box) {
        const pane = this.reader.getBoundingClientRect();
        const bottom = pane.bottom - (this.strip.hidden ? 0 : this.strip.offsetHeight);
        if (box.top < pane.top + 60 || box.bottom > bottom - 20) {
            this.reader.scrollBy({ top: box.top - pane.top - (bottom - pane.top) / 3, behavior: smooth() });
        }
    }

    step(by, criterion = undefined) {
        const all = this.ordered().filter(([, note]) => criterion === undefined || note.criterion === criterion);
        if (all.length === 0) {
            this.say(criterion === undefined ? 'There is no comment yet.' : 'No comment is linked to this criterion.');
            return;
        }
        const at = all.findIndex(([id]) => id === this.#open);
        this.open(all[at === -1 ? (by > 0 ? 0 : all.length - 1) : (at + by + all.length) % all.length][0]);
    }

    /** Moves the reader from sentence to sentence. */
    read(by, extend = false) {
        const all = this.places.sentences();
        if (all.length === 0) {
            return;
        }
        this.#pages?.leave();
        const now = this.cursor();
        if (extend && now) {
            const last = all.findIndex(([, end]) => end >= now[1]);
            const next = all[Math.max(this.#cursor, Math.min(all.length - 1, last + by))];
            this.range = [now[0], next[1]];
        } else {
            const visible = () => {
                const top = this.reader.getBoundingClientRect().top + 50;
                return all.findIndex((place) => this.places.range(...place).getBoundingClientRect().bottom > top);
            };
            this.#cursor = Math.max(0, Math.min(all.length - 1, this.#cursor === -1 ? visible() : this.#cursor + by));
            this.range = [...all[this.#cursor]];
        }
        this.#spot();
    }

    /** Makes what the reader stands on shorter or longer by a word, at either end. */
    narrow(end, by) {
        const now = this.cursor();
        if (!now) {
            return;
        }
        const next = end === 'start' ? [this.places.wordStep(now[0], by), now[1]] : [now[0], this.places.wordStep(now[1], by)];
        this.range = this.places.trimmed(...next) ?? now;
        this.#spot();
    }

    cursor() {
        return this.range ?? null;
    }

    #spot() {
        const range = this.places.range(...this.range);
        this.#highlight('reading', [range]);
        this.#scrollTo(range.getBoundingClientRect());
        this.spoken.textContent = range.toString();
    }

    remove(id = this.#open) {
        const note = id && this.#notes.get(id);
        if (!note || this.locked) {
            return;
        }
        this.#remember(id);
        note.gone = true;
        this.#put(id);
        if (id === this.#open) {
            this.#open = null;
            this.strip.hidden = true;
        }
        this.draw();
        this.say('Taken away. Undo brings it back.');
        this.reader.focus({ preventScroll: true });
    }

    undo() {
        const last = this.#undo.pop();
        if (!last) {
            this.say('There is nothing to undo.');
            return;
        }
        const [id, before] = last;
        const note = this.#notes.get(id) ?? { known: { ...before, gone: true } };
        this.#notes.set(id, Object.assign(note, before, { place: this.#placeOf(before) }));
        this.#put(id);
        this.open(id);
        this.say('Undone.');
    }

    /** Moves the open comment to the words that are selected. */
    moveHere(anchor = null) {
        const note = this.#open && this.#notes.get(this.#open);
        const place = anchor ? null : this.places.selected() ?? this.cursor();
        if (!note || (!place && !anchor)) {
            this.say('Select the words it should stand at first.');
            return;
        }
        this.#remember(this.#open);
        note.anchor = anchor ?? this.places.anchor(place);
        note.place = place;
        this.#put(this.#open);
        this.#show();
        this.draw();
        this.say('Moved.');
    }

    /** Words of the comment bank go into the open comment, or begin one on what is selected. */
    insert(entry) {
        if (!this.#open) {
            this.begin();
        }
        const note = this.#open && this.#notes.get(this.#open);
        if (!note || this.locked) {
            return;
        }
        note.body = note.body.trim() === '' ? entry.text : `${note.body.trimEnd()}\n${entry.text}`;
        note.kind = note.kind === this.usual ? entry.kind : note.kind;
        note.criterion ??= Object.keys(this.criteria).find((id) => this.criteria[id].toLowerCase() === entry.criterion.toLowerCase()) ?? null;
        note.bank = entry.id;
        this.#put(this.#open);
        this.#show();
        this.draw();
        this.body.focus();
    }

    current() {
        return this.#open && { id: this.#open, ...this.#notes.get(this.#open) };
    }

    say(text) {
        this.spoken.textContent = '';
        this.spoken.textContent = text;
        const line = document.getElementById('hint');
        line.textContent = text;
        clearTimeout(this.hintTimer);
        this.hintTimer = setTimeout(() => { line.textContent = ''; }, 6000);
    }

    #remember(id) {
        this.#undo.push([id, this.#content(this.#notes.get(id))]);
    }

    #content(note) {
        return { body: note.body, kind: note.kind, criterion: note.criterion ?? null, anchor: note.anchor, starred: note.starred === true, gone: note.gone === true, ...(note.bank ? { bank: note.bank } : {}) };
    }

    #placeOf(note) {
        const { anchor } = note;
        if (anchor.page) {
            return null;
        }
        const here = this.places.points.slice(anchor.start, anchor.end).join('');
        return here === anchor.exact ? [anchor.start, anchor.end] : note.place ?? null;
    }

    #put(id) {
        const note = this.#notes.get(id);
        this.strip.querySelector('[data-why]').textContent = '';
        this.outbox.put(`note:${id}`, note.known, this.#content(note));
    }

    #show() {
        const note = this.#notes.get(this.#open);
        if (!note) {
            return;
        }
        const number = this.numbers().get(this.#open);
        const where = note.anchor.page ? `page ${note.anchor.page}` : `“${note.anchor.exact.replace(/\s+/g, ' ').slice(0, 90)}${note.anchor.exact.length > 90 ? '…' : ''}”`;
        this.strip.querySelector('[data-title]').textContent = `Comment ${number}`;
        this.strip.querySelector('[data-quote]').textContent = note.anchor.page || note.place ? where : `${where}: these words are no longer in the script`;
        if (this.body.value !== note.body) {
            this.body.value = note.body;
        }
        this.strip.querySelectorAll('[name=kind]').forEach((radio) => { radio.checked = radio.value === note.kind; });
        this.strip.querySelector('[name=criterion]').value = note.criterion ?? '';
        this.strip.querySelector('[name=starred]').checked = note.starred === true;
        this.strip.querySelector('[data-why]').textContent = '';
        this.strip.querySelector('[data-clash]').hidden = true;
    }

    #listen() {
        const edited = () => {
            const note = this.#open && this.#notes.get(this.#open);
            if (!note) {
                return;
            }
            const looks = `${note.kind} ${note.criterion} ${note.starred}`;
            note.body = this.body.value;
            note.kind = this.strip.querySelector('[name=kind]:checked')?.value ?? this.usual;
            note.criterion = this.strip.querySelector('[name=criterion]').value || null;
            const star = this.strip.querySelector('[name=starred]');
            if (star.checked && !note.starred && this.ordered().filter(([, one]) => one.starred).length >= MOST_STARRED) {
                star.checked = false;
                this.say(`${MOST_STARRED} comments are marked to start with already: take the tick from one of them first.`);
            }
            note.starred = star.checked;
            this.#put(this.#open);
            const line = this.list.querySelector(`[data-note="${this.#open}"] .words`);
            if (line && looks === `${note.kind} ${note.criterion} ${note.starred}`) {
                line.textContent = note.body; // only its words changed: nothing moves
            } else {
                this.draw();
            }
        };
        this.strip.addEventListener('input', edited);
        this.strip.addEventListener('keydown', (event) => {
            if (event.key === 'Escape' && !document.querySelector('#bank:not([hidden])')) {
                event.preventDefault();
                this.close();
            }
        });
        this.strip.querySelector('[data-close]').addEventListener('click', () => this.close());
        this.strip.querySelector('[data-remove]').addEventListener('click', () => this.remove());
        const move = this.strip.querySelector('[data-here]');
        move.addEventListener('pointerdown', (event) => event.preventDefault()); // the selection stays
        move.addEventListener('click', () => this.moveHere());
        const { article } = this.places;
        article.addEventListener('click', (event) => {
            if (!getSelection()?.isCollapsed) {
                return;
            }
            const caret = document.caretPositionFromPoint?.(event.clientX, event.clientY) ?? null;
            const legacy = caret ? null : document.caretRangeFromPoint?.(event.clientX, event.clientY);
            const at = caret ? this.places.position(caret.offsetNode, caret.offset) : (legacy ? this.places.position(legacy.startContainer, legacy.startOffset) : null);
            const here = at === null ? [] : this.ordered().filter(([, note]) => note.place && note.place[0] <= at && at <= note.place[1]);
            if (here.length > 0) { // where several overlap, each further click opens the next
                this.open(here[(here.findIndex(([id]) => id === this.#open) + 1) % here.length][0]);
            }
        });
        const offer = document.getElementById('offer');
        document.addEventListener('selectionchange', () => {
            const place = this.locked ? null : this.places.selected();
            offer.hidden = !place;
            if (place) {
                const boxes = this.places.range(...place).getClientRects();
                const last = boxes[boxes.length - 1];
                offer.setAttribute('data-top', '');
                offer.style.setProperty('top', `${last.top - this.margin.getBoundingClientRect().top}px`);
            }
        });
        offer.addEventListener('pointerdown', (event) => event.preventDefault());
        offer.addEventListener('click', () => this.begin());
        new ResizeObserver(() => this.#margin()).observe(article);
        document.fonts?.ready.then(() => this.#margin());
        this.desk.addEventListener('click', (event) => {
            const target = event.target.closest('[data-note]');
            if (target) {
                this.open(target.dataset.note, target.closest('#note-list') !== null);
            }
            const stepper = event.target.closest('[data-steps]');
            if (stepper) {
                this.step(1, stepper.dataset.steps);
            }
        });
    }

    #highlight(name, ranges) {
        if (globalThis.CSS?.highlights) {
            CSS.highlights.set(name, new Highlight(...ranges.filter(Boolean)));
        }
    }

    draw() {
        const all = this.ordered();
        for (const kind of Object.keys(this.kinds)) {
            this.#highlight(`note-${kind}`, all.filter(([id, note]) => note.kind === kind && note.place && id !== this.#open).map(([, note]) => this.places.range(...note.place)));
        }
        const now = this.#open && this.#notes.get(this.#open);
        this.#highlight('note-now', now?.place ? [this.places.range(...now.place)] : []);
        this.#margin();
        this.#list(all);
        for (const button of this.desk.querySelectorAll('[data-steps]')) {
            const count = all.filter(([, note]) => note.criterion === button.dataset.steps).length;
            button.hidden = count === 0;
            button.textContent = count === 1 ? '1 comment' : `${count} comments`;
        }
        this.#pages?.drawNotes();
    }

    #margin() {
        const top = this.margin.getBoundingClientRect().top;
        let free = -Infinity;
        const kept = document.activeElement?.closest?.('#margin [data-note]')?.dataset.note;
        const numbers = this.numbers();
        const marks = this.ordered().filter(([, note]) => note.place).map(([id, note], n) => {
            const box = this.places.range(...note.place)?.getClientRects()[0];
            const at = Math.max(free, (box?.top ?? 0) - top);
            free = at + 23; // the next number stands below, never on top
            const button = make('button', { type: 'button', className: `margin-mark ${note.kind}`, textContent: String(numbers.get(id)) });
            button.dataset.note = id;
            button.setAttribute('aria-label', `Comment ${n + 1}, ${this.kinds[note.kind]}, on “${note.anchor.exact.slice(0, 60)}”`);
            if (id === this.#open) {
                button.setAttribute('aria-current', 'true');
            }
            button.style.setProperty('top', `${at}px`);
            return button;
        });
        this.margin.querySelectorAll('[data-note]').forEach((old) => old.remove());
        this.margin.append(...marks);
        if (kept) {
            this.margin.querySelector(`[data-note="${kept}"]`)?.focus({ preventScroll: true });
        }
    }

    #list(all) {
        document.getElementById('note-count').textContent = all.length === 0 ? 'none yet' : `${all.length}${all.some(([, note]) => note.criterion) ? `, ${all.filter(([, note]) => note.criterion).length} linked to a criterion` : ''}`;
        const kept = document.activeElement?.closest?.('#note-list [data-note]')?.dataset.note;
        this.list.replaceChildren(...all.map(([id, note], n) => {
            const button = make('button', { type: 'button', className: 'note-line' },
                make('b', { textContent: `${n + 1} ` }), make('span', { className: 'kind', textContent: this.kinds[note.kind] }),
                make('span', { className: 'quiet', textContent: `${note.starred ? ' · start here' : ''}${note.criterion ? ` · ${this.criteria[note.criterion] ?? ''}` : ''}${note.anchor.page ? ` · page ${note.anchor.page}` : (note.place ? '' : ' · its words are no longer in the script')}` }),
                make('span', { className: 'words', dir: 'auto', textContent: note.body || '(no words yet)' }));
            button.dataset.note = id;
            const line = make('li', { className: note.kind }, button);
            if (id === this.#open) {
                line.classList.add('now');
            }
            return line;
        }));
        if (kept) {
            this.list.querySelector(`[data-note="${kept}"]`)?.focus({ preventScroll: true });
        }
    }
}
