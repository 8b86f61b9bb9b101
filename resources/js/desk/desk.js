/*
 * The desk: a script and its rubric side by side. What is set and written goes into the outbox as it is made and on to the
 * server from there; here the page's fields, its keys and its panes are tied to it.
 */
import { startRails } from '../rail.js';
import { startBank } from './bank.js';
import { Commands } from './commands.js';
import { Notes } from './notes.js';
import { Outbox, sendLeftOvers, stable } from './outbox.js';
import { startPages } from './pages.js';
import { Places } from './places.js';
import { startSplit } from './split.js';
import { startVoice } from './voice.js';

const NEWS = 15_000;
const BUSY = 60_000;

/** What a criterion's fields say, without its comment. */
function formOf(form) {
    const now = {};
    for (const [name, value] of new FormData(form)) {
        const [, field, part] = name.match(/^(\w+)(?:\[([^\]]+)\])?$/) ?? [];
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
        const [, name, part] = field.name.match(/^(\w+)(?:\[([^\]]+)\])?$/) ?? [];
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

export async function startDesk(htmx) {
    const desk = document.querySelector('[data-desk]');
    if (!desk) {
        sendLeftOvers();
        return;
    }
    const config = JSON.parse(document.getElementById('desk-data').textContent);
    const known = new Map();
    const forms = [...desk.querySelectorAll('form[data-part]')];
    const formFor = (id) => forms.find((form) => form.dataset.part === id);
    const textField = (key) => {
        const [what, about] = key.split(':');
        return { words: () => formFor(about)?.querySelector('textarea'), general: () => document.getElementById('general'), private: () => document.getElementById('private') }[what]?.();
    };
    let version = config.state.version;
    let savedAt = null; // by the server's clock
    let active = 0;
    let lastMove = 0;
    let placed = '';
    let notes = null;

    const show = (text, isProblem) => {
        const line = document.getElementById('saved');
        line.textContent = text;
        line.classList.toggle('signal', isProblem === true);
    };
    const trouble = (text, link = null) => {
        const box = document.getElementById('trouble');
        box.hidden = text === '';
        box.querySelector('[data-text]').textContent = text;
        const anchor = box.querySelector('[data-sign-in]');
        anchor.hidden = link === null;
        box.querySelector('[data-take-away]').hidden = outbox.waiting().length === 0;
    };

    const outbox = new Outbox({
        mark: desk.dataset.desk, url: config.sync, tokenUrl: config.token,
        told: (key, outcome, now) => told(key, outcome, now),
        answered: (answer) => {
            version = answer.version;
            savedAt = answer.saved ?? savedAt;
            if (answer.total) {
                replaceTotal(answer.total);
            }
        },
        changed: (box, message) => {
            const count = box.waiting().length;
            const waiting = count === 1 ? '1 change' : `${count} changes`;
            switch (box.state) {
                case 'saved':
                    show(config.state.done ? '' : (savedAt ? `Saved ${savedAt}` : document.getElementById('saved').textContent));
                    trouble('');
                    break;
                case 'saving':
                    show('Saving …');
                    break;
                case 'held':
                    show(`Not saved: ${waiting} waiting for you`, true);
                    break;
                case 'signed out':
                    show('Not saved yet; kept in this browser', true);
                    trouble(`You are no longer signed in. ${count === 0 ? 'What you write now' : waiting[0].toUpperCase() + waiting.slice(1)} ${count === 1 ? 'is' : 'are'} kept in this browser and sent as soon as you are.`, 'sign in');
                    break;
                case 'closed':
                    show('Not saved; kept in this browser', true);
                    trouble(message ?? 'This mark can no longer be changed. What you wrote is kept in this browser.');
                    break;
                default:
                    if (count > 0) {
                        show('Not saved yet; kept in this browser', true);
                        trouble(`The server cannot be reached. ${count === 1 ? '1 change is' : `${count} changes are`} kept in this browser and sent when the connection is back. Go on marking.`);
                    }
            }
        },
    });

    function replaceTotal(html) {
        const open = document.getElementById('working')?.open;
        const focused = document.activeElement?.closest?.('#total') !== null && document.activeElement?.closest?.('#total') !== undefined;
        document.getElementById('total').outerHTML = html;
        htmx.process(document.getElementById('total'));
        if (open) {
            document.getElementById('working').showModal();
        } else if (focused) {
            document.querySelector('#total button')?.focus();
        }
    }

    function told(key, outcome, now) {
        const [what, about] = key.split(/:(.*)/s);
        if (what === 'note') {
            ({ saved: () => notes.saved(about, now), clash: () => notes.clash(about, outcome.theirs), refused: () => notes.refused(about, outcome.why) })[outcome.state]?.();
            return;
        }
        const field = textField(key) ?? formFor(about);
        const box = field?.closest('form').querySelector(what === 'mark' ? '[data-clash=mark]' : '[data-clash=words]');
        if (outcome.state === 'saved') {
            known.set(key, now);
            box?.replaceChildren();
            return;
        }
        if (!box) {
            return;
        }
        if (outcome.state === 'refused') {
            box.replaceChildren(Object.assign(document.createElement('p'), { className: 'signal small', textContent: outcome.why }));
            return;
        }
        clash(box, key, outcome);
    }

    /** Both versions, and the choice between them. */
    function clash(box, key, outcome) {
        const isMark = key.startsWith('mark:');
        const say = (text) => Object.assign(document.createElement('p'), { className: 'small whitespace-pre-line', textContent: text });
        const button = (text, then) => {
            const made = Object.assign(document.createElement('button'), { type: 'button', className: 'button small', textContent: text });
            made.addEventListener('click', () => { box.replaceChildren(); then(); });
            return made;
        };
        const set = (value) => {
            known.set(key, outcome.theirs);
            if (isMark) {
                fill(formFor(key.slice(5)), value);
                formFor(key.slice(5)).dispatchEvent(new Event('redescribe', { bubbles: true }));
            } else {
                textField(key).value = value;
            }
            outbox.settle(key, outcome.theirs, value);
        };
        const current = () => (isMark ? formOf(formFor(key.slice(5))) : textField(key).value);
        const wrap = Object.assign(document.createElement('div'), { className: 'notice refusal' });
        wrap.setAttribute('role', 'alert');
        wrap.append(
            say(isMark ? `In another tab or on another device this has meanwhile been set to: ${outcome.words}. What you chose here is not saved yet.` : 'In another tab or on another device this now reads:'),
            ...(isMark ? [] : [Object.assign(say(outcome.theirs === '' ? '(nothing)' : outcome.theirs), { className: 'small whitespace-pre-line border-l-3 border-rule pl-3 my-1' })]),
            Object.assign(document.createElement('div'), { className: 'flex flex-wrap gap-2 mt-2' }),
        );
        wrap.lastElementChild.append(button('Keep what is here', () => set(current())), button('Take the other', () => set(outcome.theirs)));
        if (!isMark) {
            wrap.lastElementChild.append(button('Keep both', () => set(`${outcome.theirs}\n\n${current()}`)));
        }
        box.replaceChildren(wrap);
    }

    /** What stands on the server goes into fields nobody is changing here. */
    function take(state) {
        version = state.version;
        for (const [id, values] of Object.entries(state.marks)) {
            const form = formFor(id);
            if (form && !outbox.has(`mark:${id}`) && stable(known.get(`mark:${id}`)) !== stable(values)) {
                known.set(`mark:${id}`, values);
                fill(form, values);
                form.dispatchEvent(new Event('redescribe', { bubbles: true }));
            }
        }
        const text = (key, value) => {
            const field = textField(key);
            if (field && !outbox.has(key) && known.get(key) !== value) {
                known.set(key, value);
                field.value = value;
            }
        };
        Object.entries(state.words).forEach(([id, value]) => text(`words:${id}`, value));
        text('general', state.general);
        text('private', state.private);
        notes.take(state.notes);
    }

    desk.addEventListener('input', (event) => {
        const form = event.target.closest('form[data-part]');
        if (!form) {
            return;
        }
        if (event.target.matches('textarea')) {
            const key = { general: 'general', private: 'private' }[form.dataset.part] ?? `words:${form.dataset.part}`;
            outbox.put(key, known.get(key) ?? '', event.target.value);
        } else if (event.target.name) {
            // A level chosen on the rail takes the place of points set by hand.
            if (event.target.name === 'stop') {
                form.querySelectorAll('[name=own_points], [name=own_reason]').forEach((field) => { field.value = ''; });
            } else if (event.target.name === 'own_points' && event.target.value !== '') {
                form.querySelectorAll('[name=stop]').forEach((field) => { field.checked = false; });
                form.dispatchEvent(new Event('redescribe', { bubbles: true }));
            }
            outbox.put(`mark:${form.dataset.part}`, known.get(`mark:${form.dataset.part}`) ?? {}, formOf(form));
        }
    });
    forms.forEach((form) => form.addEventListener('submit', (event) => { event.preventDefault(); outbox.soon(0); }));

    const reader = desk.querySelector('.script');
    const places = new Places(desk.querySelector('article.text'));
    notes = new Notes({ desk, places, outbox, criteria: config.criteria, locked: config.state.done || config.earlier });
    for (const [id, values] of Object.entries(config.state.marks)) {
        known.set(`mark:${id}`, values);
        known.set(`words:${id}`, config.state.words[id]);
    }
    known.set('general', config.state.general);
    known.set('private', config.state.private);
    // The page counts its text itself; where that differs from the server's count, words are found by what they say.
    const mended = config.earlier ? {} : Object.fromEntries(Object.entries(config.state.notes).map(([id, note]) => [id, { ...note, place: placeHere(places, note) }]));
    notes.take(mended);
    startRails(desk, 'form[data-part]');

    for (const [key, now] of await outbox.open()) {
        const [what, about] = key.split(/:(.*)/s);
        if (what === 'note') {
            notes.putBack(about, now);
        } else if (what === 'mark' && formFor(about)) {
            fill(formFor(about), now);
            formFor(about).dispatchEvent(new Event('redescribe', { bubbles: true }));
        } else if (textField(key)) {
            textField(key).value = now;
        }
    }
    notes.draw();

    // Where the reader is, and how long they have been at work since the page last spoke: a minute without a key, a click or
    // a movement is a pause.
    const stir = () => {
        const now = performance.now();
        if (lastMove > 0 && now - lastMove < BUSY && !document.hidden) {
            active += now - lastMove;
        }
        lastMove = now;
    };
    ['pointermove', 'keydown', 'wheel', 'touchmove', 'scroll'].forEach((event) => document.addEventListener(event, stir, { passive: true, capture: true }));
    const place = () => ({ y: Math.round(1e6 * reader.scrollTop / Math.max(1, reader.scrollHeight)), ...(document.activeElement?.closest?.('form[data-part]') ? { criterion: document.activeElement.closest('form[data-part]').dataset.part } : {}), ...(pages.isOpen() ? { view: 'pages', page: pages.current() } : {}) });
    outbox.alongside(() => {
        const extra = {};
        const seconds = Math.floor(active / 1000);
        if (seconds >= 5) {
            extra.active = seconds;
            active -= seconds * 1000;
        }
        const now = stable(place());
        if (now !== placed && lastMove > 0) {
            extra.place = JSON.parse(now);
            placed = now;
        }
        return extra;
    });

    const pages = startPages({ desk, notes, config });
    notes.onPages(pages);
    startSplit(desk, config);
    const commands = new Commands(config.keys, config.settings);
    startBank({ desk, notes, config, outbox });
    startVoice({ desk, config });
    bind(commands, notes, desk, pages);

    if (config.place?.view === 'pages') {
        pages.enter(config.place.page);
    } else if (config.place?.y > 0) {
        reader.scrollTop = config.place.y / 1e6 * reader.scrollHeight;
        if (reader.scrollTop > 80) {
            notes.say('Where you left off.');
        }
    }
    placed = stable(place());

    setInterval(async () => {
        outbox.soon(0);
        if (document.hidden || !navigator.onLine || outbox.waiting().length > 0) {
            return;
        }
        try {
            const answer = await fetch(`${config.news}?version=${version}`, { headers: { Accept: 'application/json', 'X-Requested-With': 'XMLHttpRequest' }, redirect: 'manual' });
            if (answer.status === 200) {
                const state = await answer.json();
                if (state.done !== config.state.done) {
                    trouble(state.done ? 'This mark has been made done in another tab or on another device. Reload to go on.' : 'This mark has been opened again elsewhere. Reload to go on.');
                    return;
                }
                take({ ...state, notes: Object.fromEntries(Object.entries(state.notes).map(([id, note]) => [id, { ...note, place: placeHere(places, note) }])) });
                replaceTotal(state.total);
            }
        } catch {
            // not reachable: the next round asks again
        }
    }, NEWS);

    // Comments on criteria, gathered into the general one; what stands there already is not put there twice.
    desk.querySelector('[data-gather]')?.addEventListener('click', () => {
        const general = document.getElementById('general');
        const lines = forms.filter((form) => config.criteria[form.dataset.part] && form.querySelector('textarea').value.trim() !== '')
            .map((form) => `**${config.criteria[form.dataset.part]}**: ${form.querySelector('textarea').value.trim()}`).filter((line) => !general.value.includes(line));
        if (lines.length === 0) {
            notes.say('There is no comment on a criterion that is not here yet.');
            return;
        }
        general.value = [general.value.trimEnd(), ...lines].filter(Boolean).join('\n\n');
        general.dispatchEvent(new Event('input', { bubbles: true }));
        general.focus();
    });

    document.getElementById('trouble').querySelector('[data-take-away]').addEventListener('click', () => {
        const link = Object.assign(document.createElement('a'), { href: URL.createObjectURL(new Blob([outbox.asText()], { type: 'text/plain' })), download: `${config.code}-not-saved.txt` });
        link.click();
    });

    window.addEventListener('beforeunload', (event) => {
        if (outbox.waiting().length > 0 && outbox.state !== 'saving') {
            event.preventDefault();
        }
    });

    // Done and Set aside wait until everything is saved.
    for (const form of desk.querySelectorAll('form[data-after-saving]')) {
        form.addEventListener('submit', async (event) => {
            if (outbox.waiting().length === 0) {
                return;
            }
            event.preventDefault();
            show('Saving first …');
            if (await outbox.drained()) {
                form.submit();
            } else {
                show('Not saved yet, so not done yet', true);
            }
        });
    }
    desk.dataset.ready = 'yes';
}

