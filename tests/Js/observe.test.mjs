// What one observer recorded, as the page makes it out of events; and the clock in words.
import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { test } from 'node:test';
import { clock, lastOf, observed, runAt } from '../../resources/js/observe/log.js';

const at = (time) => Date.parse(`2026-12-07T${time}Z`);
let number = 0;
const event = (id, kind, time, about = '', value = '') => ({ id, kind, at: at(time), number: number++, about, value });
const morning = [
    event('e1', 'start', '09:00:00'), event('e2', 'step', '09:01:10', 'c1/s1', 'done'), event('e3', 'step', '09:02:00', 'c1/s2', 'not'),
    event('e4', 'pause', '09:05:00'), event('e5', 'start', '09:07:00'), event('e6', 'step', '09:08:00', 'c1/s2', 'partly'),
    event('e7', 'note', '09:08:30', 'student', 'Slower with the knot.'), event('e8', 'level', '09:09:00', 'c2', 'l2'),
    event('e9', 'level', '09:09:05', 'c2', 'l4'), event('e10', 'undo', '09:09:10', 'e9'), event('e11', 'course', '09:10:00', '', 'late'),
];

test('the last of each holds, in whatever order and however often it came', () => {
    const seen = observed(morning);
    assert.deepEqual(seen.steps, { 'c1/s1': 'done', 'c1/s2': 'partly' });
    assert.deepEqual(seen.levels, { c2: 'l2' });
    assert.equal(seen.course, 'late');
    assert.equal(seen.seconds, 300);
    assert.equal(runAt(seen, at('09:15:00')), 780);
    assert.equal(lastOf(seen).id, 'e11');
    assert.deepEqual(observed([...morning.toReversed(), ...morning]), seen);
});

test('the page and the server make the same of the same events', () => {
    let state = 11;
    const random = (most) => { state = (state * 1103515245 + 12345) % 2147483648; return state % most; };
    const kinds = ['start', 'pause', 'step', 'step', 'level', 'undo', 'course'];
    const values = { step: ['done', 'partly', 'not', 'unseen'], level: ['l1', 'l2', 'l3'], course: ['usual', 'no-show', 'late'] };
    const cases = Array.from({ length: 60 }, () => {
        const events = [];
        for (let n = 0; n < 30; n++) {
            const kind = kinds[random(kinds.length)];
            const about = { step: `c1/s${random(3)}`, level: `c${random(2)}`, undo: events[random(events.length + 1)]?.id ?? 'none' }[kind] ?? '';
            events.push({ id: `e${String(n).padStart(3, '0')}`, kind, at: at('09:00:00') + 1000 * random(600), number: n, about, value: values[kind]?.[random(values[kind].length)] ?? '' });
        }
        return events;
    });
    const server = JSON.parse(execFileSync('php', ['-r', `
        require 'vendor/autoload.php';
        use YoungHarbor\\Core\\Observing\\{Event, EventKind, Observation};
        $out = [];
        foreach (json_decode(stream_get_contents(STDIN), true) as $events) {
            $seen = Observation::of(array_map(fn (array $e) => Event::of($e['id'], EventKind::from($e['kind']),
                (new DateTimeImmutable('@'.intdiv($e['at'], 1000))), $e['number'], $e['about'], $e['value']), $events));
            $steps = array_map(fn (array $one) => $one['seen']->value, $seen->steps);
            $levels = array_map(fn (array $one) => $one['stop'], $seen->levels);
            ksort($steps); ksort($levels);
            $out[] = [(object) $steps, (object) $levels, $seen->course->value, $seen->seconds, $seen->since?->getTimestamp()];
        }
        echo json_encode($out);
    `], { input: JSON.stringify(cases) }).toString());
    const sorted = (map) => Object.fromEntries(Object.entries(map).sort(([a], [b]) => (a < b ? -1 : 1)));
    cases.forEach((events, n) => {
        const seen = observed(events);
        assert.deepEqual([sorted(seen.steps), sorted(seen.levels), seen.course, seen.seconds, seen.since === null ? null : seen.since / 1000], server[n], `case ${n}`);
    });
});

test('past its time the clock says so in words', () => {
    assert.equal(clock(65, 20), '1:05 of 20 minutes');
    assert.equal(clock(1200, 20), '20:00 of 20 minutes');
    assert.equal(clock(1230, 20), '20:30 of 20 minutes, less than a minute over');
    assert.equal(clock(1265, 20), '21:05 of 20 minutes, a minute over');
    assert.equal(clock(1400, 20), '23:20 of 20 minutes, 3 minutes over');
});
