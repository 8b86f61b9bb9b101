// What a phone reads of the picture, read by a library that knows nothing of the one that draws it (jsqr).
import assert from 'node:assert/strict';
import test from 'node:test';
import jsqr from 'jsqr';
import qrcode from 'qrcode-generator';
import { squaresPath } from '../../resources/js/second-step.js';

const SCALE = 4;

const read = (path, count) => {
    const side = (count + 8) * SCALE;
    const pixels = new Uint8ClampedArray(side * side * 4).fill(255);
    for (const [, x, y] of path.matchAll(/M(\d+) (\d+)h1v1h-1z/g)) {
        for (let dy = 0; dy < SCALE; dy++) {
            for (let dx = 0; dx < SCALE; dx++) {
                pixels.fill(0, ((y * SCALE + dy) * side + x * SCALE + dx) * 4, ((y * SCALE + dy) * side + x * SCALE + dx) * 4 + 3);
            }
        }
    }
    return (jsqr.default ?? jsqr)(pixels, side, side)?.data;
};

for (const address of [
    'otpauth://totp/Merrow%20Coast%20College:mara%40merrow.example?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ&issuer=Merrow%20Coast%20College',
    `otpauth://totp/${'A'.repeat(80)}:${'b'.repeat(150)}?secret=GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ&issuer=${'A'.repeat(80)}`,
]) {
    test(`a phone reads the address of ${address.length} letters from the squares`, () => {
        const code = qrcode(0, 'M');
        code.addData(address);
        code.make();
        const count = code.getModuleCount();
        assert.equal(read(squaresPath((row, column) => code.isDark(row, column), count), count), address);
    });
}
