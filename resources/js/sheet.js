/*
 * The rubric sheet. Each field that changes is sent with what it held before, so that two people who write in
 * different places both keep their words; what could not be sent stays and is sent again. Shape changes come back as
 * the whole sheet: what was typed meanwhile is put back into it, and the focus stays where the person was.
 */
const PAUSE = 1200;
const NEWS = 6000;

const sheet = () => document.getElementById('sheet');
const placeOf = (name) => name.replaceAll(']', '').split('[').join('.');
const fieldNamed = (name) => sheet()?.querySelector(`[name="${CSS.escape(name)}"]:not([type=hidden])`) ?? null;
const isSwitch = (field) => field.type === 'checkbox';
const valueOf = (field) => (isSwitch(field) ? (field.checked ? '1' : '') : field.value);
const savedValueOf = (field) => {
    if (isSwitch(field)) {
        return field.defaultChecked ? '1' : '';
    }
    return field.tagName === 'SELECT' ? [...field.options].find((option) => option.defaultSelected)?.value ?? '' : field.defaultValue;
};
const setSaved = (field, value) => {
    if (isSwitch(field)) {
        field.defaultChecked = value !== '';
    } else if (field.tagName === 'SELECT') {
        [...field.options].forEach((option) => { option.defaultSelected = option.value === value; });
    } else {
        field.defaultValue = value;
    }
};
const setValue = (field, value) => {
    if (isSwitch(field)) {
        field.checked = value !== '';
    } else {
        field.value = value;
    }
};
const isText = (field) => field?.matches('textarea, input:not([type=checkbox])') === true;

