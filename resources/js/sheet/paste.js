/* A table from a word processor comes as HTML; a plain text field would lose its cells. */
export function takeTables(htmx) {
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
