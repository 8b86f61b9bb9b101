// Three people observed on a phone with the connection cut before the first tick and back after the last; then two observers settle.
import { execFileSync } from 'node:child_process';
import { serious } from './axe.mjs';
import { expect, signedIn, test } from './people.mjs';

const php = (...words) => execFileSync('php', ['tests/Browser/observe.php', ...words]).toString();
const phone = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };
const dot = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
const three = ['Fumiko Arai', 'Goran Vuković', 'Heledd Bowen-Nkemelu'];

const local = (days) => {
    const at = new Date(Date.now() + days * 86_400_000);
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};
const button = (page, group, name) => page.getByRole('group', { name: group }).getByRole('button', { name, exact: true });

test('three people are observed without a connection, and nothing is lost', async ({ browser }) => {
    test.setTimeout(180_000);
    const page = await signedIn(browser, 'marisol.echeverri-blake', phone);
    await page.goto('/');
    await page.getByRole('link', { name: /Observe/ }).first().tap();
    await expect(page.locator('[data-observe][data-ready="yes"][data-kept="yes"]')).toBeVisible();
    await expect(page.getByText('All of it has arrived.')).toBeVisible();
    expect(await serious(page)).toEqual([]);

    await page.context().setOffline(true);
    await page.reload();
    await expect(page.locator('[data-observe][data-ready="yes"]')).toBeVisible();
    const made = three.map(() => []);
    const tap = async (n, what, event) => {
        const from = await page.evaluate(() => Date.now());
        await what.tap();
        made[n].push({ ...event, from, to: await page.evaluate(() => Date.now()) });
    };
    await page.getByRole('button', { name: new RegExp(three[0]) }).tap();
    for (const [n, who] of three.entries()) {
        await expect(page.getByRole('heading', { name: who })).toBeVisible();
        await tap(n, page.getByRole('button', { name: 'Start' }), { kind: 'start', about: '', value: '' });
        await expect(page.locator('[data-clock]')).toContainText('of 15 minutes');
        await expect(page.getByText('In the first minute. Partly: only when asked.')).toBeVisible();
        await tap(n, button(page, /Says whose side/, 'done'), { kind: 'step', about: 'c1/s1', value: 'done' });
        await tap(n, button(page, /Gives the line/, n === 0 ? 'done' : 'partly'), { kind: 'step', about: 'c1/s2', value: n === 0 ? 'done' : 'partly' });
        await tap(n, button(page, /Says what speaks against/, 'not seen'), { kind: 'step', about: 'c1/s3', value: 'unseen' });
        // A slip of the thumb is taken back, and kept as taken back.
        await tap(n, button(page, /Keeps to six/, 'not'), { kind: 'step', about: 'c1/s4', value: 'not' });
        await tap(n, page.getByRole('button', { name: 'Undo: a step' }), { kind: 'undo' });
        await tap(n, button(page, /Keeps to six/, 'done'), { kind: 'step', about: 'c1/s4', value: 'done' });
        await tap(n, button(page, 'Argument', 'Throughout'), { kind: 'level', about: 'c2' });
        await tap(n, button(page, 'Questions', 'Mostly'), { kind: 'level', about: 'c3' });
        await page.getByLabel('A note').fill(`What ${who} said of the wall.`);
        await tap(n, page.getByRole('button', { name: 'Keep the note' }), { kind: 'note', about: 'staff', value: `What ${who} said of the wall.` });
        if (n === 0) {
            const from = await page.evaluate(() => Date.now());
            await page.getByLabel('A photo, a sound or a file').setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: Buffer.from(dot, 'base64') });
            await expect(page.getByRole('img', { name: 'wall.png' })).toBeVisible();
            made[n].push({ kind: 'evidence', about: 'staff', from, to: await page.evaluate(() => Date.now()) });
            // What is half written outlives a tick, and the page.
            await page.getByLabel('A note').fill('She turns to');
        }
        await tap(n, page.getByRole('button', { name: 'Pause' }), { kind: 'pause', about: '', value: '' });
        n < 2 && await page.getByRole('button', { name: `Next: ${three[n + 1]}` }).tap();
    }
    await expect(page.getByText('35 things wait for a connection')).toBeVisible();
    // The browser is closed by its owner's pocket, and opened again, still without a connection.
    await page.reload();
    await expect(page.getByText('35 things wait for a connection')).toBeVisible();
    await expect(page.getByRole('button', { name: new RegExp(three[2]) })).toContainText('seen');
    await page.getByRole('button', { name: new RegExp(three[0]) }).tap();
    await expect(page.getByLabel('A note')).toHaveValue('She turns to');
    await page.getByRole('button', { name: 'Done', exact: true }).tap();
    await expect(page.getByText('Not done yet: what you recorded has not all arrived.')).toBeVisible();

    await page.context().setOffline(false);
    await expect(page.getByText('All of it has arrived.')).toBeVisible({ timeout: 40_000 });
    const kept = JSON.parse(php('seen', ...three));
    for (const [n] of three.entries()) {
        expect(kept[n].map((one) => one.kind)).toEqual(made[n].map((one) => one.kind));
        for (const [at, event] of kept[n].entries()) {
            const { from, to, kind: _, ...rest } = made[n][at];
            expect(event).toMatchObject(rest);
            expect(event.at).toBeGreaterThanOrEqual(from);
            expect(event.at).toBeLessThanOrEqual(to);
        }
    }
});

