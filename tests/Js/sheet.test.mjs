// What was changed on the rubric sheet, on its way to the server and back.
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Changes } from '../../resources/js/sheet/changes.js';

const page = (values) => (name) => values[name] ?? null;

test('a change carries what was saved before it, however often it is typed on', () => {
    const changes = new Changes();
    changes.touch('title', 'Salt');
    changes.touch('title', 'Salt p');
    assert.deepEqual(changes.send(page({ title: 'Salt pans' })), [{ name: 'title', was: 'Salt', to: 'Salt pans' }]);
    assert.equal(changes.unsent, 0);
    // Typed on while it is on its way: what was sent is what it takes the place of.
    changes.touch('title', 'Salt');
    assert.deepEqual(changes.answered(true), [['title', 'Salt pans']]);
    assert.deepEqual(changes.send(page({ title: 'Salt pans of Merrow' })), [{ name: 'title', was: 'Salt pans', to: 'Salt pans of Merrow' }]);
});

test('what did not arrive waits with what it had been', () => {
    const changes = new Changes();
    changes.touch('a', '1');
    changes.touch('b', '1');
    changes.touch('gone', '1');
    assert.deepEqual(changes.send(page({ a: '2', b: '1' })).map(({ name }) => name), ['a'], 'nothing is sent of a field that says what it said, or is gone');
    assert.deepEqual(changes.answered(false), []);
    assert.deepEqual(changes.send(page({ a: '3' })), [{ name: 'a', was: '1', to: '3' }]);
});

test('a field someone else wrote in is held until one of both is chosen', () => {
    const changes = new Changes();
    changes.touch('a', '1');
    changes.send(page({ a: '2' }));
    assert.deepEqual(changes.sentNames(), ['a']);
    assert.equal(changes.isFree('a'), false);
    changes.hold('a', 'theirs');
    changes.forgetSent();
    assert.equal(changes.touch('a', '1'), false);
    assert.deepEqual([changes.held, changes.names(), changes.isFree('a')], [1, ['a'], false]);
    changes.choose('a', 'theirs');
    assert.deepEqual(changes.send(page({ a: '2' })), [{ name: 'a', was: 'theirs', to: '2' }], 'ours goes on in place of theirs');
    changes.forgetSent();
    changes.hold('b', 'x');
    changes.choose('b', null);
    assert.deepEqual([changes.held, changes.unsent, changes.isFree('b')], [0, 0, true]);
});
