import assert from 'node:assert/strict';
import { test } from 'node:test';
import { shows } from '../../resources/js/choose-all.js';

test('the box shows whether all, some or none are chosen', () => {
    assert.deepEqual(shows(0, 3), { checked: false, indeterminate: false });
    assert.deepEqual(shows(2, 3), { checked: false, indeterminate: true });
    assert.deepEqual(shows(3, 3), { checked: true, indeterminate: false });
    assert.deepEqual(shows(0, 0), { checked: false, indeterminate: false });
});
