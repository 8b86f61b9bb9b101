/*
 * Where a comment's words stand in the text as this page counts it: where that differs from the server's count, words are
 * found by what they say, nearest to where they were.
 *
 * @param {{points: string[], text: string}} places
 * @param {{place: [number, number]|null, anchor: {exact: string, page?: number}}} note
 * @returns {[number, number]|null} code points
 */
export function placeHere(places, note) {
    if (!note.place || note.anchor.page) {
        return note.place;
    }
    const { exact } = note.anchor;
    const here = places.points.slice(...note.place).join('');
    if (here.replace(/\s+/g, ' ') === exact.replace(/\s+/g, ' ')) {
        return note.place;
    }
    let best = null;
    for (let at = places.text.indexOf(exact); at !== -1; at = places.text.indexOf(exact, at + 1)) {
        const start = [...places.text.slice(0, at)].length;
        if (best === null || Math.abs(start - note.place[0]) < Math.abs(best - note.place[0])) {
            best = start;
        }
    }
    return best === null ? null : [best, best + [...exact].length];
}

/** The same for all notes of a mark, by their ids. */
export function notesHere(places, notes) {
    return Object.fromEntries(Object.entries(notes).map(([id, note]) => [id, { ...note, place: placeHere(places, note) }]));
}
