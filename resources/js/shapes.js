/* What was drawn on a page: points in percent of the page as it lies in the file. */
export const svg = (tag, attributes) => {
    const made = document.createElementNS('http://www.w3.org/2000/svg', tag);
    Object.entries(attributes).forEach(([name, value]) => made.setAttribute(name, value));
    return made;
};

/** @param {(point: number[]) => number[]} seen a point as the page is looked at */
export function shape(anchor, kind, isNow = false, seen = (point) => point) {
    const points = anchor.points.map(seen);
    const look = { class: `pdf-shape ${kind}${isNow ? ' now' : ''}`, 'vector-effect': 'non-scaling-stroke' };
    if (anchor.shape === 'box') {
        const [[a, b], [c, d]] = points;
        return svg('rect', { ...look, x: Math.min(a, c), y: Math.min(b, d), width: Math.abs(c - a), height: Math.abs(d - b) });
    }
    return anchor.shape === 'point' ? svg('g', {}) : svg('polyline', { ...look, points: points.map((point) => point.join(',')).join(' ') });
}