test('two observers who saw it differently settle', async ({ browser }) => {
    const first = await signedIn(browser, 'marisol.echeverri-blake', phone);
    await first.goto('/');
    await first.getByRole('link', { name: /Observe/ }).first().tap();
    await first.getByRole('button', { name: new RegExp(three[0]) }).tap();
    await button(first, /Says what speaks against/, 'done').tap();
    await expect(first.getByText('All of it has arrived.')).toBeVisible();
    await first.getByRole('button', { name: 'Done', exact: true }).tap();
    await expect(first.getByText(`${three[0]}: done.`)).toBeVisible();
    const script = php('second', three[0]);
    await first.goto(`/settle/${script}`);
    await expect(first.getByRole('heading', { name: 'What was seen' })).toBeVisible();
    await expect(first.getByText(`What ${three[0]} said of the wall.`)).toBeVisible();
    await expect(first.getByRole('img', { name: 'Evidence' })).toHaveJSProperty('naturalWidth', 1);
    await first.getByLabel('Mark', { exact: true }).fill('62');
    await first.getByLabel('Why', { exact: true }).fill('The lines of documents were given; one of us sat at the back.');
    await first.getByRole('button', { name: 'Propose it' }).tap();
    const second = await signedIn(browser, 'wanjiru.halloran');
    await second.goto(`/settle/${script}`);
    await second.getByRole('button', { name: 'Accept 62' }).click();
    await expect(second.getByText('agreed 62').first()).toBeVisible();
    // Nobody else's observations, and nothing before it is released, reaches whoever was observed.
    const student = await signedIn(browser, 'fumiko.arai', phone);
    await student.goto('/');
    await student.getByRole('row', { name: /Speak for one side/ }).or(student.locator('li', { hasText: 'Speak for one side' })).getByRole('link', { name: 'Look at it' }).first().tap();
    await expect(student.getByText('Harbour office').first()).toBeVisible();
    await expect(student.getByText('of the wall.')).toHaveCount(0);
});