export function startSheet(htmx) {
    if (!sheet()) {
        return;
    }
    const dirty = new Map(); // field name → what it held when it was last saved
    const held = new Map(); // fields someone else wrote in too: name → what they wrote
    let sent = new Map();
    const asked = []; // shape changes still to ask for, one a request
    let did = null;
    let pause = null;
    let isFresh = true;
    const busy = () => sheet().classList.contains('htmx-request');
    const say = (text, isProblem) => {
        const line = document.getElementById('saved');
        line.textContent = text;
        line.classList.toggle('signal', isProblem);
    };
    const save = () => {
        clearTimeout(pause);
        if (dirty.size > 0 || asked.length > 0) {
            htmx.trigger(sheet(), 'save');
        }
    };
    const again = () => `cells:${sheet().elements.cells.value}`; // the sheet drawn again as it is
    const ask = (what) => {
        asked.push(what);
        save();
    };

    const changed = (field) => {
        if (!field.name || field.form?.id !== 'sheet' || held.has(field.name)) {
            return false;
        }
        if (!dirty.has(field.name)) {
            dirty.set(field.name, sent.has(field.name) ? sent.get(field.name).to : savedValueOf(field));
        }
        say('Saving …', false);
        return true;
    };
    document.addEventListener('input', (event) => {
        if (isText(event.target) && changed(event.target)) {
            clearTimeout(pause);
            pause = setTimeout(save, PAUSE);
        }
    });
    document.addEventListener('change', (event) => {
        if (event.target.form?.id === 'sheet' && changed(event.target)) {
            if (event.target.dataset.reshapes !== undefined) {
                asked.push(again());
            }
            clearTimeout(pause);
            pause = setTimeout(save, 120);
        }
    });

    document.addEventListener('htmx:configRequest', (event) => {
        if (event.target.id !== 'sheet') {
            return;
        }
        const form = event.detail.formData;
        const cells = sheet().elements.cells.value;
        // A button keeps its value in the form while it has the focus: it counts only when it was pressed.
        did = (event.detail.triggeringEvent?.type === 'submit' ? form.get('do') : asked.shift()) ?? null;
        sent = new Map();
        for (const [name, was] of dirty) {
            const field = fieldNamed(name);
            if (field && valueOf(field) !== was) {
                sent.set(name, { was, to: valueOf(field) });
            }
        }
        dirty.clear();
        clearTimeout(pause);
        [...new Set(form.keys())].forEach((key) => form.delete(key));
        if (sent.size === 0 && !did) {
            event.preventDefault();
            if (document.getElementById('saved').textContent === 'Saving …') {
                say(document.getElementById('saved').dataset.saved, false);
            }
            return;
        }
        form.set('cells', cells);
        form.set('seen', document.getElementById('sheet-side').dataset.version);
        form.set('changes', JSON.stringify([...sent].map(([name, { was, to }]) => ({ place: placeOf(name), was, to }))));
        if (did) {
            form.set('do', did);
        }
    });
    document.addEventListener('htmx:afterRequest', (event) => {
        if (event.target.id !== 'sheet') {
            return;
        }
        const { xhr, successful } = event.detail;
        for (const [name, { was, to }] of sent) {
            const field = fieldNamed(name);
            if (successful || xhr.status === 409) {
                if (field) {
                    setSaved(field, to);
                }
            } else {
                dirty.set(name, was);
            }
        }
        if (!successful && xhr.status !== 409) {
            say('Not saved yet; still in the page', true);
        }
        if (successful) {
            document.getElementById('messages').replaceChildren();
        }
        isFresh = successful;
        if (xhr.status !== 409) {
            sent = new Map();
        }
        if (asked.length > 0) {
            setTimeout(save);
        }
    });

    // The whole sheet comes back: what was typed since, and the place of the cursor, go over into it.
    let carried = null;
    document.addEventListener('htmx:beforeSwap', (event) => {
        if (event.detail.xhr.status === 409 && event.target.id === 'sheet-side') {
            event.detail.shouldSwap = true;
        }
        if (event.detail.target?.id !== 'sheet') {
            return;
        }
        const active = document.activeElement;
        carried = {
            typed: [...dirty.keys(), ...held.keys()].map((name) => [name, fieldNamed(name) && valueOf(fieldNamed(name))]),
            focus: active?.form?.id === 'sheet' ? { name: active.name, value: active.value, isText: isText(active), at: isText(active) ? [active.selectionStart, active.selectionEnd] : null } : null,
            scroll: document.querySelector('#sheet .scroll')?.scrollLeft ?? 0,
        };
    });
    document.addEventListener('htmx:afterSettle', () => {
        settle();
        if (!carried) {
            return;
        }
        const { typed, focus, scroll } = carried;
        carried = null;
        for (const [name, value] of typed) {
            const field = fieldNamed(name);
            if (field && value !== null) {
                setValue(field, value);
            } else {
                dirty.delete(name);
                held.delete(name);
            }
        }
        document.querySelector('#sheet .scroll').scrollLeft = scroll;
        // Whoever has gone on to another field while the sheet came back is left there.
        if (document.activeElement?.form?.id !== 'sheet' || did?.startsWith('add-')) {
            next(focus)?.focus();
        }
        if (focus?.at && document.activeElement?.name === focus.name && !did?.startsWith('add-')) {
            document.activeElement.setSelectionRange?.(...focus.at);
        }
        did = null;
    });
    const next = (focus) => {
        const rows = [...sheet().querySelectorAll('tr[data-criterion]')];
        const [what, id] = (did ?? '').split(':');
        const last = (selector, within = sheet()) => [...within.querySelectorAll(selector)].pop();
        if (what === 'add-criterion') {
            const at = id ? rows.findIndex((row) => row.dataset.criterion === id) + 1 : rows.length - 1;
            return rows[at]?.querySelector('textarea');
        }
        if (what === 'add-level') {
            return last('thead input[name$="[title]"]');
        }
        if (what === 'add-item' || what === 'add-own-level') {
            return last('[name$="[title]"]:not([data-single])', rows.find((row) => row.dataset.criterion === id));
        }
        const same = focus?.name && focus.name !== 'do' ? fieldNamed(focus.name) : null;
        return same ?? (did && sheet().querySelector(`button[value="${CSS.escape(did)}"]:not([disabled])`)) ?? (did ? document.getElementById('rubric-title') : null);
    };

    const open = new Set();
    document.addEventListener('toggle', (event) => {
        const name = event.target.dataset?.keeps;
        if (name) {
            open[event.target.open ? 'add' : 'delete'](name);
        }
    }, true);
    function settle() {
        sheet()?.querySelectorAll('.tools button, .row-tools button').forEach((button) => { button.tabIndex = -1; });
        sheet()?.querySelectorAll('details[data-keeps]').forEach((details) => { details.open = open.has(details.dataset.keeps); });
        if (dirty.size > 0) {
            say('Saving …', false);
        }
        if (document.getElementById('sheet-side')?.dataset.version === '0') {
            listen(); // someone else saved between what this page knew and what it sent
        }
    }

    // Someone else wrote in the same field: it is shown beside ours until one of them is chosen.
    document.addEventListener('htmx:afterSwap', (event) => {
        if (event.detail.target?.id !== 'clashes') {
            return;
        }
        for (const row of document.querySelectorAll('[data-clash]')) {
            const name = [...sent.keys()].find((each) => placeOf(each) === row.dataset.clash);
            if (name) {
                held.set(name, row.dataset.theirs);
                row.dataset.name = name;
            }
        }
        sent = new Map();
        say('Not all saved: choose above', true);
    });
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-keep]');
        if (!button) {
            return;
        }
        const row = button.closest('[data-clash]');
        const field = fieldNamed(row.dataset.name);
        held.delete(row.dataset.name);
        if (field) {
            setSaved(field, row.dataset.theirs);
            if (button.dataset.keep === 'theirs') {
                setValue(field, row.dataset.theirs);
            } else {
                dirty.set(field.name, row.dataset.theirs);
            }
        }
        const notice = row.closest('.notice');
        row.remove();
        if (!notice.querySelector('[data-clash]')) {
            notice.remove();
        }
        say(document.getElementById('saved').dataset.saved, false);
        save();
    });

    // What could not be sent is sent again; nobody leaves with unsaved words unasked.
    setInterval(() => { if (!isFresh && !busy()) { save(); } }, 4000);
    window.addEventListener('online', save);
    window.addEventListener('beforeunload', (event) => {
        if (dirty.size + held.size > 0) {
            save();
            event.preventDefault();
        }
    });

    // Who else is here, and what they wrote.
    async function listen() {
        const side = document.getElementById('sheet-side');
        if (!side || document.hidden || busy()) {
            return;
        }
        const answer = await fetch(`${side.dataset.news}?seen=${side.dataset.version}`, { headers: { Accept: 'application/json' } }).catch(() => null);
        if (!answer?.ok || busy()) {
            return;
        }
        const news = await answer.json();
        const line = document.getElementById('news');
        line.textContent = news.others.length ? `Also here: ${news.others.join(', ')}.` : '';
        const now = document.getElementById('sheet-side');
        if (!news.fields || now.dataset.version !== side.dataset.version) {
            return;
        }
        if (!news.working) {
            line.textContent += ' This rubric is no longer a working copy; load the page again.';
            return;
        }
        let taken = 0;
        for (const field of sheet().querySelectorAll('[name]:not([type=hidden]):not(button)')) {
            const theirs = news.fields[placeOf(field.name)];
            if (theirs !== undefined && theirs !== savedValueOf(field) && !dirty.has(field.name) && !held.has(field.name) && !sent.has(field.name)) {
                setSaved(field, theirs);
                setValue(field, theirs);
                taken++;
            }
        }
        if (news.by && (taken > 0 || news.shape !== sheet().dataset.shape)) {
            line.textContent += ` ${news.by} has changed the sheet; you see it now.`;
        }
        now.dataset.version = news.version;
        now.querySelector('input[name=seen]').value = news.version;
        document.getElementById('ready-button').value = news.version;
        ask(again()); // its shape, its weight bar and its advice may differ
    }
    setInterval(listen, NEWS);
    settle();
    listen();

    // Leaving by a link or a button of the page waits until what was typed last has been saved.
    const whenSaved = (go) => {
        save();
        const wait = setInterval(() => {
            if (dirty.size === 0 && !busy() || held.size > 0) {
                clearInterval(wait);
                if (held.size === 0) {
                    go();
                }
            }
        }, 60);
    };
    const isOpen = () => dirty.size > 0 || busy();
    document.addEventListener('submit', (event) => {
        const { target: form, submitter } = event;
        if (form.id === 'sheet' || form.closest('dialog') || !isOpen()) {
            return;
        }
        event.preventDefault();
        whenSaved(() => form.requestSubmit(document.getElementById(submitter?.id) ?? submitter ?? undefined));
    });
    document.addEventListener('click', (event) => {
        const link = event.target.closest('a[href]');
        if (!link || event.ctrlKey || event.metaKey || event.shiftKey || link.target || !isOpen()) {
            return;
        }
        event.preventDefault();
        whenSaved(() => { window.location.href = link.href; });
    });

    document.addEventListener('keydown', (event) => keys(event, ask, dirty));
    drag(ask);
    paste(htmx);
}

