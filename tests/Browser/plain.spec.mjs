// What must work without a page script, on a phone, and when an upload fails.
import { createHash } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { declare, expect, signedIn, test, until } from './people.mjs';

const folder = mkdtempSync(join(tmpdir(), 'plain-'));
const next = 'Essay: After the water';
const phone = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };

test('a student hands in without a page script', async ({ browser }) => {
    const page = await signedIn(browser, 'sven.akerlund', { javaScriptEnabled: false });
    await page.getByRole('link', { name: next }).click();
    const scan = join(folder, 'picture.docx');
    writeFileSync(scan, Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64'));
    await page.getByLabel('A file').setInputFiles(scan);
    await declare(page);
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByText('it holds image/png, though it is named .docx').first()).toBeVisible();
    await page.getByLabel('or type your text').fill('The cannery closed on a Wednesday.\n\nNobody had told the whistle.');
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByRole('heading', { name: 'Receipt' })).toBeVisible();
    await until(page, page.getByText('11 words, read as plain text')); // the worker reads it
});

test('a tutor marks without a page script', async ({ browser }) => {
    const page = await signedIn(browser, 'lin.hui', { javaScriptEnabled: false });
    await page.getByRole('link', { name: 'Go to the desk' }).first().click();
    const argument = page.getByRole('group', { name: /Argument/ });
    await argument.getByLabel('Fair, 6', { exact: true }).check({ force: true });
    await argument.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('group', { name: /Argument/ }).getByLabel('Fair, 6', { exact: true })).toBeChecked();
    await expect(page.getByRole('group', { name: /Argument/ }).locator('.descriptor')).toContainText('A claim, argued in part.');
});

test('a rubric is shaped without a page script', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya', { javaScriptEnabled: false });
    await page.goto('/rubrics');
    await page.getByLabel('Title').first().fill('By hand');
    await page.getByRole('button', { name: 'Create', exact: true }).click();
    await page.getByRole('button', { name: '+ criterion' }).click();
    await page.getByRole('button', { name: 'Spread the rest' }).click();
    await expect(page.getByText('100 of 100')).toBeVisible();
    await expect(page.getByLabel('Weight of criterion 2 in percent')).toHaveValue('50');
});

test('a student on a phone hands in by touch and replaces it', async ({ browser }) => {
    const page = await signedIn(browser, 'wren.ito', phone);
    await page.getByRole('link', { name: next }).tap();
    for (const [name, words] of [['first.md', '# One\n\nA first try at the water.'], ['second.md', '# Two\n\nA second and better try at the same water.']]) {
        const path = join(folder, name);
        writeFileSync(path, words);
        await page.getByLabel('A file').setInputFiles(path);
        await declare(page);
        await page.getByRole('button', { name: 'Hand in' }).tap();
        await expect(page.getByRole('heading', { name: 'Receipt' })).toBeVisible();
        await page.getByRole('link', { name: next }).tap();
    }
    await expect(page.getByRole('heading', { name: 'Your attempts' })).toBeVisible();
    await expect(page.getByText('second.md')).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.getByRole('button', { name: 'let this one count' }).tap();
    await expect(page.getByText('Attempt 1 counts now.')).toBeVisible();
    await expect(page.getByText('first.md')).toBeVisible();
});

test('when the connection fails during an upload it goes on where it stopped', async ({ browser }) => {
    const page = await signedIn(browser, 'leila.haddad');
    await page.getByRole('link', { name: next }).click();
    const path = join(folder, 'essay.txt');
    const words = 'Somewordsaboutthewater,writteninatrainunderthefell. '.repeat(14_000);
    writeFileSync(path, words);
    await page.getByLabel('A file').setInputFiles(path);
    await declare(page);
    // The first piece goes with what is declared of the file, one more gets through, then there is a tunnel.
    const sent = [];
    await page.route('**/uploads/*', async (route) => {
        sent.push(new URL(route.request().url()).searchParams.get('from'));
        if (sent.length === 2) {
            await page.context().setOffline(true);
        }
        await route.continue();
    });
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByText(/The connection is gone\. \d+ % has arrived; it goes on by itself/)).toBeVisible();
    await page.context().setOffline(false);
    await expect(page.getByRole('heading', { name: 'Receipt' })).toBeVisible();
    await expect(page.getByText(createHash('sha256').update(words).digest('hex'))).toBeVisible();
    expect(sent.slice(0, 2)).toEqual(['262144', '524288']);
    expect(sent).not.toContain('0');
});

