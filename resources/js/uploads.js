/* Handing in: files go piece by piece, so that a lost connection costs one piece; what was chosen and typed stays. */
import { token } from './request.js';

const PIECE = 262144;
const pause = (seconds) => new Promise((done) => { setTimeout(done, seconds * 1000); });

export class Refused extends Error {}

// Sends until an answer comes: the connection may be gone for a while. An answer that refuses is final.
export const send = async (url, options, waiting) => {
    for (let tries = 0; ; tries++) {
        try {
            const answer = await fetch(url, { ...options, headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token(), ...options.headers } });
            if (answer.status !== 429 && answer.status < 500) {
                return answer;
            }
            waiting(`The server is busy (${answer.status}).`);
        } catch {
            waiting('The connection is gone.');
        }
        await Promise.race([pause(Math.min(20, 1.5 ** tries)), new Promise((done) => { window.addEventListener('online', done, { once: true }); })]);
    }
};

export const refusal = async (answer) => {
    const said = await answer.json().catch(() => ({}));
    if (answer.status === 401 || answer.status === 419) {
        return new Refused('You are no longer signed in. Sign in again in another tab, then press the button here once more: what you chose and typed is still in the page.');
    }
    return new Refused(Object.values(said.errors ?? {}).flat().join(' ') || said.message || `The server answered with an error (${answer.status}). Nothing was handed in; what you chose is still here.`);
};

const sumOf = async (file) => {
    try {
        const sum = await crypto.subtle.digest('SHA-256', await file.arrayBuffer());
        return [...new Uint8Array(sum)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    } catch {
        throw new Refused(`“${file.name}” cannot be read: it was changed, moved or deleted since you chose it. Choose it again.`);
    }
};

const sendFile = async (form, file, shown) => {
    const sha256 = await sumOf(file);
    const first = new FormData();
    Object.entries({ name: file.name, bytes: file.size, sha256, piece: file.slice(0, PIECE) }).forEach(([key, value]) => first.append(key, value));
    const begun = await send(form.dataset.pieces, { method: 'POST', body: first }, shown.waiting);
    if (!begun.ok) {
        throw await refusal(begun);
    }
    const { id, to, arrived } = await begun.json();
    let at = arrived;
    while (at < file.size) {
        shown.sent(at);
        let piece;
        try {
            piece = await file.slice(at, at + PIECE).arrayBuffer();
        } catch {
            throw new Refused(`“${file.name}” was changed while it was being sent. Close it in your writing program, and choose it again.`);
        }
        const answer = await send(`${to}?from=${at}`, { method: 'PUT', headers: { 'Content-Type': 'application/octet-stream' }, body: piece }, shown.waiting);
        if (!answer.ok && answer.status !== 409) {
            throw await refusal(answer);
        }
        at = (await answer.json()).arrived;
    }
    shown.sent(file.size);
    return id;
};

// Browsers offer sums of files on safe addresses only; elsewhere the form goes as a whole, as without scripts.
const canSendPieces = () => Boolean(globalThis.crypto?.subtle);

export const startHandIn = (form) => {
    const progress = form.querySelector('progress');
    const line = form.querySelector('[data-progress]');
    const input = form.querySelector('input[type=file]');
    const button = form.querySelector('button[type=submit]');
    const say = (text, bad = false) => {
        line.className = bad ? 'error' : 'hint';
        line.textContent = text;
    };
    const refuse = (why) => {
        button.disabled = false;
        progress.hidden = true;
        say(why, true);
    };
    form.addEventListener('submit', async (event) => {
        const files = [...input.files];
        const most = Number(form.dataset.upload);
        const many = Number(input.dataset.most ?? 1);
        if (files.length > many) {
            event.preventDefault();
            refuse(`You chose ${files.length} files and ${many} can be handed in, so none was sent. Choose again.`);
            return;
        }
        const big = files.find((file) => file.size > most);
        if (big) {
            event.preventDefault();
            refuse(`“${big.name}” is larger than ${Math.round(most / 1048576)} MB, so it was not sent. Hand in the text alone; pictures can usually be made smaller in your writing program.`);
            return;
        }
        if (!canSendPieces()) {
            return;
        }
        event.preventDefault();
        button.disabled = true;
        progress.hidden = files.length === 0;
        const all = files.reduce((sum, file) => sum + file.size, 0);
        let before = 0;
        try {
            const ids = [];
            for (const file of files) {
                const percent = () => Math.round((100 * (before + percent.at)) / all);
                percent.at = 0;
                ids.push(await sendFile(form, file, {
                    sent: (at) => {
                        percent.at = at;
                        progress.value = (before + at) / all;
                        say(`${percent()} % sent`);
                    },
                    waiting: (why) => say(`${why} ${percent()} % has arrived; it goes on by itself. Leave this page open.`, true),
                }));
                before += file.size;
            }
            say(files.length > 0 ? 'Sent; recording it …' : 'Recording it …');
            const data = new FormData(form);
            data.delete('file');
            data.delete('files[]');
            ids.forEach((id) => data.append('uploads[]', id));
            const answer = await send(form.action, { method: 'POST', body: data }, (why) => say(`${why} Your work has arrived but is not handed in yet; it goes on by itself. Leave this page open.`, true));
            if (!answer.ok) {
                throw await refusal(answer);
            }
            form.dataset.done = 'yes';
            window.location.assign((await answer.json()).to);
        } catch (error) {
            refuse(error instanceof Refused ? error.message : 'Something went wrong before it was handed in. What you chose is still here: press the button again.');
        }
    });
    // A page left half-way would stop what is being sent.
    window.addEventListener('beforeunload', (event) => {
        if (button.disabled && !form.dataset.done) {
            event.preventDefault();
        }
    });
};

/* What is typed is kept as it is typed. */
export const startKeeping = (area) => {
    const line = area.parentElement.querySelector('[data-kept]');
    let timer;
    let busy = false;
    let again = false;
    const keep = async () => {
        if (busy) {
            again = true;
            return;
        }
        busy = true;
        again = false;
        const answer = await send(area.dataset.keeps, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ typed_text: area.value, seen: Number(area.dataset.seen) }) },
            () => { line.textContent = 'Not kept yet: the connection is gone. It goes on by itself; what you typed is in the page.'; });
        if (answer.ok) {
            area.dataset.seen = (await answer.json()).seen;
            line.className = 'hint';
            line.textContent = `Kept ${new Date().toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}; not handed in.`;
        } else {
            line.className = 'error';
            line.textContent = (await refusal(answer)).message;
        }
        busy = false;
        if (again) {
            keep();
        }
    };
    area.addEventListener('input', () => {
        clearTimeout(timer);
        timer = setTimeout(keep, 1200);
    });
    area.addEventListener('blur', () => {
        if (timer) {
            clearTimeout(timer);
            timer = undefined;
            keep();
        }
    });
};
