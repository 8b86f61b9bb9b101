/* Leaving by a link or a button of the page waits until what was typed last has been saved; the browser asks otherwise. */
export function guardLeaving({ changes, isBusy, save }) {
    const isOpen = () => changes.unsent > 0 || isBusy();
    const whenSaved = (go) => {
        save();
        const wait = setInterval(() => {
            if ((changes.unsent === 0 && !isBusy()) || changes.held > 0) {
                clearInterval(wait);
                if (changes.held === 0) {
                    go();
                }
            }
        }, 60);
    };
    window.addEventListener('beforeunload', (event) => {
        if (changes.unsent + changes.held > 0) {
            save();
            event.preventDefault();
        }
    });
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
}
