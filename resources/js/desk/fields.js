/*
 * The fields of the desk: what a criterion's form says, what the texts say, and what the server is known to have of each.
 * Keys are those of the outbox: mark:CRITERION, words:CRITERION, and those of TEXTS.
 */
import { stable } from './outbox.js';

/** Texts that belong to no criterion: their keys are the ids of their fields. */
export const TEXTS = ['general', 'private', 'reason'];

/** A field's name as its form has it: "partly[s3]" is ["partly", "s3"]. */
export function partsOf(name) {
    const [, field, part] = name.match(/^(\w+)(?:\[([^\]]+)\])?$/) ?? [];
    return [field, part];
}

/** What a criterion's fields say, without its comment. @param entries of a form, as FormData gives them */
export function formOf(entries) {
    const now = {};
    for (const [name, value] of entries) {
        const [field, part] = partsOf(name);
        if (!field || name.startsWith('_') || name === 'comment' || value === '') {
            continue;
        }
        if (part) {
            (now[field] ??= {})[part] = value;
        } else {
            now[field] = value;
        }
    }
    return now;
}

function fill(form, values) {
    for (const field of form.querySelectorAll('input[name]:not([type=hidden])')) {
        const [name, part] = partsOf(field.name);
        const value = part ? values[name]?.[part] : values[name];
        if (field.type === 'radio') {
            field.checked = field.value === value;
        } else if (field.type === 'checkbox') {
            field.checked = value !== undefined;
        } else {
            field.value = value ?? '';
        }
    }
    const own = form.querySelector('details.own');
    if (own && values.own_points !== undefined) {
        own.open = true;
    }
}

export class Fields {
    #known = new Map();

    constructor(desk) {
        this.desk = desk;
        this.forms = [...desk.querySelectorAll('form[data-part]')];
    }

    form(part) {
        return this.forms.find((form) => form.dataset.part === part);
    }

    /** The text field of a key; undefined for marks. */
    text(key) {
        const [what, about] = key.split(':');
        if (what === 'words') {
            return this.form(about)?.querySelector('textarea');
        }
        return TEXTS.includes(what) ? this.desk.querySelector(`#${what}`) ?? undefined : undefined;
    }

    /** What a key's field says now. */
    now(key) {
        return key.startsWith('mark:') ? formOf(new FormData(this.form(key.slice(5)))) : this.text(key).value;
    }

    /** Puts a value into a key's field; nothing where the page has none. */
    put(key, value) {
        const form = key.startsWith('mark:') ? this.form(key.slice(5)) : null;
        if (form) {
            fill(form, value);
            form.dispatchEvent(new Event('redescribe', { bubbles: true }));
        } else if (this.text(key)) {
            this.text(key).value = value;
        }
    }

    /** What the server is known to have. */
    known(key) {
        return this.#known.get(key) ?? (key.startsWith('mark:') ? {} : '');
    }

    learn(key, value) {
        this.#known.set(key, value);
    }

    /** The first the page is told: its fields hold it already. */
    begin(state) {
        for (const [id, values] of Object.entries(state.marks)) {
            this.learn(`mark:${id}`, values);
            this.learn(`words:${id}`, state.words[id]);
        }
        TEXTS.forEach((key) => this.learn(key, state[key]));
    }

    /** What stands on the server goes into fields nobody is changing here. @param {(key: string) => boolean} isChanging */
    take(state, isChanging) {
        const values = [
            ...Object.entries(state.marks).map(([id, value]) => [`mark:${id}`, value]), ...Object.entries(state.words).map(([id, value]) => [`words:${id}`, value]),
            ...TEXTS.map((key) => [key, state[key]]),
        ];
        for (const [key, value] of values) {
            if (!isChanging(key) && stable(this.known(key)) !== stable(value)) {
                this.learn(key, value);
                this.put(key, value);
            }
        }
    }

    /** Tells of each change as it is made. @param {(key: string, was: any, now: any) => void} changed */
    listen(changed) {
        this.desk.addEventListener('input', ({ target }) => {
            const form = target.closest('form[data-part]');
            if (!form) {
                return;
            }
            const { part } = form.dataset;
            if (target.matches('textarea')) {
                const key = TEXTS.includes(part) ? part : `words:${part}`;
                changed(key, this.known(key), target.value);
            } else if (target.name) {
                this.#keepApart(form, target);
                changed(`mark:${part}`, this.known(`mark:${part}`), this.now(`mark:${part}`));
            }
        });
    }

    /** A level chosen on the rail takes the place of points set by hand, and the other way round. */
    #keepApart(form, { name, value }) {
        if (name === 'stop') {
            form.querySelectorAll('[name=own_points], [name=own_reason]').forEach((field) => { field.value = ''; });
        } else if (name === 'own_points' && value !== '') {
            form.querySelectorAll('[name=stop]').forEach((field) => { field.checked = false; });
            form.dispatchEvent(new Event('redescribe', { bubbles: true }));
        }
    }
}
