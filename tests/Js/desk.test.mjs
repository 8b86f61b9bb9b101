// The desk's parts that need no page: what fields say, what is said of saving, where words stand, time at work.
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { stepped } from '../../resources/js/desk/acts.js';
import { formOf, partsOf } from '../../resources/js/desk/fields.js';
import { gathered } from '../../resources/js/desk/gather.js';
import { notesHere, placeHere } from '../../resources/js/desk/here.js';
import { stable } from '../../resources/js/desk/outbox.js';
import { WorkClock } from '../../resources/js/desk/presence.js';
import { said } from '../../resources/js/desk/status.js';

test('a form says what is set on its criterion, without its comment and what is empty', () => {
    assert.deepEqual(partsOf('partly[s3]'), ['partly', 's3']);
    assert.deepEqual(partsOf('stop'), ['stop', undefined]);
    assert.deepEqual(
        formOf([['_token', 'x'], ['stop', 'l3'], ['points', ''], ['comment', 'Good walls.'], ['done[s1]', '1'], ['partly[s2]', '0.5']]),
        { stop: 'l3', done: { s1: '1' }, partly: { s2: '0.5' } },
    );
});

test('equal values are the same whatever the order of their fields', () => {
    assert.equal(stable({ b: [1, { d: 2, c: undefined }], a: null }), stable({ a: null, b: [1, { d: 2 }] }));
    assert.notEqual(stable({ done: { s1: '1' } }), stable({ done: { s2: '1' } }));
});

test('it is said when something is not saved, and where it is kept', () => {
    const of = (state, count, more = {}) => said({ state, count, savedAt: null, isDone: false, ...more });
    assert.deepEqual(of('saved', 0, { savedAt: '14:05' }), { line: 'Saved 14:05', isProblem: false, trouble: '' });
    assert.equal(of('saved', 0, { isDone: true }).line, '');
    assert.equal(of('saved', 0).line, undefined);
    assert.equal(of('held', 2).line, 'Not saved: 2 changes waiting for you');
    assert.match(of('signed out', 1).trouble, /^You are no longer signed in\. 1 change is kept in this browser/);
    assert.match(of('signed out', 0).trouble, /What you write now is kept/);
    assert.match(of('waiting', 3).trouble, /^The server cannot be reached\. 3 changes are kept/);
    assert.deepEqual(of('waiting', 0), {});
    assert.equal(of('closed', 1, { message: 'Released.' }).trouble, 'Released.');
});

test('comments on criteria are gathered once', () => {
    const comments = [['Argument', ' Two claims. '], ['Evidence', ' '], ['Structure', 'Good turn.']];
    const once = gathered('To begin with.\n', comments);
    assert.equal(once, 'To begin with.\n\n**Argument**: Two claims.\n\n**Structure**: Good turn.');
    assert.equal(gathered(once, comments), null);
    assert.equal(gathered('', [['Argument', 'x']]), '**Argument**: x');
});

test('keys step from criterion to criterion and stop at either end', () => {
    assert.deepEqual([stepped(-1, 1, 4), stepped(-1, -1, 4), stepped(0, -1, 4), stepped(3, 1, 4), stepped(1, 1, 4)], [0, 3, 0, 3, 2]);
});

test('a comment stays on its words where the page counts them otherwise', () => {
    const text = 'Salt 🧂 and salt and salt.';
    const places = { text, points: [...text] };
    const note = (start, exact, more = {}) => ({ place: [start, start + [...exact].length], anchor: { exact, ...more } });
    assert.deepEqual(placeHere(places, note(0, 'Salt')), [0, 4]);
    // Counted one further on the server: the nearest of the same words is meant.
    assert.deepEqual(placeHere(places, note(12, 'salt')), [11, 15]);
    assert.deepEqual(placeHere(places, note(19, 'salt')), [20, 24]);
    assert.equal(placeHere(places, note(3, 'pepper')), null);
    assert.deepEqual(placeHere(places, note(3, 'pepper', { page: 2 })), [3, 9]);
    assert.deepEqual(notesHere(places, { a: { place: null, anchor: { exact: 'x' }, body: 'orphan' } }), { a: { place: null, anchor: { exact: 'x' }, body: 'orphan' } });
});

test('time at work leaves pauses out and is told in whole seconds', () => {
    let now = 0;
    const clock = new WorkClock(() => now);
    const at = (seconds, hidden = false) => { now = seconds * 1000; clock.stir(hidden); };
    at(10);
    assert.equal(clock.take(), null);
    at(13.4);
    assert.equal(clock.take(), null, 'too few to say');
    at(18.9);
    assert.equal(clock.take(), 8);
    at(200); // away
    at(230, true); // in another tab
    at(236);
    assert.equal(clock.take(), 6, 'with the nine tenths from before');
});
