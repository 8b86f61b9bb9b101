/* Forms that take hundreds of files: sent a few at a time, with progress, and every file that was not taken is named. */
import { make } from './make.js';

const AT_ONCE = 10;
const BYTES = 12 * 1048576;

/** Files in groups small enough for one request. */
export const groups = (files, most = AT_ONCE, bytes = BYTES) => {
    const out = [];
    let size = 0;
    for (const file of files) {
        if (out.length === 0 || out[out.length - 1].length >= most || size + file.size > bytes) {
            out.push([]);
            size = 0;
        }
        out[out.length - 1].push(file);
        size += file.size;
    }
    return out;
};

/** What became of all of them, in words. */
export const summary = ({ chosen, added, already, refused }) => {
    const left = chosen - added - already - refused.length;
    return [`${added} of ${chosen} added`, already > 0 ? `${already} ${already === 1 ? 'was' : 'were'} there already` : '', refused.length > 0 ? `${refused.length} not taken` : '', left > 0 ? `${left} not sent` : ''].filter(Boolean).join(', ');
};

const post = async (form, files) => {
    const data = new FormData(form);
    const name = form.querySelector('input[type=file]').name;
    data.delete(name);
    files.forEach((file) => data.append(name, file));
    for (let tries = 0; ; tries++) {
        try {
            const answer = await fetch(form.action, { method: 'POST', body: data, headers: { Accept: 'application/json' } });
            if (answer.status < 500 && answer.status !== 429) {
                return answer;
            }
        } catch {
            // The connection is gone for a while; what came twice is found to be there already.
        }
        if (tries === 6) {
            return null;
        }
        await new Promise((done) => { setTimeout(done, 1000 * Math.min(15, 1.6 ** tries)); });
    }
};

const send = async (form, process) => {
    const input = form.querySelector('input[type=file]');
    const button = form.querySelector('button:not([type=button])');
    const line = form.querySelector('[data-line]');
    const progress = form.querySelector('progress');
    const list = form.querySelector('[data-refused]');
    const all = [...input.files];
    const big = all.filter((file) => file.size > Number(form.dataset.many));
    const files = all.filter((file) => !big.includes(file));
    const so = { chosen: all.length, added: 0, already: 0, refused: big.map((file) => `${file.name}: larger than ${Math.round(Number(form.dataset.many) / 1048576)} MB.`) };
    let stopped = '';
    let sent = 0;
    button.disabled = true;
    progress.hidden = false;
    list.replaceChildren();
    for (const group of groups(files)) {
        line.className = 'hint';
        line.textContent = `${sent} of ${files.length} read. Leave this page open.`;
        progress.value = sent / Math.max(1, files.length);
        const answer = await post(form, group);
        const said = await answer?.json().catch(() => null);
        if (answer?.status === 422 && said?.errors?.texts === undefined && Object.keys(said?.errors ?? {}).some((key) => key.startsWith('texts.'))) {
            so.refused.push(...group.map((file, n) => [file, said.errors[`texts.${n}`]]).filter(([, why]) => why).map(([file, why]) => `${file.name}: ${[why].flat().join(' ')}`));
            const rest = group.filter((_, n) => !said.errors[`texts.${n}`]);
            if (rest.length > 0) {
                const again = await (await post(form, rest))?.json().catch(() => null);
                so.added += again?.added ?? 0;
                so.already += again?.already ?? 0;
                so.refused.push(...(again?.refused ?? rest.map((file) => `${file.name}: no answer came.`)));
            }
        } else if (!answer?.ok || said === null || said === undefined) {
            stopped = Object.values(said?.errors ?? {}).flat().join(' ') || said?.message || 'The server cannot be reached.';
            break;
        } else {
            so.added += said.added;
            so.already += said.already;
            so.refused.push(...said.refused);
        }
        sent += group.length;
    }
    progress.hidden = true;
    button.disabled = false;
    line.className = stopped || so.refused.length > 0 ? 'error' : 'hint';
    line.textContent = `${stopped ? `${stopped} ` : ''}${summary(so)}.${stopped ? ' Choose the same files again: what is there already is not added twice.' : ''}`;
    list.replaceChildren(...so.refused.map((why) => make('li', { textContent: why })));
    if (!stopped) {
        input.value = '';
    }
    const shown = form.dataset.shows && document.querySelector(form.dataset.shows);
    if (shown && so.added > 0) {
        const page = await fetch(window.location.href, { headers: { Accept: 'text/html' } });
        const fresh = new DOMParser().parseFromString(await page.text(), 'text/html').querySelector(form.dataset.shows);
        if (fresh) {
            shown.replaceWith(fresh);
            process(fresh);
        }
    }
};

/** @param {(element: Element) => void} process  wakes what a page swapped in does */
export function startMany(form, process) {
    form.addEventListener('submit', (event) => {
        event.preventDefault();
        send(form, process);
    });
}
