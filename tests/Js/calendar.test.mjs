// The calendar file of slots, as a general-purpose library for RFC 5545 (ical.js) reads it.
import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { test } from 'node:test';
import ICAL from 'ical.js';

const written = (appointments) => execFileSync('php', ['-r', `
    require 'vendor/autoload.php';
    $given = json_decode($argv[1], true);
    echo YoungHarbor\\Core\\Observing\\Calendar::text(array_map(fn (array $one) => [
        ...$one, 'from' => new DateTimeImmutable($one['from']), 'to' => new DateTimeImmutable($one['to']),
    ], $given), new DateTimeImmutable('2026-11-28T12:00:00Z'), 'Slots');
`, JSON.stringify(appointments)]).toString();
const one = {
    uid: 'slot-1@merrow.example', from: '2026-10-25T01:30:00+01:00', to: '2026-10-25T01:30:00+00:00', title: 'Viva; part 1, “tide mills”',
    place: 'Room 4\\North, level 2', words: `${'Bring one object. '.repeat(12)}\nThe door is on the right;\tknock.`, sequence: 3, cancelled: false,
};

test('times, texts and folding come back as they were, across a change of the clock', () => {
    const text = written([one, { ...one, uid: 'slot-2@merrow.example', cancelled: true }]);
    assert.ok(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75));
    const calendar = new ICAL.Component(ICAL.parse(text));
    assert.equal(calendar.getFirstPropertyValue('version'), '2.0');
    const events = calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
    assert.equal(events.length, 2);
    const [event, cancelled] = events;
    assert.equal(event.uid, one.uid);
    assert.equal(event.summary, one.title);
    assert.equal(event.location, one.place);
    assert.equal(event.description, one.words.replace('\t', ' '));
    assert.equal(event.startDate.toJSDate().toISOString(), '2026-10-25T00:30:00.000Z');
    assert.equal(event.duration.toSeconds(), 3600, 'an hour by any clock');
    assert.equal(event.sequence, 3);
    assert.equal(cancelled.component.getFirstPropertyValue('status'), 'CANCELLED');
});
