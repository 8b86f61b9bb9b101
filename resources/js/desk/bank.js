/*
 * The comment bank while one writes: a semicolon and a few letters, in any comment, list what fits; Enter puts the long
 * words in place of them. The panel lists all, to read, to choose from and to drag into a comment.
 */
import { make } from '../make.js';
import { post } from '../request.js';

const TRIGGER = /(?:^|\s);([\p{L}\p{N}][\p{L}\p{N} -]{0,30})?$/u;

/** How well an entry fits what was typed: each part must begin a word of it, words of the label first. */
function fit(entry, typed) {
    const parts = typed.toLowerCase().split(/\s+/).filter(Boolean);
    const begins = (text, part) => ` ${text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')}`.includes(` ${part}`);
    if (parts.every((part) => begins(entry.label, part))) {
        return 2;
    }
    return parts.every((part) => begins(`${entry.label} ${entry.text} ${entry.criterion}`, part)) ? 1 : 0;
}

export function startBank({ desk, notes, config }) {
    let entries = config.bank;
    const box = document.getElementById('bank');
    const panel = document.getElementById('bank-panel');
    let field = null;
    let shown = [];
    let at = 0;

    const hide = () => { box.hidden = true; field?.removeAttribute('aria-activedescendant'); field?.setAttribute('aria-expanded', 'false'); };
    const typed = () => field.value.slice(0, field.selectionStart).match(TRIGGER);
    const criterionOf = () => config.criteria[field?.closest('form[data-part]')?.dataset.part ?? notes.current()?.criterion] ?? '';

    const rank = (text) => entries.map((entry) => ({ entry, fit: text === '' ? 1 : fit(entry, text) })).filter((one) => one.fit > 0)
        .sort((a, b) => b.fit - a.fit || (b.entry.criterion === criterionOf()) - (a.entry.criterion === criterionOf()) || b.entry.used - a.entry.used || a.entry.label.localeCompare(b.entry.label)).map((one) => one.entry);

    const draw = () => {
        box.replaceChildren(...shown.slice(0, 8).map((entry, n) => {
            const line = make('div', { id: `bank-${n}`, className: 'bank-line', role: 'option' }, make('b', { textContent: entry.label }), make('span', { className: 'quiet', textContent: ` ${entry.text.slice(0, 110)}` }));
            line.setAttribute('role', 'option');
            line.setAttribute('aria-selected', String(n === at));
            line.addEventListener('pointerdown', (event) => { event.preventDefault(); choose(entry); });
            return line;
        }));
        field.setAttribute('aria-activedescendant', `bank-${at}`);
    };

    const choose = (entry) => {
        const start = field.selectionStart - (typed()?.[0].trimStart().length ?? 0);
        field.setRangeText(entry.text, start, field.selectionStart, 'end');
        hide();
        field.dispatchEvent(new Event('input', { bubbles: true }));
        used(entry);
    };

    /** A comment on the text says itself which entry it came from; for other fields it is counted here. */
    const used = (entry) => {
        entry.used++;
        post(config.bankUsed.replace('ENTRY', entry.id)).catch(() => {});
    };

    desk.addEventListener('input', (event) => {
        if (!event.target.matches('textarea')) {
            return;
        }
        field = event.target;
        const match = typed();
        shown = match ? rank(match[1] ?? '') : [];
        if (shown.length === 0) {
            hide();
            return;
        }
        at = 0;
        const place = field.getBoundingClientRect();
        box.hidden = false;
        box.style.setProperty('left', `${Math.min(place.left, innerWidth - 430)}px`);
        const below = innerHeight - place.bottom > 240;
        box.style.setProperty('top', below ? `${place.bottom + 2}px` : 'auto');
        box.style.setProperty('bottom', below ? 'auto' : `${innerHeight - place.top + 2}px`);
        field.setAttribute('aria-controls', 'bank');
        field.setAttribute('aria-expanded', 'true');
        draw();
    });
    desk.addEventListener('keydown', (event) => {
        if (box.hidden || event.target !== field) {
            return;
        }
        const most = Math.min(8, shown.length);
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            at = (at + (event.key === 'ArrowDown' ? 1 : -1) + most) % most;
            draw();
        } else if (event.key === 'Enter' || event.key === 'Tab') {
            event.preventDefault();
            choose(shown[at]);
        } else if (event.key === 'Escape') {
            hide(); // and the field is left, as by every Escape
        }
    }, true);
    desk.addEventListener('focusout', (event) => { if (event.target === field) { setTimeout(hide, 120); } });

    // The panel: search, choose, drag.
    const search = panel.querySelector('input');
    const list = panel.querySelector('[data-list]');
    const drawPanel = () => {
        const found = rank(search.value.trim());
        list.replaceChildren(...found.map((entry) => {
            const line = make('button', { type: 'button', className: 'bank-line', draggable: true }, make('b', { textContent: entry.label }), make('span', { className: 'quiet small', textContent: ` ${entry.set}${entry.criterion ? ` · ${entry.criterion}` : ''}${entry.used ? ` · used ${entry.used} times` : ''}` }), make('span', { className: 'words', textContent: entry.text }));
            line.addEventListener('click', () => { panel.close(); notes.insert(entry); });
            line.addEventListener('dragstart', (event) => { event.dataTransfer.setData('text/plain', entry.text); event.dataTransfer.effectAllowed = 'copy'; });
            return make('li', {}, line);
        }));
        panel.querySelector('[data-none]').hidden = found.length > 0;
    };
    search.addEventListener('input', drawPanel);
    desk.querySelectorAll('[data-do=bank]').forEach((button) => button.addEventListener('click', () => { drawPanel(); panel.show(); search.focus(); }));
    panel.addEventListener('keydown', (event) => { if (event.key === 'Escape') { panel.close(); } });
    panel.querySelector('[data-shut]').addEventListener('click', () => panel.close());

    // The comment just written is worth keeping: the open comment's words go into the bank.
    const keep = document.getElementById('keep-dialog');
    if (!keep) { // a mark that is done takes no new comment
        return;
    }
    desk.querySelectorAll('[data-keep-comment]').forEach((button) => button.addEventListener('click', () => {
        const now = notes.current();
        const text = now?.body ?? '';
        if (text.trim() === '') {
            notes.say('Write the comment first.');
            return;
        }
        keep.querySelector('[name=text]').value = text;
        keep.querySelector('[name=kind]').value = now.kind;
        keep.querySelector('[name=criterion]').value = now.criterion ? config.criteria[now.criterion] : '';
        keep.querySelector('[name=label]').value = text.split(/[.!?\n]/)[0].split(/\s+/).slice(0, 4).join(' ').slice(0, 80);
        keep.querySelector('[role=status]').textContent = '';
        keep.showModal();
    }));
    keep.querySelector('form').addEventListener('submit', async (event) => {
        event.preventDefault();
        const line = keep.querySelector('[role=status]');
        try {
            const answer = await post(keep.querySelector('form').action, new FormData(keep.querySelector('form')));
            const told = await answer.json();
            if (!answer.ok) {
                line.textContent = told.message;
                return;
            }
            entries = [...entries, told.entry];
            keep.close();
            notes.say(`“${told.entry.label}” is in the bank.`);
        } catch {
            line.textContent = 'Not kept: the server cannot be reached. The comment itself is safe.';
        }
    });
}
