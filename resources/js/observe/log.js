/*
 * What one observer recorded of one person, out of single events in whatever order: the same rules as on the server
 * (core/Observing/Observation.php), so that the page shows without a connection what the server will make of it.
 */
export function observed(events) {
    const own = new Map(events.map((event) => [event.id, event]));
    const undone = new Set();
    for (const event of own.values()) {
        event.kind === 'undo' && undone.add(event.about);
    }
    for (const event of own.values()) {
        event.kind === 'undo' && undone.has(event.id) && undone.delete(event.about);
    }
    const list = [...own.values()].filter((event) => !undone.has(event.id))
        .sort((a, b) => a.at - b.at || a.number - b.number || (a.id < b.id ? -1 : 1));
    const seen = { steps: {}, times: {}, levels: {}, notes: [], evidence: [], course: 'usual', began: null, seconds: 0, since: null, list };
    const between = (from, to) => (from === null ? 0 : Math.max(0, Math.floor(to / 1000) - Math.floor(from / 1000)));
    for (const event of list) {
        switch (event.kind) {
            case 'step':
                seen.steps[event.about] = event.value;
                seen.times[event.about] = event.at;
                break;
            case 'level': seen.levels[event.about] = event.value; break;
            case 'note': seen.notes.push(event); break;
            case 'evidence': seen.evidence.push(event); break;
            case 'course': seen.course = event.value; break;
            case 'start':
                seen.began ??= event.at;
                seen.since ??= event.at;
                break;
            case 'pause':
                seen.seconds += between(seen.since, event.at);
                seen.since = null;
                break;
        }
    }
    return seen;
}

/** Seconds the clock has run by now. */
export const runAt = (seen, now) => seen.seconds + (seen.since === null ? 0 : Math.max(0, Math.floor(now / 1000) - Math.floor(seen.since / 1000)));

/** "3:05 of 20 minutes", and past it in words: "2 minutes over". */
export function clock(seconds, minutes) {
    const shown = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} of ${minutes} minutes`;
    const over = Math.floor((seconds - 60 * minutes) / 60);
    return seconds <= 60 * minutes ? shown : `${shown}, ${over < 1 ? 'less than a minute over' : over === 1 ? 'a minute over' : `${over} minutes over`}`;
}

/** The last thing that can be taken back. */
export const lastOf = (seen) => seen.list.filter((event) => event.kind !== 'undo').at(-1) ?? null;
