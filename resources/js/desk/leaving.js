/* Nobody leaves with what is not saved: Done and Set aside wait for it, and the browser asks. */
export function guardLeaving(desk, outbox, status) {
    window.addEventListener('beforeunload', (event) => {
        if (outbox.waiting().length > 0 && outbox.state !== 'saving') {
            event.preventDefault();
        }
    });
    for (const form of desk.querySelectorAll('form[data-after-saving]')) {
        form.addEventListener('submit', async (event) => {
            if (outbox.waiting().length === 0) {
                return;
            }
            event.preventDefault();
            status.show('Saving first …');
            if (await outbox.drained()) {
                form.submit();
            } else {
                status.show('Not saved yet, so not done yet', true);
            }
        });
    }
}
