// The rubric sheet as its writers use it: from the keyboard alone, with a pasted table, coming back to undo, two at once.
import { expect, joined, signedIn, test } from './people.mjs';

const cell = (page, name) => page.getByLabel(name, { exact: true });
const saved = (page) => expect(page.locator('#saved')).toContainText(/Saved \d/);

async function begun(browser, title) {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/rubrics');
    await page.getByLabel('Title').first().fill(title);
    await page.getByRole('button', { name: 'Create', exact: true }).click();
    await expect(cell(page, 'Criterion 1')).toBeVisible();
    return page;
}

test('a rubric of six criteria by five levels is built from the keyboard alone', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    const { keyboard } = page;
    await page.goto('/rubrics');
    await cell(page, 'Title').focus();
    await keyboard.type('From the keyboard');
    await keyboard.press('Enter');
    await expect(cell(page, 'Criterion 1')).toBeVisible();
    await cell(page, 'Criterion 1').focus();
    const names = ['Question', 'Argument', 'Evidence', 'Structure', 'Language', 'References'];
    for (const [n, name] of names.entries()) {
        await expect(cell(page, `Criterion ${n + 1}`)).toBeFocused();
        await keyboard.type(name);
        if (n < names.length - 1) {
            await keyboard.press('Control+Enter');
        }
    }
    await keyboard.press('Control+Shift+Enter');
    await expect(cell(page, 'Name of level 5')).toBeFocused();
    await keyboard.type('Beyond');
    await keyboard.press('Tab');
    await keyboard.type('12');
    // Across a row by Tab, down a column by arrow, and into the weights.
    await cell(page, 'Descriptor: criterion 1, level 1').focus();
    for (let level = 1; level <= 5; level++) {
        await expect(cell(page, `Descriptor: criterion 1, level ${level}`)).toBeFocused();
        await keyboard.type(`At level ${level}`);
        await keyboard.press('Tab');
    }
    await expect(cell(page, 'Weight of criterion 1 in percent')).toBeFocused();
    for (const weight of ['20', '20', '20', '20', '10', '10']) {
        await keyboard.press('Control+a');
        await keyboard.type(weight);
        await keyboard.press('Enter');
    }
    await expect(page.getByText('100 of 100')).toBeVisible();
    await cell(page, 'Descriptor: criterion 1, level 5').focus();
    await keyboard.press('End');
    await keyboard.press('ArrowDown');
    await expect(cell(page, 'Descriptor: criterion 2, level 5')).toBeFocused();
    await keyboard.press('ArrowLeft');
    await expect(cell(page, 'Descriptor: criterion 2, level 4')).toBeFocused();
    await keyboard.press('Alt+Shift+ArrowUp');
    await expect(cell(page, 'Criterion 1')).toHaveValue('Argument');
    await expect(cell(page, 'Descriptor: criterion 1, level 4')).toBeFocused();
    await page.getByRole('button', { name: 'Make it ready' }).focus();
    await keyboard.press('Enter');
    await expect(page.getByText('Version 1 is ready')).toBeVisible();
    await expect(page.getByRole('heading', { level: 3 })).toHaveCount(6);
});

test('a table is pasted, looked at and taken in', async ({ browser }) => {
    const page = await begun(browser, 'Pasted');
    await page.getByRole('button', { name: 'Paste a table' }).click();
    // As a word processor puts it on the clipboard: HTML beside plain text that has lost its cells.
    await page.getByLabel('The table').evaluate((field) => {
        const clipboard = new DataTransfer();
        clipboard.setData('text/plain', 'Voice Flat Alive');
        clipboard.setData('text/html', '<html><body><table><tr><td></td><td>Low (2)</td><td>High (8–10)</td><td>Weight</td></tr><tr><td><p>Voice</p><p>Is it a person’s?</p></td><td>Flat</td><td>Alive</td><td>55 %</td></tr><tr><td>Pace</td><td>Slow</td><td>Quick</td><td>45 %</td></tr></table></body></html>');
        field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: clipboard, bubbles: true, cancelable: true }));
    });
    await expect(page.getByText('2 criteria by 2 levels.')).toBeVisible();
    await page.getByRole('button', { name: 'Use it' }).click();
    await expect(page.getByText('2 criteria were taken from the table')).toBeVisible();
    await expect(cell(page, 'Criterion 1')).toHaveValue('Voice');
    await expect(cell(page, 'Points of level 2, a number or a range')).toHaveValue('8–10');
    await expect(cell(page, 'Descriptor: criterion 2, level 2')).toHaveValue('Quick');
    await expect(page.getByText('100 of 100')).toBeVisible();
});