test('something observed, from its plan to a result', async ({ browser }) => {
    test.setTimeout(240_000);
    const maren = await signedIn(browser, 'maren.oduya');
    await maren.goto('/modules');
    await maren.getByRole('link', { name: /HT130/ }).click();
    await maren.getByRole('link', { name: 'Plan an assignment' }).click();
    await maren.getByRole('link', { name: 'something observed' }).click();
    await expect(maren.getByText('This is not anonymous marking')).toBeVisible();
    await maren.getByLabel('Title').fill('A word at the slip');
    await maren.getByLabel('Brief').fill('Say it in ten minutes.');
    await maren.getByLabel('Rubric', { exact: true }).selectOption({ label: 'Speaking for a side, version 1' });
    await maren.getByLabel('All are observed by').fill(local(3));
    await maren.getByText('Second marks, and how marks settle').click();
    await maren.getByLabel('Marked a second time').selectOption('none');
    await maren.getByRole('button', { name: 'Save, not open yet' }).click();
    await maren.getByRole('button', { name: 'Open it to students' }).click();
    await maren.getByRole('link', { name: 'Slots: when, where, by whom' }).click();
    // Time for one of twelve: who found none is said, and the slot is published all the same.
    await maren.getByLabel('Room').fill('Slip');
    await maren.getByLabel('From').fill(local(1));
    await maren.getByLabel('To', { exact: true }).fill(local(1 + 25 / 1440));
    await maren.getByLabel('Observes, first mark').selectOption({ label: 'Wanjiru Halloran' });
    await maren.getByRole('button', { name: 'Add it' }).click();
    await maren.getByRole('button', { name: 'Draw slots' }).click();
    await expect(maren.getByText('11 people found no slot.')).toBeVisible();
    await expect(maren.getByText('Cathal Mac Giolla Bhríde: no time is left')).toBeVisible();
    await maren.getByRole('button', { name: 'Publish them' }).click();
    await expect(maren.getByRole('row', { name: /Abena Osei-Whitlock/ })).toContainText('0 of 1 marks done');

    const abena = await signedIn(browser, 'abena.osei-whitlock', phone);
    await abena.goto('/');
    await abena.locator('tr, li', { hasText: 'A word at the slip' }).getByRole('link', { name: 'Look at it' }).first().tap();
    await expect(abena.getByText('20 minutes, Slip')).toBeVisible();
    const [file] = await Promise.all([abena.waitForEvent('download'), abena.getByRole('link', { name: 'into your calendar' }).tap()]);
    expect(file.suggestedFilename()).toBe('slots.ics');

    const wanjiru = await signedIn(browser, 'wanjiru.halloran', phone);
    await wanjiru.goto('/');
    await wanjiru.locator('tr, li', { hasText: 'A word at the slip' }).getByRole('link', { name: 'Observe' }).first().tap();
    await wanjiru.getByRole('button', { name: /Abena Osei-Whitlock/ }).tap();
    await wanjiru.getByRole('button', { name: 'Start' }).tap();
    for (const step of [/Says whose side/, /Gives the line/, /Says what speaks against/, /Keeps to six/]) {
        await button(wanjiru, step, 'done').tap();
    }
    await button(wanjiru, 'Argument', 'Throughout').tap();
    await button(wanjiru, 'Questions', 'Mostly').tap();
    await wanjiru.getByLabel('A note').fill('Between us: she read it off.');
    await wanjiru.getByRole('button', { name: 'Keep the note' }).tap();
    await wanjiru.getByLabel('the student may see it').check();
    await wanjiru.getByLabel('A note').fill('You ended where you began.');
    await wanjiru.getByRole('button', { name: 'Keep the note' }).tap();
    await wanjiru.getByRole('button', { name: 'Done', exact: true }).tap();
    await expect(wanjiru.getByText('Abena Osei-Whitlock: done.')).toBeVisible();
    await abena.reload();
    await expect(abena.getByText('You ended where you began.')).toHaveCount(0);

    await maren.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Release/ }).click();
    await maren.getByText('Release …').click();
    await maren.getByRole('button', { name: 'Release them' }).click();
    await expect(maren.getByText(/1 of \d+ released/).first()).toBeVisible({ timeout: 60_000 });
    await abena.goto('/');
    await abena.locator('tr, li', { hasText: 'A word at the slip' }).getByRole('link', { name: 'Read it' }).first().tap();
    await expect(abena.getByRole('heading', { name: 'What was seen' })).toBeVisible();
    await expect(abena.getByText('You ended where you began.')).toBeVisible();
    await expect(abena.getByText('Between us')).toHaveCount(0);
});
