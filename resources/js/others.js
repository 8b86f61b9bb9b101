/*
 * Comments of other markers on a text: a line above or below the words tells whose (custom highlights, the text itself is
 * untouched); a comment that is pressed shows its words.
 */
import { Places } from './desk/places.js';

const smooth = () => (matchMedia('(prefers-reduced-motion: reduce)').matches ? 'auto' : 'smooth');

/** @param {HTMLElement} list with items `[data-place="start end"][data-seat]`, in a page with `[data-text]` around the script */
export function startOthers(list) {
    const article = document.querySelector('[data-text] article.text, article.text');
    if (!article || !window.Highlight) {
        return;
    }
    const places = new Places(article);
    const seats = new Map();
    list.querySelectorAll('[data-place]').forEach((item) => {
        const range = places.range(...item.dataset.place.split(' ').map(Number));
        if (!range) {
            return;
        }
        const { seat } = item.dataset;
        seats.set(seat, [...(seats.get(seat) ?? []), range]);
        const show = () => {
            CSS.highlights.set('others-now', new Highlight(range));
            const fold = article.closest('details');
            if (fold) {
                fold.open = true;
            }
            (range.startContainer.parentElement ?? article).scrollIntoView({ block: 'center', behavior: smooth() });
        };
        const button = item.querySelector('[data-show]');
        button?.removeAttribute('hidden');
        button?.addEventListener('click', show);
    });
    seats.forEach((ranges, seat) => CSS.highlights.set(`others-${seat}`, new Highlight(...ranges)));
}