test('a deletion is undone after the page was left, and a criterion is dragged', async ({ browser }) => {
    const page = await begun(browser, 'Come back to it');
    await cell(page, 'Criterion 1').fill('Worth keeping');
    await cell(page, 'Descriptor: criterion 1, level 2').fill('With its words');
    await page.getByRole('button', { name: '+ criterion' }).click();
    await cell(page, 'Criterion 2').fill('Second');
    await cell(page, 'Criterion 1').focus();
    await page.keyboard.press('Alt+Shift+Delete');
    await expect(page.locator('tr[data-criterion]')).toHaveCount(1);
    await page.goto('/');
    await page.goto('/rubrics');
    await page.getByRole('link', { name: 'Come back to it' }).click();
    await expect(page.getByRole('button', { name: 'undo' })).toHaveAttribute('title', 'undo: removed criterion “Worth keeping”');
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(page.locator('tr[data-criterion]')).toHaveCount(2);
    await expect(cell(page, 'Descriptor: criterion 1, level 2')).toHaveValue('With its words');
    await page.locator('tr[data-criterion] .grip').nth(1).dragTo(page.locator('tr[data-criterion]').first());
    await expect(cell(page, 'Criterion 1')).toHaveValue('Second');
    await page.locator('h1').click();
    await page.keyboard.press('Control+z');
    await expect(cell(page, 'Criterion 1')).toHaveValue('Worth keeping');
});

test('a button that is pressed while the sheet comes back is not lost', async ({ browser }) => {
    const page = await begun(browser, 'On a slow line');
    await page.route('**/rubrics/**', async (route) => { // answers take their time
        const answer = route.request().method() === 'GET' ? null : await route.fetch();
        if (answer) {
            await new Promise((done) => setTimeout(done, 600));
        }
        await (answer ? route.fulfill({ response: answer }) : route.continue());
    });
    await page.getByRole('button', { name: '+ criterion' }).click();
    await page.getByRole('button', { name: '+ criterion' }).click();
    await expect(page.locator('tr[data-criterion]')).toHaveCount(3);
});

test('two coordinators in two browsers see each other and neither loses a word', async ({ browser }) => {
    const one = await signedIn(browser, 'maren.oduya');
    await one.goto('/modules');
    await one.getByRole('link', { name: /HT210/ }).click();
    await one.getByRole('link', { name: 'People' }).click();
    await one.getByLabel('They are').selectOption('Coordinators');
    await one.getByLabel('A line each').fill('Ottilie Brandvold, ottilie.brandvold@merrow.example');
    await one.getByRole('button', { name: 'Add them' }).click();
    const two = await joined(browser, 'ottilie.brandvold', 'HT210');
    for (const page of [one, two]) {
        await page.goto('/rubrics');
        await page.getByRole('link', { name: 'Group presentation' }).click();
    }
    await expect(one.locator('#news')).toContainText('Also here: Ottilie Brandvold');
    // In different places at the same time: both stand, and each comes to see the other's.
    await cell(one, 'Criterion 1').fill('A question of one');
    await cell(two, 'Criterion 2').fill('Evidence of two');
    await cell(one, 'Criterion 1').blur();
    await cell(two, 'Criterion 2').blur();
    await expect(cell(two, 'Criterion 1')).toHaveValue('A question of one');
    await expect(cell(one, 'Criterion 2')).toHaveValue('Evidence of two');
    // One adds a criterion while the other is in the middle of a sentence.
    await cell(two, 'Descriptor: criterion 3, level 1').click();
    await cell(two, 'Descriptor: criterion 3, level 1').fill('Half a sen');
    await one.getByRole('button', { name: '+ criterion' }).click();
    await expect(two.locator('tr[data-criterion]')).toHaveCount(4);
    await expect(cell(two, 'Descriptor: criterion 3, level 1')).toHaveValue('Half a sen');
    await saved(two);
    // In the same place: what was written second is shown beside the first until one is chosen.
    await two.evaluate(() => { Object.defineProperty(document, 'hidden', { get: () => true }); }); // no news for a moment
    await cell(one, 'Criterion 3').fill('Speaking, said one');
    await cell(one, 'Criterion 1').focus();
    await saved(one);
    await cell(two, 'Criterion 3').fill('Speaking, said two');
    await cell(two, 'Criterion 1').focus();
    await expect(two.getByRole('alert')).toContainText('Maren Oduya wrote in the same place');
    await expect(two.getByRole('cell', { name: 'Speaking, said one', exact: true })).toBeVisible();
    await expect(cell(two, 'Criterion 3')).toHaveValue('Speaking, said two');
    await two.getByRole('button', { name: 'Keep mine' }).click();
    await saved(two);
    await expect(cell(one, 'Criterion 3')).toHaveValue('Speaking, said two');
});

test('words typed while the connection is cut are sent when it is back', async ({ browser }) => {
    const page = await begun(browser, 'On a train');
    await saved(page);
    await page.context().setOffline(true);
    await cell(page, 'Criterion 1').fill('Written in a tunnel');
    await cell(page, 'Descriptor: criterion 1, level 1').focus();
    await expect(page.locator('#saved')).toContainText('Not saved yet; still in the page');
    await page.context().setOffline(false);
    await saved(page);
    await page.reload();
    await expect(cell(page, 'Criterion 1')).toHaveValue('Written in a tunnel');
});
