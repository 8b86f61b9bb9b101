/*
 * What was changed at the desk and has not reached the server yet. Each change is written into this browser's storage at
 * once and sent within a second; it stays there until the server has said that it is saved. A change carries what the
 * page knew before it, so that the server can tell what another tab or device has changed meanwhile.
 */
import { sendJson, tokenField } from '../request.js';

const PREFIX = 'young-harbor:desk:';
const FIRST = 500;
const SLOWEST = 15_000;

/** The same for equal values, whatever the order of their fields. */
export function stable(value) {
    if (Array.isArray(value)) {
        return `[${value.map(stable).join()}]`;
    }
    if (value !== null && typeof value === 'object') {
        return `{${Object.keys(value).sort().filter((key) => value[key] !== undefined).map((key) => `${JSON.stringify(key)}:${stable(value[key])}`).join()}}`;
    }
    return JSON.stringify(value ?? null);
}

const same = (one, other) => stable(one) === stable(other);
const locks = globalThis.navigator?.locks ?? null;

/** Holds a name for as long as this page lives; false when another page has it. */
function hold(name) {
    if (!locks) {
        return Promise.resolve(true);
    }
    return new Promise((resolve) => {
        locks.request(name, { ifAvailable: true }, (lock) => {
            resolve(lock !== null);
            return lock === null ? undefined : new Promise(() => {});
        });
    });
}

export class Outbox {
    #entries = new Map();
    #sending = false;
    #timer = null;
    #wait = FIRST;
    #extra = () => ({});
    state = 'saved';

    /**
     * @param {{mark: string, url: string, tokenUrl: string, told: (key: string, outcome: object, now: any) => void, answered: (answer: object) => void, changed: (outbox: Outbox, message?: string) => void}} options
     */
    constructor(options) {
        Object.assign(this, options);
        for (const event of ['online', 'focus']) {
            window.addEventListener(event, () => this.soon(0));
        }
        document.addEventListener('visibilitychange', () => (document.hidden ? this.leave() : this.soon(0)));
        window.addEventListener('pagehide', () => this.leave());
    }