/* Movement from cell to cell, as in a table; from inside a text only from its edge. */
function keys(event, ask, dirty) {
    const field = event.target;
    const isElsewhere = field.closest?.('#sheet') === null;
    if (document.querySelector('dialog[open]') || (isElsewhere && field !== document.body && field.id !== 'main')) {
        return;
    }
    const criterion = field.closest('tr')?.dataset.criterion;
    const level = field.name?.match(/^levels\[([^\]]+)\]/)?.[1];
    const cellLevel = level ?? field.name?.match(/\[(?:descriptors|guidance|overrides)\]\[([^\]]+)\]/)?.[1];
    const does = (what) => {
        event.preventDefault();
        ask(what);
    };
    if ((event.ctrlKey || event.metaKey) && ['z', 'Z', 'y'].includes(event.key)) {
        if (!(isText(field) && dirty.has(field.name))) {
            does(event.key === 'z' && !event.shiftKey ? 'undo' : 'redo');
        }
        return;
    }
    if (isElsewhere) {
        return;
    }
    if (event.ctrlKey && event.key === 'Enter') {
        does(event.shiftKey ? 'add-level' : `add-criterion${criterion ? `:${criterion}` : ''}`);
        return;
    }
    if (event.altKey && event.shiftKey) {
        const move = { ArrowUp: criterion && `criterion-up:${criterion}`, ArrowDown: criterion && `criterion-down:${criterion}`, ArrowLeft: cellLevel && `level-left:${cellLevel}`, ArrowRight: cellLevel && `level-right:${cellLevel}`,
            D: level ? `duplicate-level:${level}` : criterion && `duplicate-criterion:${criterion}`, Delete: level ? `remove-level:${level}` : criterion && `remove-criterion:${criterion}` }[event.key];
        if (move) {
            does(move);
        }
        return;
    }
    if (event.ctrlKey || event.altKey || event.metaKey || event.shiftKey || !isText(field) || field.dataset.col === undefined) {
        return;
    }
    const atStart = field.selectionStart === 0 && field.selectionEnd === 0;
    const atEnd = field.selectionStart === field.value.length;
    const column = [...sheet().querySelectorAll(`[data-col="${field.dataset.col}"]`)];
    const row = [...(field.closest('tr')?.querySelectorAll('[data-col]') ?? [])];
    const beside = (list, by) => list[list.indexOf(field) + by];
    const target = event.key === 'ArrowUp' && atStart ? beside(column, -1)
        : event.key === 'ArrowDown' && atEnd ? beside(column, 1)
            : event.key === 'ArrowLeft' && atStart ? beside(row, -1)
                : event.key === 'ArrowRight' && atEnd ? beside(row, 1)
                    : event.key === 'Enter' && (field.tagName === 'INPUT' || field.dataset.single !== undefined) ? beside(column, 1) ?? field
                        : null;
    if (target) {
        event.preventDefault();
        target.focus();
        const end = event.key === 'ArrowLeft' || event.key === 'ArrowUp' ? target.value.length : 0;
        target.setSelectionRange?.(end, end);
    }
}

