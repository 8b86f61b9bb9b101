/*
 * The rubric sheet: after its shape has changed, the focus goes where the next word is likely to be written; and it is
 * made ready only when what was typed last has been saved.
 */
export function startSheet(htmx) {
    let unsaved = false;
    document.addEventListener('input', (event) => {
        unsaved ||= event.target.form?.id === 'sheet';
    });
    document.addEventListener('htmx:beforeRequest', (event) => {
        if (event.target.id === 'sheet') {
            unsaved = false;
        }
    });
    document.addEventListener('htmx:afterRequest', (event) => {
        if (event.target.id === 'sheet' && !event.detail.successful) {
            unsaved = true;
        }
    });
    const isBusy = () => unsaved || document.querySelector('#sheet.htmx-request') !== null;
    document.getElementById('ready')?.addEventListener('submit', (event) => {
        if (!isBusy()) {
            return;
        }
        event.preventDefault();
        const form = event.target;
        document.addEventListener('htmx:afterSettle', () => {
            if (!isBusy()) {
                form.requestSubmit(document.getElementById('ready-button'));
            }
        }, { once: true });
        if (unsaved) {
            htmx.trigger('#sheet', 'change');
        }
    });
    // "Save mine over theirs" stands outside the sheet, so the version it was asked for goes in by hand.
    document.addEventListener('click', (event) => {
        const over = event.target.closest('[data-over]');
        const seen = document.querySelector('#sheet-side input[name=seen]');
        if (over && seen) {
            seen.value = over.value;
        }
    });
    let did = null;
    document.addEventListener('htmx:beforeRequest', (event) => {
        if (event.target.id === 'sheet') {
            did = event.detail.requestConfig.parameters.do ?? null;
        }
    });
    document.addEventListener('htmx:afterSettle', () => {
        const sheet = document.getElementById('sheet');
        if (!sheet || !did) {
            return;
        }
        const last = (selector) => [...sheet.querySelectorAll(selector)].pop();
        const next = did === 'add-criterion' ? last('tbody textarea[name$="[title]"]')
            : did === 'add-level' ? last('thead input[name$="[title]"]')
                : sheet.querySelector(`button[value="${CSS.escape(did)}"]`) ?? sheet.querySelector('#rubric-title');
        did = null;
        next?.focus();
    });
}