/** Where a comment's words stand in the text as this page counts it. */
function placeHere(places, note) {
    if (!note.place || note.anchor.page) {
        return note.place;
    }
    const here = places.points.slice(...note.place).join('');
    if (here.replace(/\s+/g, ' ') === note.anchor.exact.replace(/\s+/g, ' ')) {
        return note.place;
    }
    const text = places.text;
    let best = null;
    for (let at = text.indexOf(note.anchor.exact); at !== -1; at = text.indexOf(note.anchor.exact, at + 1)) {
        const start = [...text.slice(0, at)].length;
        if (best === null || Math.abs(start - note.place[0]) < Math.abs(best - note.place[0])) {
            best = start;
        }
    }
    return best === null ? null : [best, best + [...note.anchor.exact].length];
}

/** What keys and buttons do here. */
function bind(commands, notes, desk, pages) {
    const focusedForm = () => document.activeElement?.closest?.('form[data-part]');
    const criteria = [...desk.querySelectorAll('form[data-part]')].filter((form) => !['general', 'private'].includes(form.dataset.part));
    const focusCriterion = (form) => (form.querySelector('input:checked:not([name=na])') ?? form.querySelector('input:not([type=hidden]):not([name=na]), textarea'))?.focus();
    const step = (by) => {
        const at = criteria.indexOf(focusedForm());
        focusCriterion(criteria[at === -1 ? (by > 0 ? 0 : criteria.length - 1) : Math.max(0, Math.min(criteria.length - 1, at + by))]);
    };
    const press = (selector) => () => document.querySelector(selector)?.click();
    commands.on({
        sentence: () => notes.read(1), 'sentence-back': () => notes.read(-1), 'longer': () => notes.read(1, true), shorter: () => notes.read(-1, true),
        'start-later': () => notes.narrow('start', 1), 'start-earlier': () => notes.narrow('start', -1), 'end-later': () => notes.narrow('end', 1), 'end-earlier': () => notes.narrow('end', -1),
        comment: () => (pages.isOpen() ? pages.comment() : notes.begin()), 'next-comment': () => notes.step(1), 'previous-comment': () => notes.step(-1), 'criterion-comments': () => focusedForm() && notes.step(1, focusedForm().dataset.part),
        undo: () => notes.undo(),
        criterion: () => step(1), 'criterion-back': () => step(-1), 'write-here': () => (focusedForm() ?? criteria[0])?.querySelector('textarea')?.focus(),
        general: () => document.getElementById('general')?.focus(), private: () => { document.getElementById('private').closest('details').open = true; document.getElementById('private').focus(); },
        lately: () => (focusedForm() ?? criteria[0])?.querySelector('[data-lately]')?.click(),
        next: press('[data-do=next]'), previous: press('[data-do=previous]'), done: press('[data-do=done]'), aside: press('[data-do=aside]'),
        working: press('[data-do=working]'), brief: press('[data-do=brief]'), rubric: press('[data-do=rubric]'), levels: press('[data-do=levels]'), bank: press('[data-do=bank]'), pages: () => pages.toggle(), keys: press('[data-do=keys]'),
    });
    desk.querySelectorAll('[data-command]').forEach((button) => button.addEventListener('click', () => commands.run(button.dataset.command)));
}
