/* The border between script and rubric: moved with mouse, finger or arrow keys, kept for the person. */
import { sendJson } from '../request.js';

const LEAST = 340;

export function startSplit(desk, config) {
    const bar = desk.querySelector('[role=separator]');
    const most = () => Math.max(LEAST, desk.clientWidth - 460);
    const set = (width) => {
        const side = Math.round(Math.max(LEAST, Math.min(most(), width)));
        desk.style.setProperty('--side', `${side}px`);
        bar.setAttribute('aria-valuenow', String(side));
        bar.setAttribute('aria-valuemin', String(LEAST));
        bar.setAttribute('aria-valuemax', String(most()));
        return side;
    };
    let side = set(config.side ?? 436);
    let timer = null;
    const keep = () => {
        clearTimeout(timer);
        timer = setTimeout(() => sendJson('PUT', config.settings, { side }).catch(() => {}), 800);
    };
    bar.addEventListener('keydown', (event) => {
        const by = { ArrowLeft: 24, ArrowRight: -24 }[event.key];
        if (by) {
            event.preventDefault();
            side = set(side + by);
            keep();
        }
    });
    bar.addEventListener('pointerdown', (event) => {
        event.preventDefault();
        bar.setPointerCapture(event.pointerId);
        const move = (moved) => { side = set(desk.getBoundingClientRect().right - moved.clientX); };
        bar.addEventListener('pointermove', move);
        bar.addEventListener('pointerup', () => { bar.removeEventListener('pointermove', move); keep(); }, { once: true });
    });
}
