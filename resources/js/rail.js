/*
 * Rails: keys choose a stop, the descriptor of the stop under the pin reads below, dragging moves the pin. Used at the
 * desk and where a rubric is tried.
 */
import { make } from './make.js';

export function startRails(root, criterion) {
    for (const heard of ['input', 'redescribe']) {
        root.addEventListener(heard, (event) => {
            const box = event.target.closest(criterion);
            if (box) {
                showDescriptor(box);
            }
        });
    }

    // 1 to 9 choose a level on the rail that has the focus, 0 takes the choice back.
    root.addEventListener('keydown', (event) => {
        const form = event.target.closest(criterion);
        if (!form || event.target.type !== 'radio' || event.ctrlKey || event.altKey || event.metaKey) {
            return;
        }
        if (/^[1-9]$/.test(event.key)) {
            const stop = form.querySelectorAll('.stop:not(.between) input')[Number(event.key) - 1];
            if (stop) {
                event.preventDefault();
                stop.focus();
                stop.checked = true;
                stop.dispatchEvent(new Event('input', { bubbles: true }));
                stop.dispatchEvent(new Event('change', { bubbles: true }));
            }
        } else if (event.key === '0' || event.key === 'Backspace') {
            event.preventDefault();
            form.querySelectorAll('.stop input').forEach((stop) => { stop.checked = false; });
            event.target.dispatchEvent(new Event('input', { bubbles: true }));
            event.target.dispatchEvent(new Event('change', { bubbles: true }));
        }
    });

    // The descriptor of the stop under the pin reads below its rail.
    function showDescriptor(form) {
        const line = form.querySelector('.descriptor');
        const stop = form.querySelector('.stop input:checked');
        const range = form.querySelector('.range-points');
        if (range) {
            range.hidden = !stop?.dataset.range;
            range.querySelector('span').textContent = stop?.dataset.range ?? '';
            const field = range.querySelector('input');
            const [low, high] = (stop?.dataset.range ?? '').split(' to ').map(Number);
            const points = Number(field.value.replace(',', '.'));
            // Choosing a level with a range gives its middle, said so, until other points are set.
            if (stop?.dataset.middle && document.activeElement !== field && (field.value === '' || !(points >= low && points <= high))) {
                field.value = stop.dataset.middle;
            }
            range.querySelector('.middle').hidden = !stop?.dataset.middle || field.value !== stop.dataset.middle;
        }
        if (line && (stop || form.querySelector('.rail'))) {
            line.replaceChildren();
            const own = form.querySelector('[name$="own_points"], [name$="own_points]"]')?.value ?? '';
            const applies = !form.querySelector('[name="na"]:checked');
            line.append(make('b', { textContent: stop ? stop.dataset.name : '' }), stop ? ` ${stop.dataset.descriptor}` : (!applies ? 'does not apply' : (own === '' ? 'not yet set' : `${own} points, set by hand`)));
            line.classList.toggle('signal', !stop && applies && own === '');
        }
    }

    // On approach a level's descriptor reads below the rail, over what is there: nothing moves, nothing is chosen.
    for (const rail of root.querySelectorAll('.rail')) {
        const peek = rail.parentElement.querySelector('.peek');
        let timer;
        rail.addEventListener('pointerover', (event) => {
            const stop = event.pointerType === 'mouse' && event.buttons === 0 ? event.target.closest('.stop')?.querySelector('input') : null;
            clearTimeout(timer);
            if (!peek || !stop || stop.checked || !stop.dataset.descriptor) {
                peek?.setAttribute('hidden', '');
                return;
            }
            timer = setTimeout(() => {
                peek.replaceChildren(make('b', { textContent: stop.dataset.name }), ` ${stop.dataset.descriptor}`);
                peek.removeAttribute('hidden');
            }, peek.hidden ? 150 : 0);
        });
        for (const gone of ['pointerleave', 'pointerdown']) {
            rail.addEventListener(gone, () => {
                clearTimeout(timer);
                peek?.setAttribute('hidden', '');
            });
        }
    }

    // Dragging along a rail moves the pin, with mouse or finger.
    for (const rail of root.querySelectorAll('.rail')) {
        const move = (event) => {
            const stop = document.elementsFromPoint(event.clientX, rail.getBoundingClientRect().top + 10)
                .map((element) => element.closest('.stop')).find((found) => found && rail.contains(found));
            const input = stop?.querySelector('input');
            if (input && !input.checked && !input.disabled) {
                input.checked = true;
                input.dispatchEvent(new Event('input', { bubbles: true }));
            }
        };
        rail.addEventListener('pointerdown', (event) => {
            if (event.pointerType === 'mouse' && event.button !== 0) {
                return;
            }
            const start = rail.querySelector('input:checked')?.value;
            const up = () => {
                document.removeEventListener('pointermove', move);
                const chosen = rail.querySelector('input:checked');
                if (chosen && chosen.value !== start) {
                    chosen.dispatchEvent(new Event('change', { bubbles: true }));
                }
            };
            document.addEventListener('pointermove', move);
            document.addEventListener('pointerup', up, { once: true });
        });
    }
}
