/* The whole sheet comes back: what was typed since, and the place of the cursor, go over into it. */
import { fieldNamed, isText, setValue, sheet, valueOf } from './cells.js';

/** What is to go over. */
export function pickUp(changes) {
    const active = document.activeElement;
    return {
        typed: changes.names().map((name) => [name, fieldNamed(name) && valueOf(fieldNamed(name))]),
        focus: active?.form?.id === 'sheet' ? { name: active.name, at: isText(active) ? [active.selectionStart, active.selectionEnd] : null } : null,
        scroll: document.querySelector('#sheet .scroll')?.scrollLeft ?? 0,
    };
}

/** Puts it into the new sheet. @param {string|null} did the change of shape it comes back from */
export function putDown({ typed, focus, scroll }, changes, did) {
    for (const [name, value] of typed) {
        const field = fieldNamed(name);
        if (field && value !== null) {
            setValue(field, value);
        } else {
            changes.drop(name);
        }
    }
    document.querySelector('#sheet .scroll').scrollLeft = scroll;
    const isNew = did?.startsWith('add-') === true;
    // Whoever has gone on to another field while the sheet came back is left there.
    if (document.activeElement?.form?.id !== 'sheet' || isNew) {
        nextField(did, focus)?.focus();
    }
    if (focus?.at && document.activeElement?.name === focus.name && !isNew) {
        document.activeElement.setSelectionRange?.(...focus.at);
    }
}

/** Where one goes on after a change of shape: in what was added, or where one was. */
function nextField(did, focus) {
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
    const button = did && sheet().querySelector(`button[value="${CSS.escape(did)}"]:not([disabled])`);
    return same ?? button ?? (did ? document.getElementById('rubric-title') : null);
}