    /** Takes over what an earlier page of this script, closed before it could send, has left; gives its changes. */
    async open() {
        const name = (tab) => `${PREFIX}${this.mark}:${tab}`;
        let tab = sessionStorage.getItem('young-harbor:tab') ?? crypto.randomUUID();
        if (!await hold(name(tab))) { // a duplicated tab has the storage of its original
            tab = crypto.randomUUID();
            await hold(name(tab));
        }
        sessionStorage.setItem('young-harbor:tab', tab);
        this.name = name(tab);
        for (const other of Object.keys(localStorage).filter((key) => key.startsWith(`${PREFIX}${this.mark}:`))) {
            if (other !== this.name && !await hold(other)) {
                continue;
            }
            for (const [key, entry] of JSON.parse(localStorage.getItem(other)).entries) {
                this.#entries.has(key) || this.#entries.set(key, { was: entry.was, now: entry.now });
            }
            other === this.name || localStorage.removeItem(other);
        }
        this.#store();
        if (this.#entries.size > 0) {
            this.soon(0);
        }
        return [...this.#entries].map(([key, entry]) => [key, entry.now]);
    }

    /** What goes along with every sending: where the reader is, how long they were at work. */
    alongside(extra) {
        this.#extra = extra;
    }

    put(key, was, now) {
        const entry = this.#entries.get(key);
        const before = entry ? entry.was : was;
        if (same(before, now) && !entry?.sent) {
            this.#entries.delete(key);
        } else {
            this.#entries.set(key, { ...entry, was: before, now, held: undefined });
        }
        this.#store();
        this.#say(this.waiting().length > 0 && this.state !== 'offline' && this.state !== 'signed out' ? 'saving' : this.state);
        this.soon(FIRST);
    }

    /** Goes on with a change that met another version: what was there is known now. */
    settle(key, theirs, now) {
        this.#entries.delete(key);
        if (!same(theirs, now)) {
            this.#entries.set(key, { was: theirs, now });
        }
        this.#store();
        this.#say(this.#entries.size > 0 ? 'saving' : 'saved');
        this.soon(0);
    }

    has(key) {
        return this.#entries.has(key);
    }

    waiting() {
        return [...this.#entries.keys()];
    }

    /** Changes that only their writer can set right. */
    held() {
        return [...this.#entries].filter(([, entry]) => entry.held).map(([key]) => key);
    }

    /** What waits, as text someone can take elsewhere. */
    asText() {
        return [...this.#entries].map(([key, entry]) => `${key}\n${typeof entry.now === 'string' ? entry.now : JSON.stringify(entry.now, null, 1)}`).join('\n\n');
    }

    soon(after) {
        clearTimeout(this.#timer);
        this.#timer = setTimeout(() => this.flush(), after);
    }

    /** Resolves when nothing is waiting, or nothing can go on. */
    async drained() {
        for (let tries = 0; tries < 100 && this.#entries.size > this.held().length; tries++) {
            await this.flush();
            if (!['saving', 'saved'].includes(this.state)) {
                return false;
            }
            await new Promise((resolve) => { setTimeout(resolve, 60); });
        }
        return this.#entries.size === 0;
    }

    async flush() {
        const going = [...this.#entries].filter(([, entry]) => !entry.held);
        const extra = this.#extra();
        if (this.#sending || this.state === 'closed' || (going.length === 0 && Object.keys(extra).length === 0)) {
            return;
        }
        this.#sending = true;
        for (const [, entry] of going) {
            entry.sent = { now: entry.now };
        }
        try {
            const answer = await sendJson('PATCH', this.url, { changes: going.map(([key, entry]) => ({ key, was: entry.was, now: entry.now })), ...extra });
            await this.#answer(answer, going);
        } catch {
            this.#again('offline');
        } finally {
            this.#sending = false;
            for (const [, entry] of going) {
                delete entry.sent;
            }
        }
        if ([...this.#entries.values()].some((entry) => !entry.held) && this.state === 'saving') {
            this.soon(FIRST);
        }
    }

    async #answer(answer, going) {
        if (answer.status === 401 || answer.status === 419 || answer.type === 'opaqueredirect') {
            if (await this.#freshToken()) {
                this.soon(0);
            } else {
                this.#again('signed out');
            }
            return;
        }
        if (answer.status >= 500 || answer.status === 429) {
            this.#again('offline');
            return;
        }
        if (answer.status === 404) {
            this.#say('closed', 'This script has meanwhile been given to another marker, or taken back. What you wrote last is not saved there; it is kept in this browser.');
            return;
        }
        const told = await answer.json();
        if (!answer.ok) {
            this.#say('closed', told.message);
            return;
        }
        this.#wait = FIRST;
        for (const [key, entry] of going) {
            const outcome = told.outcomes[key];
            const now = this.#entries.get(key);
            if (outcome?.state === 'saved') {
                if (now && same(now.now, entry.sent.now)) {
                    this.#entries.delete(key);
                } else if (now) {
                    now.was = entry.sent.now;
                }
            } else if (outcome && now && same(now.now, entry.sent.now)) {
                now.held = true;
            }
            if (outcome) {
                this.told(key, outcome, entry.sent.now);
            }
        }
        this.#store();
        this.answered(told);
        this.#say(this.#entries.size > this.held().length ? 'saving' : (this.held().length > 0 ? 'held' : 'saved'));
    }

    async #freshToken() {
        try {
            const answer = await fetch(this.tokenUrl, { credentials: 'same-origin', redirect: 'manual', headers: { Accept: 'application/json', 'X-Requested-With': 'XMLHttpRequest' } });
            if (!answer.ok) {
                return false;
            }
            tokenField().content = (await answer.json()).token;
            return true;
        } catch {
            return false;
        }
    }

    #again(state) {
        this.#say(state);
        this.#wait = Math.min(SLOWEST, this.#wait * 2);
        this.soon(this.#wait);
    }

    #say(state, message) {
        this.state = this.#entries.size === 0 && state !== 'closed' && state !== 'signed out' && state !== 'offline' ? 'saved' : state;
        this.changed(this, message);
    }

    #store() {
        if (!this.name) {
            return;
        }
        if (this.#entries.size === 0) {
            localStorage.removeItem(this.name);
        } else {
            localStorage.setItem(this.name, JSON.stringify({ url: this.url, entries: [...this.#entries].map(([key, entry]) => [key, { was: entry.was, now: entry.now }]) }));
        }
    }

    /** The page goes: what waits is sent once more, and stays in the browser until the next page knows it arrived. */
    leave() {
        const going = [...this.#entries].filter(([, entry]) => !entry.held);
        const extra = this.#extra();
        if (this.state !== 'closed' && (going.length > 0 || Object.keys(extra).length > 0)) {
            sendJson('PATCH', this.url, { changes: going.map(([key, entry]) => ({ key, was: entry.was, now: entry.now })), ...extra }, true).catch(() => {});
        }
    }
}

/** On any page: sends what desks that are no longer open have left in this browser. */
export async function sendLeftOvers() {
    for (const name of Object.keys(localStorage).filter((key) => key.startsWith(PREFIX))) {
        if (document.querySelector(`[data-desk="${CSS.escape(name.split(':')[2] ?? '')}"]`)) {
            continue; // its own page takes it over
        }
        const left = JSON.parse(localStorage.getItem(name) ?? 'null');
        if (!left?.url || !await hold(`${name}:sending`)) {
            continue;
        }
        if (locks && !(await new Promise((resolve) => { locks.request(name, { ifAvailable: true }, (lock) => resolve(lock !== null)); }))) {
            continue; // the page it belongs to is open
        }
        try {
            const answer = await sendJson('PATCH', left.url, { changes: left.entries.map(([key, entry]) => ({ key, ...entry })) });
            if (answer.ok) {
                const { outcomes } = await answer.json();
                const rest = left.entries.filter(([key]) => outcomes[key]?.state !== 'saved');
                if (rest.length === 0) {
                    localStorage.removeItem(name);
                } else {
                    localStorage.setItem(name, JSON.stringify({ ...left, entries: rest }));
                }
            }
        } catch {
            // not reachable: it stays where it is
        }
    }
}

/** How many changes this browser keeps that the server does not have. */
export function unsent() {
    return Object.keys(localStorage).filter((key) => key.startsWith(PREFIX))
        .reduce((sum, key) => sum + (JSON.parse(localStorage.getItem(key) ?? 'null')?.entries?.length ?? 0), 0);
}

/**
 * Someone signs out: what waits is sent first, and nothing of theirs stays in this browser for whoever comes next. What
 * cannot be sent is asked about, since it would be lost.
 *
 * @param {(changes: number) => boolean} loses asked when changes would be lost
 * @returns {Promise<boolean>} whether to sign out
 */
export async function emptyBrowser(loses) {
    await sendLeftOvers().catch(() => {});
    window.dispatchEvent(new Event('focus')); // an open desk sends at once
    for (let waited = 0; unsent() > 0 && waited < 4000; waited += 100) {
        await new Promise((resolve) => { setTimeout(resolve, 100); });
    }
    const left = unsent();
    if (left > 0 && !loses(left)) {
        return false;
    }
    for (const storage of [localStorage, sessionStorage]) {
        Object.keys(storage).filter((key) => key.startsWith('young-harbor:')).forEach((key) => storage.removeItem(key));
    }
    return true;
}
