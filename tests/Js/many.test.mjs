// Hundreds of files in requests small enough, and what became of each of them.
import assert from 'node:assert/strict';
import { test } from 'node:test';
import { groups, summary } from '../../resources/js/many.js';

test('files go in groups of ten, or of twelve megabytes, in their order, none left out', () => {
    const files = Array.from({ length: 47 }, (_, n) => ({ name: `${n}`, size: n % 5 === 0 ? 5_000_000 : 1000 }));
    const sent = groups(files);
    assert.deepEqual(sent.flat(), files);
    for (const group of sent) {
        assert.ok(group.length <= 10);
        assert.ok(group.reduce((sum, file) => sum + file.size, 0) <= 12 * 1048576);
    }
    assert.deepEqual(groups([{ size: 20_000_000 }, { size: 20_000_000 }]).map((group) => group.length), [1, 1]);
    assert.deepEqual(groups([]), []);
});

test('every file that was chosen is accounted for', () => {
    assert.equal(summary({ chosen: 40, added: 36, already: 1, refused: ['a', 'b', 'c'] }), '36 of 40 added, 1 was there already, 3 not taken');
    assert.equal(summary({ chosen: 40, added: 40, already: 0, refused: [] }), '40 of 40 added');
    assert.equal(summary({ chosen: 40, added: 20, already: 2, refused: [] }), '20 of 40 added, 2 were there already, 18 not sent');
});
