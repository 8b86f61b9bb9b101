/* Keys a page has: any link or button with data-key is reached by that key; ? lists them. */
export const isWriting = (element) => element.matches?.('textarea, select, [contenteditable], input:not([type=radio]):not([type=checkbox])');

export function startKeys() {
    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.altKey || event.metaKey || isWriting(event.target) === true || document.querySelector('dialog[open]')) {
            return;
        }
        if (event.key === '?') {
            const list = document.getElementById('keys');
            if (list) {
                event.preventDefault();
                list.showModal();
            }
            return;
        }
        const target = document.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
        if (target) {
            event.preventDefault();
            if (target.dataset.focuses !== undefined) {
                target.focus();
            } else {
                target.click();
            }
        }
    });
}
