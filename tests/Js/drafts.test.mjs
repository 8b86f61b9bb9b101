// What was begun in a discussion and is not posted yet, and what is told of it.
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { Drafts, ownWords, quoted } from '../../resources/js/drafts.js';

const storage = () => {
    const kept = {};
    return Object.defineProperties(kept, {
        getItem: { value: (key) => kept[key] ?? null }, setItem: { value: (key, text) => { kept[key] = text; } },
        removeItem: { value: (key) => { delete kept[key]; } },
    });
};

test('a draft keeps its id while it is one draft, and is gone when it is posted or emptied', () => {
    let n = 0;
    const drafts = new Drafts(storage(), () => `id-${++n}`);
    assert.equal(drafts.get('a'), null);
    assert.equal(drafts.keep('a', 'Salt'), 'id-1');
    assert.equal(drafts.keep('a', 'Salt and', 'p-1'), 'id-1');
    assert.deepEqual(drafts.get('a'), { text: 'Salt and', answers: 'p-1', once: 'id-1' });
    assert.equal(drafts.keep('b', 'Kelp'), 'id-2');
    assert.deepEqual(drafts.keys(), ['a', 'b']);
    assert.equal(drafts.keep('a', '  \n'), null);
    drafts.drop('b');
    assert.deepEqual(drafts.keys(), []);
    assert.equal(drafts.keep('a', 'Anew'), 'id-3');
});

test('a storage that is full, closed or holds something else loses nothing but the copy', () => {
    const full = { getItem: () => '{"text": 1}', setItem() { throw new Error('full'); }, removeItem() { throw new Error('closed'); } };
    const drafts = new Drafts(full, () => 'id');
    assert.equal(drafts.get('a'), null);
    assert.equal(drafts.keep('a', 'Salt'), 'id');
    drafts.drop('a');
    assert.deepEqual(new Drafts(null, () => 'id').keys(), []);
});

test('words of one’s own are counted as the server counts them: none that are quoted', () => {
    assert.equal(ownWords('The wharf’s dues, co-operative; 1872.'), 5);
    assert.equal(ownWords('> quoted words here\nmy own\n  > and quoted'), 2);
    assert.equal(ownWords(''), 0);
    assert.equal(quoted('one\ntwo\n'), '> one\n> two');
});