test('a file that is too large is not sent at all', async ({ browser }) => {
    const page = await signedIn(browser, 'fergus.mbride');
    await page.getByRole('link', { name: next }).click();
    const path = join(folder, 'large.txt');
    writeFileSync(path, 'a'.repeat(21 * 1024 * 1024));
    await page.getByLabel('A file').setInputFiles(path);
    await declare(page);
    await page.getByRole('button', { name: 'Hand in' }).click();
    await expect(page.getByText('“large.txt” is larger than 20 MB, so it was not sent.')).toBeVisible();
});

test('the pin is dragged along its rail by mouse', async ({ browser }) => {
    const page = await signedIn(browser, 'aoife.nibhriain');
    await page.getByRole('link', { name: 'Go to the desk' }).first().click();
    const expression = page.getByRole('group', { name: /Expression/ });
    const rail = expression.locator('.rail');
    await rail.scrollIntoViewIfNeeded();
    const box = await rail.boundingBox();
    await page.mouse.move(box.x + 24, box.y + 10);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width / 2, box.y + 12, { steps: 8 });
    await page.mouse.move(box.x + box.width - 16, box.y + 30, { steps: 8 });
    await page.mouse.up();
    await expect(expression.getByLabel('Excellent, 10', { exact: true })).toBeChecked();
    await expect(page.locator('#saved')).toContainText(/Saved \d/);
    await page.reload();
    await expect(expression.getByLabel('Excellent, 10', { exact: true })).toBeChecked();
});

test('the back button and a page\'s own address lead back to it', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.getByRole('link', { name: 'Essay: A living from the edge' }).first().click();
    await page.getByRole('link', { name: /^Late 2/ }).click();
    const address = page.url();
    await expect(page.locator('tbody tr')).toHaveCount(2);
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Screen ,/ }).click();
    await page.goBack();
    expect(page.url()).toBe(address);
    await expect(page.locator('tbody tr')).toHaveCount(2);
});

test('a rubric is shaped in place, the focus where the next word goes', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/rubrics');
    await page.getByLabel('Title').first().fill('In place');
    await page.getByRole('button', { name: 'Create', exact: true }).click();
    await page.evaluate(() => { window.samePage = true; });
    const cell = (name) => page.getByLabel(name, { exact: true });
    await cell('Criterion 1').fill('Typed just before');
    await page.getByRole('button', { name: '+ criterion' }).click();
    await expect(cell('Criterion 2')).toBeFocused();
    await page.keyboard.type('Typed right away');
    await page.getByRole('button', { name: '+ level' }).click();
    await expect(cell('Name of level 5')).toBeFocused();
    await expect(cell('Criterion 1')).toHaveValue('Typed just before');
    await expect(cell('Criterion 2')).toHaveValue('Typed right away');
    await page.getByRole('button', { name: 'Spread the rest' }).click();
    await expect(page.getByText('100 of 100')).toBeVisible();
    await cell('Criterion 2').focus();
    await page.getByRole('button', { name: 'Move criterion 2 up' }).click();
    await expect(cell('Criterion 1')).toHaveValue('Typed right away');
    expect(await page.evaluate(() => window.samePage)).toBe(true);
    // The name of the second criterion is typed and the button pressed at once: it is saved before it is judged.
    await cell('Criterion 2').fill('Typed last of all');
    await page.getByRole('button', { name: 'Make it ready' }).click();
    await expect(page.getByRole('alert')).toContainText('Level number 5, title: is missing');
    await expect(cell('Criterion 1')).toHaveValue('Typed right away');
    await expect(cell('Criterion 2')).toHaveValue('Typed last of all');
});