/* A criterion is dragged by its grip to another row, a level to another column. */
function drag(ask) {
    let dragged = null;
    const places = () => (dragged?.dataset.level === undefined ? 'tr[data-criterion]' : 'th[data-level]');
    const placeAt = (event) => dragged && event.target.closest?.(`#sheet ${places()}`);
    const unmark = () => document.querySelectorAll('#sheet .drop').forEach((place) => place.classList.remove('drop'));
    document.addEventListener('dragstart', (event) => {
        dragged = event.target.closest?.('.grip')?.closest('th[data-level], tr[data-criterion]') ?? null;
        if (dragged) {
            event.dataTransfer.effectAllowed = 'move';
            event.dataTransfer.setData('text/plain', '');
            event.dataTransfer.setDragImage(dragged, 10, 10);
        }
    });
    document.addEventListener('dragover', (event) => {
        const place = placeAt(event);
        if (place) {
            event.preventDefault();
            unmark();
            place.classList.add('drop');
        }
    });
    document.addEventListener('drop', (event) => {
        const place = placeAt(event);
        if (place) {
            event.preventDefault();
            const at = [...document.querySelectorAll(`#sheet ${places()}`)].indexOf(place);
            ask(dragged.dataset.level === undefined ? `place-criterion:${dragged.dataset.criterion}:${at}` : `place-level:${dragged.dataset.level}:${at}`);
        }
    });
    document.addEventListener('dragend', () => {
        dragged = null;
        unmark();
    });
}

/* A table from a word processor comes as HTML; a plain text field would lose its cells. */
function paste(htmx) {
    document.addEventListener('paste', (event) => {
        const field = event.target.closest?.('[data-takes-tables]');
        const html = field && event.clipboardData?.getData('text/html');
        if (html && /<table/i.test(html)) {
            event.preventDefault();
            field.value = html.slice(html.search(/<table/i));
            htmx.trigger(field, 'input');
        }
    });
    // The buttons below the preview send the form as a page would.
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-plain]');
        if (button) {
            event.preventDefault();
            event.stopPropagation();
            const { form } = button;
            form.action = button.getAttribute('formaction');
            form.insertAdjacentHTML('beforeend', `<input type="hidden" name="${button.name}" value="${button.value}">`);
            form.submit();
        }
    }, true);
}
