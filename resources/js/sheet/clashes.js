/* Someone else wrote in the same field: it is shown beside ours until one of them is chosen. */
import { fieldNamed, placeOf, setSaved, setValue } from './cells.js';

/** @param {{changes: import('./changes.js').Changes, say: Function, sayAll: Function, save: Function}} desk */
export function settleClashes({ changes, say, saySaved, save }) {
    document.addEventListener('htmx:afterSwap', (event) => {
        if (event.detail.target?.id !== 'clashes') {
            return;
        }
        for (const row of document.querySelectorAll('[data-clash]')) {
            const name = changes.sentNames().find((each) => placeOf(each) === row.dataset.clash);
            if (name) {
                changes.hold(name, row.dataset.theirs);
                row.dataset.name = name;
            }
        }
        changes.forgetSent();
        say('Not all saved: choose above', true);
    });
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-keep]');
        if (!button) {
            return;
        }
        const row = button.closest('[data-clash]');
        const { name, theirs } = row.dataset;
        const field = fieldNamed(name);
        const isOurs = button.dataset.keep !== 'theirs';
        changes.choose(name, field && isOurs ? theirs : null);
        if (field) {
            setSaved(field, theirs);
            if (!isOurs) {
                setValue(field, theirs);
            }
        }
        const notice = row.closest('.notice');
        row.remove();
        if (!notice.querySelector('[data-clash]')) {
            notice.remove();
        }
        saySaved();
        save();
    });
}
