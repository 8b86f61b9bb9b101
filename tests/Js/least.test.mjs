import assert from 'node:assert/strict';
import { test } from 'node:test';
import { countWords, missing } from '../../resources/js/least.js';

test('words are counted with what joins them, in any script', () => {
    assert.equal(countWords(''), 0);
    assert.equal(countWords('  …  — '), 0);
    assert.equal(countWords('The tide-mill doesn’t turn at low water.'), 7);
    assert.equal(countWords('Žofie čte 3 kapitoly'), 4);
});

test('what is missing is said until nothing is', () => {
    assert.equal(missing('one two', 20), '18 words more');
    assert.equal(missing('one two', 3), '1 word more');
    assert.equal(missing('one two three', 3), '');
    assert.equal(missing('', 0), '');
});
