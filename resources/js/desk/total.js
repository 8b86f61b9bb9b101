/* The head of the rubric with the total, as the server draws it. */
export function replaceTotal(html, htmx) {
    const isOpen = document.getElementById('working')?.open;
    const hadFocus = document.activeElement?.closest?.('#total') != null;
    document.getElementById('total').outerHTML = html;
    htmx.process(document.getElementById('total'));
    if (isOpen) {
        document.getElementById('working').showModal();
    } else if (hadFocus) {
        document.querySelector('#total button')?.focus();
    }
}
