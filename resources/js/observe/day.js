/*
 * The observer's page: people in order of time, one at a time, with a clock, steps, levels, notes and evidence. What is
 * recorded goes into the browser's storage at once and to the server when it can.
 */
import { make } from '../make.js';
import { tokenField } from '../request.js';
import { clock, lastOf, observed, runAt } from './log.js';
import { Store, Unkept } from './store.js';

const SEEN = [['done', 'done'], ['partly', 'partly'], ['not', 'not'], ['unseen', 'not seen']];
const COURSES = [['usual', 'as usual'], ['no-show', 'did not come'], ['late', 'came late'], ['again', 'began again'], ['stopped', 'stopped for safety']];
const KINDS = { start: 'clock started', pause: 'clock stopped', step: 'a step', level: 'a level', note: 'a note', evidence: 'evidence', course: 'how it went' };
const NOT_DONE = 'Not done yet: what you recorded has not all arrived. It is kept on this device; tap Done again once there is a connection.';
const id = () => crypto.randomUUID();
const hour = (at) => new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', second: '2-digit', hour12: false });

export async function startDay(root) {
    const day = JSON.parse(root.querySelector('script[type="application/json"]').textContent);
    let trouble = '';
    const store = await Store.open(day.person).catch(() => {
        trouble = 'This browser keeps nothing by itself, in a private window perhaps: keep the connection, or use another.';
        return new Unkept();
    });
    const said = root.querySelector('[data-said]');
    const place = root.querySelector('[data-place]');
    const people = new Map(day.people.map((one) => [one.mark, { ...one, events: one.events.map((event) => ({ ...event, sent: true })) }]));
    const begun = new Map((await store.all('notes')).map((note) => [note.id, note]));
    // Files as they are shown: those of this device, and those that had arrived.
    const local = new Map(day.files.map((file) => [file.id, file]));
    (await store.all('files')).forEach((file) => local.set(file.id, {
        name: file.name, url: file.blob.type.startsWith('image/') ? URL.createObjectURL(file.blob) : null, kind: file.blob.type.split('/')[0],
    }));
    let number = 0;
    let open = null;
    let busy = false;

    // What this browser has and the page, which may be an older one, does not.
    const known = new Set([...people.values()].flatMap((one) => one.events.map((event) => event.id)));
    const kept = await store.all('events');
    await store.drop('events', kept.filter((event) => known.has(event.id)).map((event) => event.id));
    for (const event of kept.filter((one) => !known.has(one.id))) {
        people.get(event.mark)?.events.push(event);
    }
    [...people.values()].forEach((one) => one.events.forEach((event) => { number = Math.max(number, event.number + 1); }));

    const unsent = async () => (await store.all('events')).filter((event) => !event.sent && people.has(event.mark));

    const left = async () => (await unsent()).length + (await store.all('files')).length;

    async function tell() {
        const count = await left();
        said.dataset.waiting = String(count);
        said.className = trouble ? 'error' : count > 0 ? 'signal small' : 'quiet small';
        said.textContent = trouble || (count === 0 ? 'All of it has arrived.' : `${count === 1 ? 'One thing waits' : `${count} things wait`} for a connection. It is kept on this device.`);
    }

    async function record(one, kind, about = '', value = '', at = Date.now()) {
        const event = { id: id(), kind, at, number: number++, about, value };
        one.events.push(event);
        // Drawn within the tap itself: a page that is drawn a moment later takes the next tap's button away under the finger.
        draw();
        try {
            await store.put('events', { ...event, mark: one.mark, sent: false });
        } catch {
            trouble = 'This device keeps nothing more: its storage is full or closed. Write down what you see, and use another device.';
        }
        tell();
        send();
        return event;
    }

    async function evidence(one, file, about) {
        if (file.size > day.most) {
            trouble = `“${file.name}” has ${Math.ceil(file.size / 1e6)} MB; ${day.most / 1e6} are taken. It is on this device still: make it smaller and add it again.`;
            await tell();
            return;
        }
        const [name, at] = [id(), Date.now()];
        local.set(name, { name: file.name, url: file.type.startsWith('image/') ? URL.createObjectURL(file) : null, kind: file.type.split('/')[0] });
        await store.put('files', { id: name, mark: one.mark, blob: file, name: file.name });
        await record(one, 'evidence', about, name, at);
    }

    const post = (url, options) => fetch(url, { method: 'POST', credentials: 'same-origin', redirect: 'manual', ...options,
        headers: { Accept: 'application/json', 'X-CSRF-TOKEN': tokenField().content, ...options.headers } });

    /** A session may have ended in the morning, and another begun: the token is asked for anew, and only the same person goes on. */
    async function renewed() {
        const answer = await fetch(day.token, { headers: { Accept: 'application/json' }, redirect: 'manual' });
        if (!answer.ok) {
            trouble = 'You are no longer signed in. Sign in again in another tab; nothing is lost.';
            return false;
        }
        const { token, person } = await answer.json();
        if (person !== day.person) {
            trouble = 'Someone else is signed in here. What you recorded stays on this device until you sign in again.';
            return false;
        }
        tokenField().content = token;
        return true;
    }

    async function send(again = true) {
        if (busy) {
            return;
        }
        busy = true;
        try {
            for (const file of await store.all('files')) {
                const one = people.get(file.mark);
                if (!one) {
                    continue;
                }
                const form = new FormData();
                form.append('id', file.id);
                form.append('file', file.blob, file.name || 'evidence');
                const answer = await post(one.to.files, { body: form });
                if (answer.status === 401 || answer.status === 419 || answer.type === 'opaqueredirect') {
                    throw new Error('session');
                }
                if (answer.ok) {
                    await store.drop('files', [file.id]);
                } else if (answer.status === 409 || answer.status === 422 || answer.status === 413) {
                    trouble = (await answer.json().catch(() => ({}))).message ?? 'A file cannot be taken.';
                    await store.drop('files', [file.id]);
                    const event = one.events.find((entry) => entry.kind === 'evidence' && entry.value === file.id);
                    busy = false;
                    event && await record(one, 'undo', event.id);
                    return;
                } else {
                    throw new Error('server');
                }
            }
            const waiting = Map.groupBy ? Map.groupBy(await unsent(), (event) => event.mark) : new Map();
            if (!Map.groupBy) {
                (await unsent()).forEach((event) => waiting.set(event.mark, [...(waiting.get(event.mark) ?? []), event]));
            }
            for (const [mark, events] of waiting) {
                const one = people.get(mark);
                const some = events.sort((a, b) => a.at - b.at || a.number - b.number).slice(0, 400);
                const answer = await post(one.to.events, {
                    headers: { 'Content-Type': 'application/json' },
                    body: JSON.stringify({ now: Date.now(), events: some.map(({ id: name, kind, at, number: n, about, value }) => ({ id: name, kind, at, number: n, about, value })) }),
                });
                if (answer.status === 401 || answer.status === 419 || answer.type === 'opaqueredirect') {
                    throw new Error('session');
                }
                if (!answer.ok) {
                    const why = (await answer.json().catch(() => ({}))).message;
                    if (answer.status === 409 || answer.status === 403) {
                        trouble = `${one.who}: ${why ?? 'this can no longer be changed.'}`;
                        continue;
                    }
                    throw new Error('server');
                }
                const { taken, refused } = await answer.json();
                for (const event of events.filter((entry) => taken.includes(entry.id))) {
                    await store.put('events', { ...event, sent: true });
                }
                Object.values(refused).forEach((why) => { trouble = `${one.who}: ${why}`; });
            }
            trouble = trouble === NOT_DONE || trouble.startsWith('You are no longer') || trouble.startsWith('Someone else') ? '' : trouble;
        } catch (error) {
            if (error.message === 'session') {
                busy = false;
                await renewed().then((ok) => ok && again && send(false)).catch(() => {});
            }
        } finally {
            busy = false;
            await tell();
        }
    }

    const state = (one, seen) => (one.done ? 'done' : seen.course !== 'usual' ? COURSES.find(([key]) => key === seen.course)[1]
        : seen.since !== null ? 'under way' : seen.began !== null ? 'seen' : 'not yet');

    function choices(name, options, chosen, choose, wide = true) {
        return make('div', { className: wide ? 'gauge taps wide' : 'gauge taps', role: 'group', 'aria-label': name }, ...options.map(([key, words]) => make('button', {
            type: 'button', textContent: words, 'aria-pressed': String(chosen === key), onclick: () => choose(key),
        })));
    }

    function list() {
        place.replaceChildren(make('ol', { className: 'observed-list' }, ...[...people.values()].map((one) => {
            const seen = observed(one.events);
            return make('li', {}, make('button', { type: 'button', className: 'observed-person', onclick: () => { open = one.mark; draw(); window.scrollTo(0, 0); } },
                make('b', { textContent: one.who }), make('span', { className: 'quiet small', textContent: `${one.when}, ${one.room}` }),
                make('span', { className: one.done ? 'kelp' : 'quiet', textContent: state(one, seen) })));
        })));
    }

    function person(one) {
        const seen = observed(one.events);
        const others = [...people.keys()];
        const next = others[others.indexOf(one.mark) + 1];
        const time = make('p', { className: 'observed-clock', 'aria-live': 'off', 'data-clock': '' });
        const parts = [
            make('p', {}, make('button', { type: 'button', className: 'link observed-back', textContent: '‹ everyone', onclick: () => { open = null; draw(); } })),
            make('h2', { textContent: one.who }), make('p', { className: 'quiet', textContent: `${one.when}, ${one.room}` }),
        ];
        const now = make('div', { className: 'observed-now' }, time,
            make('div', { className: 'observed-tools' },
                make('button', { type: 'button', className: 'button primary', textContent: seen.since === null ? (seen.began === null ? 'Start' : 'Go on') : 'Pause',
                    onclick: () => record(one, seen.since === null ? 'start' : 'pause') }),
                ...(lastOf(seen) ? [make('button', { type: 'button', className: 'button', textContent: `Undo: ${KINDS[lastOf(seen).kind]}`, onclick: () => record(one, 'undo', lastOf(seen).id) })] : [])));
        parts.push(make('p', { className: 'quiet small mt-2', textContent: 'How it goes' }), choices('How it goes', COURSES, seen.course, (key) => record(one, 'course', '', key)));
        if (seen.course !== 'usual' && day.rules !== '') {
            parts.push(make('p', { className: 'small mt-1 whitespace-pre-line', textContent: day.rules }));
        }
        for (const criterion of day.rubric) {
            parts.push(make('h3', { textContent: criterion.title }), make('p', { className: 'quiet small', textContent: criterion.purpose }));
            for (const step of criterion.steps) {
                const about = `${criterion.id}/${step.id}`;
                parts.push(make('div', { className: 'observed-step' }, make('p', {}, step.title, ...(seen.times[about] ? [make('span', { className: 'quiet small num ml-2', textContent: hour(seen.times[about]) })] : [])),
                    ...(step.reminder ? [make('p', { className: 'quiet small', textContent: step.reminder })] : []),
                    choices(step.title, SEEN, seen.steps[about], (key) => record(one, 'step', about, key), false)));
            }
            if (criterion.scale !== null) {
                const { min, max, step } = criterion.scale;
                const field = make('input', { type: 'number', className: 'input num', min, max, step, inputMode: 'decimal', value: seen.levels[criterion.id] ?? '', 'aria-label': criterion.title });
                field.addEventListener('change', () => field.value !== '' && field.reportValidity() && record(one, 'level', criterion.id, field.value));
                parts.push(make('p', { className: 'quiet small', textContent: `${min} to ${max}, in steps of ${step}` }), field);
            }
            if (criterion.stops.length > 0) {
                const named = criterion.stops.filter((stop) => stop.title !== '');
                parts.push(choices(criterion.title, named.map((stop) => [stop.key, stop.title]), seen.levels[criterion.id], (key) => record(one, 'level', criterion.id, key)));
                const chosen = named.find((stop) => stop.key === seen.levels[criterion.id]);
                chosen?.words && parts.push(make('p', { className: 'small', textContent: chosen.words }));
            }
        }
        const words = make('textarea', { className: 'input', rows: 2, maxLength: 2000, 'aria-label': 'A note', placeholder: 'a note, with its time', value: begun.get(one.mark)?.text ?? '' });
        const forStudent = make('input', { type: 'checkbox', checked: begun.get(one.mark)?.student ?? false });
        // What is being written outlives the next tick, and the tablet.
        const keep = () => {
            begun.set(one.mark, { id: one.mark, text: words.value, student: forStudent.checked });
            store.put('notes', begun.get(one.mark));
        };
        words.addEventListener('input', keep);
        forStudent.addEventListener('change', keep);
        const note = async () => {
            const [text, at] = [words.value.trim(), Date.now()];
            if (text !== '') {
                begun.delete(one.mark);
                store.drop('notes', [one.mark]);
                await record(one, 'note', forStudent.checked ? 'student' : 'staff', text, at);
            }
        };
        const file = make('input', { type: 'file', className: 'input', accept: 'image/*,audio/*,application/pdf' });
        file.addEventListener('change', () => [...file.files].forEach((chosen) => evidence(one, chosen, forStudent.checked ? 'student' : 'staff')));
        const kept = (event, what) => make('p', { className: 'small observed-kept' }, make('span', { className: 'quiet num', textContent: hour(event.at) }), what,
            ...(event.about.startsWith('student') ? [make('span', { className: 'quiet', textContent: 'for the student' })] : []),
            make('button', { type: 'button', className: 'link', textContent: 'take back', 'aria-label': `Take back what is of ${hour(event.at)}`, onclick: () => record(one, 'undo', event.id) }));
        parts.push(make('h3', { textContent: 'Notes and evidence' }),
            ...seen.notes.map((note) => kept(note, make('span', { textContent: note.value }))),
            ...seen.evidence.map((event) => {
                const file = local.get(event.value);
                return kept(event, file?.url && file.kind !== 'file' && file.kind !== 'audio' && file.kind !== 'sound'
                    ? make('img', { src: file.url, alt: file.name, className: 'max-h-24' }) : make('span', { textContent: file?.name || 'a file' }));
            }),
            words, make('label', { className: 'block my-1' }, forStudent, ' the student may see it once results are out'),
            make('div', { className: 'observed-tools' }, make('button', { type: 'button', className: 'button', textContent: 'Keep the note',
                onclick: note })),
            make('label', { className: 'block mt-3' }, make('span', { className: 'label', textContent: 'A photo, a sound or a file' }), file));
        const done = make('form', { method: 'post', action: one.to.done }, make('input', { type: 'hidden', name: '_token', value: tokenField().content }),
            make('button', { className: 'button', textContent: 'Done' }));
        done.addEventListener('submit', async (event) => {
            event.preventDefault();
            // What was tapped a moment ago may be on its way still.
            for (let tries = 0; tries < 12 && (busy || await left() > 0); tries++) {
                await send();
                await new Promise((go) => { setTimeout(go, 250); });
            }
            if (await left() === 0) {
                done.submit();
            } else {
                trouble ||= NOT_DONE;
                await tell();
                said.scrollIntoView({ block: 'nearest' });
            }
        });
        parts.push(make('div', { className: 'observed-tools mt-6' }, ...(next ? [make('button', { type: 'button', className: 'button primary', textContent: `Next: ${people.get(next).who}`,
            onclick: () => { open = next; draw(); window.scrollTo(0, 0); } })] : []), ...(one.done ? [] : [done]), make('a', { href: one.to.desk, className: 'button', textContent: 'On the desk' })));
        place.replaceChildren(...parts, now);
        tick();
    }

    function draw() {
        const at = document.activeElement?.closest?.('[aria-label]')?.getAttribute('aria-label');
        const key = document.activeElement?.textContent;
        const one = people.get(open);
        one ? person(one) : list();
        // The finger, or the key, stays where it was.
        at && [...place.querySelectorAll(`[aria-label="${CSS.escape(at)}"] button`)].find((button) => button.textContent === key)?.focus();
    }

    function tick() {
        const one = people.get(open);
        const shown = place.querySelector('[data-clock]');
        if (one && shown) {
            const seen = observed(one.events);
            const seconds = runAt(seen, Date.now());
            shown.textContent = clock(seconds, one.minutes);
            shown.classList.toggle('signal', seconds > 60 * one.minutes);
        }
    }

    setInterval(tick, 1000);
    setInterval(() => send(), 20_000);
    window.addEventListener('online', () => send());
    localStorage.setItem('observe:who', day.person);
    navigator.serviceWorker?.register(day.worker, { scope: '/observe/' }).catch(() => {});
    // The page as it is now is kept for being without a connection: the worker was not there when it was loaded.
    navigator.serviceWorker?.ready.then(async () => {
        const keep = await caches.open('observe');
        await Promise.all([location.href.split('#')[0], ...[...document.querySelectorAll('link[rel=stylesheet], script[src], link[rel=modulepreload], link[rel=icon]')].map((one) => one.href || one.src)]
            .map((address) => keep.add(new Request(address, { credentials: 'same-origin' })).catch(() => {})));
        root.dataset.kept = 'yes';
    });
    draw();
    await tell();
    await send();
    root.dataset.ready = 'yes';
}
