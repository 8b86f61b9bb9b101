/*
 * Posts that were begun, kept in this browser until they are posted: a connection that breaks, a page that reloads or a
 * phone that sleeps loses none. Each carries the id it is sent with, so that what arrived though its answer was lost is
 * not posted twice. Another person who signs in here sees nothing of them.
 */
const PREFIX = 'post:';

/** @param {Storage} storage */
export class Drafts {
    constructor(storage, newId) {
        this.storage = storage;
        this.newId = newId;
    }

    /** @returns {{ text: string, answers: string, once: string }|null} */
    get(key) {
        try {
            const kept = JSON.parse(this.storage.getItem(PREFIX + key) ?? 'null');
            return typeof kept?.text === 'string' && typeof kept.once === 'string' ? kept : null;
        } catch {
            return null;
        }
    }

    /** Keeps a text, or nothing when there is none; the id stays the same while it is one draft. */
    keep(key, text, answers = '') {
        if (text.trim() === '') {
            this.drop(key);
            return null;
        }
        const once = this.get(key)?.once ?? this.newId();
        try {
            this.storage.setItem(PREFIX + key, JSON.stringify({ text, answers, once }));
        } catch {
            // A full or closed storage: the words are in the field all the same.
        }
        return once;
    }

    drop(key) {
        try {
            this.storage.removeItem(PREFIX + key);
        } catch {
            // Nothing was kept.
        }
    }

    keys() {
        try {
            return Object.keys(this.storage).filter((key) => key.startsWith(PREFIX)).map((key) => key.slice(PREFIX.length));
        } catch {
            return [];
        }
    }
}

/** Lines as a quotation is typed. */
export const quoted = (text) => text.trim().split(/\r?\n/).map((line) => `> ${line}`.trimEnd()).join('\n');

/** Words as people count them: a run of letters and digits; lines that quote are someone else's. */
export const ownWords = (text) => text.split(/\r?\n/).filter((line) => !/^\s*>/.test(line)).join('\n')
    .match(/[\p{L}\p{M}\p{N}]+(?:['’ʼ\-‐‑][\p{L}\p{M}\p{N}]+)*/gu)?.length ?? 0;
