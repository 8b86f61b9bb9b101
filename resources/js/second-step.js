/* The second step at sign-in: squares that a phone reads, drawn here so that the key goes to nobody else; and recovery
   codes printed or saved. */
import { make } from './make.js';

const SVG = 'http://www.w3.org/2000/svg';

/* One path for all dark squares, with the margin of four that readers need (ISO/IEC 18004). */
export function squaresPath(isDark, count) {
    let path = '';
    for (let row = 0; row < count; row++) {
        for (let column = 0; column < count; column++) {
            path += isDark(row, column) ? `M${column + 4} ${row + 4}h1v1h-1z` : '';
        }
    }
    return path;
}

export async function drawSquares(place) {
    const { default: qrcode } = await import('qrcode-generator');
    const code = qrcode(0, 'M');
    code.addData(place.dataset.squares);
    code.make();
    const count = code.getModuleCount();
    const svg = document.createElementNS(SVG, 'svg');
    svg.setAttribute('viewBox', `0 0 ${count + 8} ${count + 8}`);
    svg.setAttribute('shape-rendering', 'crispEdges');
    const path = document.createElementNS(SVG, 'path');
    path.setAttribute('d', squaresPath((row, column) => code.isDark(row, column), count));
    svg.append(path);
    place.replaceChildren(svg);
}

export function startCodes(panel) {
    const print = panel.querySelector('[data-print]');
    const save = panel.querySelector('[data-save]');
    print.hidden = save.hidden = false;
    print.addEventListener('click', () => window.print());
    save.addEventListener('click', () => {
        const text = [panel.querySelector('.small').textContent.trim(), '',
            ...[...panel.querySelectorAll('li')].map((code) => code.textContent.trim()), ''].join('\n');
        const link = make('a', { href: URL.createObjectURL(new Blob([text], { type: 'text/plain' })), download: 'recovery-codes.txt' });
        link.click();
        setTimeout(() => URL.revokeObjectURL(link.href), 1000);
    });
}
