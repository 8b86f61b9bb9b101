/*
 * The overlap reading: threads from each run in the script to the same words in the source, drawn anew as either side
 * scrolls; and the open run brought into view on both sides.
 */
const SVG = 'http://www.w3.org/2000/svg';

/** Where a run's words begin and end in a pane, in pixels from the pane's top; null when out of sight. */
function extent(pane, run, onlyNow) {
    const marks = pane.querySelectorAll(`[data-run="${run}"][data-same]${onlyNow ? '.now' : ''}`);
    if (marks.length === 0) {
        return null;
    }
    const top = pane.getBoundingClientRect().top;
    const from = marks[0].getBoundingClientRect().top - top;
    const to = marks[marks.length - 1].getBoundingClientRect().bottom - top;
    return to < 0 || from > pane.clientHeight ? null : [Math.max(0, from), Math.min(pane.clientHeight, to)];
}

function draw(reading) {
    const svg = reading.querySelector('.threads');
    const here = reading.querySelector('[data-pane=here]');
    const there = reading.querySelector('[data-pane=there]');
    const { width, height } = svg.getBoundingClientRect();
    svg.setAttribute('viewBox', `0 0 ${width} ${height}`);
    svg.replaceChildren();
    const runs = [...new Set([...there.querySelectorAll('[data-same]')].map((mark) => mark.dataset.run))];
    const now = here.querySelector('.now')?.dataset.run;
    runs.sort((a, b) => (a === now) - (b === now));
    for (const run of runs) {
        const [a, b] = [extent(here, run), extent(there, run)];
        if (!a || !b) {
            continue;
        }
        const path = document.createElementNS(SVG, 'path');
        const [l, r] = [width * 0.45, width * 0.55];
        path.setAttribute('d', `M0 ${a[0]} C${l} ${a[0]} ${r} ${b[0]} ${width} ${b[0]} L${width} ${b[1]} C${r} ${b[1]} ${l} ${a[1]} 0 ${a[1]} Z`);
        path.setAttribute('class', run === now ? 'thread now' : 'thread');
        svg.append(path);
    }
}

function show(reading) {
    for (const pane of reading.querySelectorAll('[data-pane]')) {
        const mark = pane.querySelector('.now');
        if (mark) {
            const offset = mark.getBoundingClientRect().top - pane.getBoundingClientRect().top;
            pane.scrollTop += offset - pane.clientHeight / 4;
        }
    }
}

export function startThreads(reading) {
    show(reading);
    let asked = false;
    const later = () => {
        if (!asked) {
            asked = true;
            requestAnimationFrame(() => { asked = false; if (reading.isConnected) { draw(reading); } });
        }
    };
    reading.querySelectorAll('[data-pane]').forEach((pane) => pane.addEventListener('scroll', later, { passive: true }));
    new ResizeObserver(later).observe(reading);
    document.fonts?.ready.then(() => { show(reading); later(); });
    later();
}
