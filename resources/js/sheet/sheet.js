/*
 * The rubric sheet. Each field that changes is sent with what it held before, so that two people who write in
 * different places both keep their words; what could not be sent stays and is sent again. Shape changes come back as
 * the whole sheet: what was typed meanwhile is put back into it, and the focus stays where the person was.
 */
import { pickUp, putDown } from './carry.js';
import { fieldNamed, isText, placeOf, savedValueOf, setSaved, sheet, valueOf } from './cells.js';
import { Changes } from './changes.js';
import { settleClashes } from './clashes.js';
import { letDrag } from './drag.js';
import { actOnKey } from './keys.js';
import { guardLeaving } from './leaving.js';
import { hearNews } from './news.js';
import { takeTables } from './paste.js';

const PAUSE = 1200;
const CHOSEN = 120;
const AGAIN = 4000;
const NEWS = 6000;

const saved = () => document.getElementById('saved');
const say = (text, isProblem = false) => {
    saved().textContent = text;
    saved().classList.toggle('signal', isProblem);
};
const saySaved = () => say(saved().dataset.saved);
const isBusy = () => sheet().classList.contains('htmx-request');

class Sending {
    changes = new Changes();
    asked = []; // shape changes still to ask for, one a request
    did = null; // the one on its way
    #pause = null;
    #isFresh = true;

    constructor(htmx) {
        this.htmx = htmx;
        this.#listen();
        setInterval(() => { if (!this.#isFresh && !isBusy()) { this.save(); } }, AGAIN);
        window.addEventListener('online', () => this.save());
    }

    save() {
        clearTimeout(this.#pause);
        if (this.changes.unsent > 0 || this.asked.length > 0) {
            this.htmx.trigger(sheet(), 'save');
        }
    }

    ask(what) {
        this.asked.push(what);
        this.save();
    }

    /** The sheet drawn again as it is. */
    drawAgain() {
        this.ask(this.#again());
    }

    #again() {
        return `cells:${sheet().elements.cells.value}`;
    }

    #soon(milliseconds) {
        clearTimeout(this.#pause);
        this.#pause = setTimeout(() => this.save(), milliseconds);
    }

    #touch(field) {
        if (!field.name || field.form?.id !== 'sheet' || !this.changes.touch(field.name, savedValueOf(field))) {
            return false;
        }
        say('Saving …');
        return true;
    }

    #listen() {
        document.addEventListener('input', ({ target }) => {
            if (isText(target) && this.#touch(target)) {
                this.#soon(PAUSE);
            }
        });
        document.addEventListener('change', ({ target }) => {
            if (target.form?.id === 'sheet' && this.#touch(target)) {
                if (target.dataset.reshapes !== undefined) {
                    this.asked.push(this.#again());
                }
                this.#soon(CHOSEN);
            }
        });
        // A sheet on its way takes the place of the one that is here, and of all that waits with it: what is pressed
        // meanwhile waits here.
        document.addEventListener('submit', (event) => {
            if (event.target.id === 'sheet' && isBusy()) {
                event.preventDefault();
                event.stopImmediatePropagation();
                this.asked.push(event.submitter?.name === 'do' ? event.submitter.value : this.#again());
            }
        }, true);
        document.addEventListener('htmx:configRequest', (event) => { if (event.target.id === 'sheet') { this.#fill(event); } });
        document.addEventListener('htmx:afterRequest', (event) => { if (event.target.id === 'sheet') { this.#answered(event.detail); } });
    }

    /** What a request says: the changes, and one change of shape. */
    #fill(event) {
        const form = event.detail.formData;
        const cells = sheet().elements.cells.value;
        // A button keeps its value in the form while it has the focus: it counts only when it was pressed.
        this.did = (event.detail.triggeringEvent?.type === 'submit' ? form.get('do') : this.asked.shift()) ?? null;
        const changes = this.changes.send((name) => (fieldNamed(name) ? valueOf(fieldNamed(name)) : null));
        clearTimeout(this.#pause);
        [...new Set(form.keys())].forEach((key) => form.delete(key));
        if (changes.length === 0 && !this.did) {
            event.preventDefault();
            if (saved().textContent === 'Saving …') {
                saySaved();
            }
            return;
        }
        form.set('cells', cells);
        form.set('seen', document.getElementById('sheet-side').dataset.version);
        form.set('changes', JSON.stringify(changes.map(({ name, was, to }) => ({ place: placeOf(name), was, to }))));
        if (this.did) {
            form.set('do', this.did);
        }
    }

    #answered({ xhr, successful }) {
        const isClash = xhr.status === 409;
        for (const [name, to] of this.changes.answered(successful || isClash)) {
            const field = fieldNamed(name);
            if (field) {
                setSaved(field, to);
            }
        }
        if (!successful && !isClash) {
            say('Not saved yet; still in the page', true);
        }
        if (successful) {
            document.getElementById('messages').replaceChildren();
        }
        this.#isFresh = successful;
        if (!isClash) {
            this.changes.forgetSent();
        }
        if (this.asked.length > 0) {
            setTimeout(() => this.save());
        }
    }
}

/** What the server draws anew takes over what was typed, and which parts were folded out. */
function keepPlace(sending, news) {
    const { changes } = sending;
    const open = new Set();
    let carried = null;
    const settle = () => {
        sheet()?.querySelectorAll('.tools button, .row-tools button').forEach((button) => { button.tabIndex = -1; });
        sheet()?.querySelectorAll('details[data-keeps]').forEach((details) => { details.open = open.has(details.dataset.keeps); });
        if (changes.unsent > 0) {
            say('Saving …');
        }
        if (document.getElementById('sheet-side')?.dataset.version === '0') {
            news(); // someone else saved between what this page knew and what it sent
        }
    };
    document.addEventListener('toggle', (event) => {
        const name = event.target.dataset?.keeps;
        if (name) {
            open[event.target.open ? 'add' : 'delete'](name);
        }
    }, true);
    document.addEventListener('htmx:beforeSwap', (event) => {
        if (event.detail.xhr.status === 409 && event.target.id === 'sheet-side') {
            event.detail.shouldSwap = true;
        }
        if (event.detail.target?.id === 'sheet') {
            carried = pickUp(changes);
        }
    });
    document.addEventListener('htmx:afterSettle', () => {
        settle();
        if (carried) {
            putDown(carried, changes, sending.did);
            carried = null;
            sending.did = null;
            // htmx tells the one that was replaced that its request is over, and nobody hears it.
            if (sending.asked.length > 0 && !isBusy()) {
                sending.save();
            }
        }
    });
    settle();
}

export function startSheet(htmx) {
    const sending = new Sending(htmx);
    const { changes } = sending;
    const save = () => sending.save();
    const ask = (what) => sending.ask(what);
    const news = () => hearNews({ changes, isBusy, drawAgain: () => sending.drawAgain() });
    settleClashes({ changes, say, saySaved, save });
    guardLeaving({ changes, isBusy, save });
    keepPlace(sending, news);
    setInterval(news, NEWS);
    news();
    document.addEventListener('keydown', (event) => actOnKey(event, ask, (field) => changes.has(field.name)));
    letDrag(ask);
    takeTables(htmx);
}
