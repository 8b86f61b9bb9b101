// Three hundred students hand in at the due time, all at once, against the running application.
import { test, expect } from '@playwright/test';
import { createHash } from 'node:crypto';
import { execFileSync } from 'node:child_process';

const MANY = 300;
const php = (...args) => JSON.parse(execFileSync('php', ['tests/Browser/crowd.php', ...args], { maxBuffer: 64 * 1024 * 1024 }).toString());

test('three hundred hand in at the due time and nothing is lost', async () => {
    test.setTimeout(420_000);
    const { assignment, due, sessions } = php('make', String(MANY), '25');
    const words = (n) => `Hand-in ${n} of the wave.\n\n${Array.from({ length: 150 }, (_, k) => `word${(n * 7919 + k * 104_729) % 65_521}`).join(' ')}\n`;
    const send = async (url, { cookie, token }, options) => {
        for (;;) {
            try {
                return await fetch(`${process.env.APP_URL}${url}`, { ...options, headers: { Cookie: cookie, 'X-CSRF-TOKEN': token, Accept: 'application/json', ...options.headers } });
            } catch {
                await new Promise((done) => { setTimeout(done, 300); }); // as the page does when the connection is lost
            }
        }
    };
    const handIn = async (session, n) => {
        const text = words(n);
        if (n % 5 !== 0) { // as the form sends it without page scripts
            const form = new FormData();
            form.append('file', new Blob([text], { type: 'text/plain' }), `essay ${n}.txt`);
            form.append('once', crypto.randomUUID());
            return (await send(`/assignments/${assignment}/hand-in`, session, { method: 'POST', body: form })).status;
        }
        const first = new FormData();
        Object.entries({ name: `essay ${n}.txt`, bytes: Buffer.byteLength(text), sha256: createHash('sha256').update(text).digest('hex'), piece: new Blob([text]) }).forEach(([key, value]) => first.append(key, value));
        const begun = await send(`/assignments/${assignment}/uploads`, session, { method: 'POST', body: first });
        const { id } = await begun.json();
        const answer = await send(`/assignments/${assignment}/hand-in`, session, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ uploads: [id] }) });
        return answer.status;
    };
    await new Promise((done) => { setTimeout(done, Math.max(0, due - Date.now() - 4000)); });
    const pressed = Date.now();
    expect(pressed).toBeLessThan(due);
    const statuses = await Promise.all(sessions.map(handIn));
    expect(statuses.filter((status) => status !== 200)).toEqual([]);

    // While reading waits, pages say that, and nothing else.
    const page = async (url) => (await send(url, sessions[MANY - 1], { headers: { Accept: 'text/html' } })).text();
    const soon = await page(`/assignments/${assignment}/hand-in`);
    expect(soon).toMatch(/it is being read|\d+ words/);
    expect(soon).toContain('Handed in');
    expect(soon).not.toMatch(/[^\d]0 words|could not be read/);

    let found = php('look', assignment);
    console.log(`the wave: ${MANY} pressed ${((due - pressed) / 1000).toFixed(1)} s before the due time; ${found.late} late; the last was recorded ${found.lastRecorded} s after it; ${found.read} were read by then`);
    expect(found.late).toBeLessThanOrEqual(MANY / 100);
    for (const until = Date.now() + 300_000; found.read < MANY && Date.now() < until; found = php('look', assignment)) {
        await new Promise((done) => { setTimeout(done, 2000); });
    }
    expect(found.read).toBe(MANY);
    expect(await page(`/assignments/${assignment}/hand-in`)).toContain('155 words');
    expect(found).toMatchObject({ handins: MANY, counting: MANY, lateRight: MANY, receiptsHold: MANY, filesWhole: MANY, sums: MANY, lines: MANY, left: 0 });
    // The one mail that the worker has in hand is with the sink and not yet off its list.
    expect([MANY, MANY + 1]).toContain(found.mails);
    expect(found.counts).toMatchObject({ '': MANY, in: MANY, late: found.late, out: 0 });
});
