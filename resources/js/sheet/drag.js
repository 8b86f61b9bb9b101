/* A criterion is dragged by its grip to another row, a level to another column. */
export function letDrag(ask) {
    let dragged = null;
    const places = () => (dragged?.dataset.level === undefined ? 'tr[data-criterion]' : 'th[data-level]');
    const placeAt = (event) => dragged && event.target.closest?.(`#sheet ${places()}`);
    const unmark = () => document.querySelectorAll('#sheet .drop').forEach((place) => place.classList.remove('drop'));
    document.addEventListener('dragstart', (event) => {
        dragged = event.target.closest?.('.grip')?.closest('th[data-level], tr[data-criterion]') ?? null;
        if (dragged) {
            event.dataTransfer.effectAllowed = 'move';
            event.dataTransfer.setData('text/plain', '');
            event.dataTransfer.setDragImage(dragged, 10, 10);
        }
    });
    document.addEventListener('dragover', (event) => {
        const place = placeAt(event);
        if (place) {
            event.preventDefault();
            unmark();
            place.classList.add('drop');
        }
    });
    document.addEventListener('drop', (event) => {
        const place = placeAt(event);
        if (place) {
            event.preventDefault();
            const at = [...document.querySelectorAll(`#sheet ${places()}`)].indexOf(place);
            ask(dragged.dataset.level === undefined ? `place-criterion:${dragged.dataset.criterion}:${at}` : `place-level:${dragged.dataset.level}:${at}`);
        }
    });
    document.addEventListener('dragend', () => {
        dragged = null;
        unmark();
    });
}
