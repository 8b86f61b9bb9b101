/* What keys and buttons do at the desk. */

import { TEXTS } from './fields.js';

/** Which of so many one comes to from one of them, or from none (-1). */
export function stepped(at, by, count) {
    return at === -1 ? (by > 0 ? 0 : count - 1) : Math.max(0, Math.min(count - 1, at + by));
}

export function bindActs(commands, { desk, notes, pages }) {
    const criteria = [...desk.querySelectorAll('form[data-part]')].filter((form) => !TEXTS.includes(form.dataset.part));
    const focusedForm = () => document.activeElement?.closest?.('form[data-part]');
    const focusOn = (form) => (form.querySelector('input:checked:not([name=na])') ?? form.querySelector('input:not([type=hidden]):not([name=na]), textarea'))?.focus();
    const step = (by) => focusOn(criteria[stepped(criteria.indexOf(focusedForm()), by, criteria.length)]);
    const press = (what) => () => document.querySelector(`[data-do=${what}]`)?.click();
    const privateNote = () => {
        document.getElementById('private').closest('details').open = true;
        document.getElementById('private').focus();
    };
    commands.on({
        sentence: () => notes.read(1), 'sentence-back': () => notes.read(-1), longer: () => notes.read(1, true), shorter: () => notes.read(-1, true),
        'start-later': () => notes.narrow('start', 1), 'start-earlier': () => notes.narrow('start', -1), 'end-later': () => notes.narrow('end', 1), 'end-earlier': () => notes.narrow('end', -1),
        comment: () => (pages.isOpen() ? pages.comment() : notes.begin()), undo: () => notes.undo(),
        'next-comment': () => notes.step(1), 'previous-comment': () => notes.step(-1), 'criterion-comments': () => focusedForm() && notes.step(1, focusedForm().dataset.part),
        criterion: () => step(1), 'criterion-back': () => step(-1), 'write-here': () => (focusedForm() ?? criteria[0])?.querySelector('textarea')?.focus(),
        general: () => document.getElementById('general')?.focus(), private: privateNote,
        lately: () => (focusedForm() ?? criteria[0])?.querySelector('[data-lately]')?.click(), pages: () => pages.toggle(),
        ...Object.fromEntries(['next', 'previous', 'done', 'aside', 'working', 'brief', 'rubric', 'levels', 'bank', 'keys'].map((what) => [what, press(what)])),
    });
    desk.querySelectorAll('[data-command]').forEach((button) => button.addEventListener('click', () => commands.run(button.dataset.command)));
}
