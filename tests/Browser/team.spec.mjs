// What a team does around the desk: the bank, marking together, setting aside, keys of one's own, progress and a reminder.
import { expect, signedIn, test, until } from './people.mjs';

const essay = 'Essay: A living from the edge';
const ready = (page) => expect(page.locator('[data-desk][data-ready]')).toBeVisible();

async function queue(page) {
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT210/ }).first().click();
    await page.getByRole('link', { name: essay }).click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Mark ,/ }).click();
    await page.waitForURL(/\/mark$/);
}

/** Opens a mark of someone's that can still be changed. */
async function anOpenMark(page) {
    await queue(page);
    for (const address of await page.locator('table .code').evaluateAll((all) => all.map((one) => one.href))) {
        await page.goto(address);
        if (await page.getByRole('button', { name: 'Open it again' }).count() > 0) {
            await page.getByRole('button', { name: 'Open it again' }).click();
        }
        if (await page.getByRole('button', { name: /^Done/ }).count() > 0) {
            await ready(page);
            return;
        }
    }
    throw new Error('nothing can be marked');
}

test('the bank: a set is made, filled, changed in place, taken out as a file and brought in again', async ({ browser }) => {
    const page = await signedIn(browser, 'kwabena.asante-mensah');
    await page.goto('/bank');
    await expect(page.getByRole('heading', { name: /Essays on the coast/ })).toBeVisible();
    await page.getByLabel('Name', { exact: true }).fill('For commentaries');
    await page.getByRole('button', { name: 'Create the set' }).click();
    const set = page.locator('section', { has: page.getByRole('heading', { name: /For commentaries/ }) });
    await set.getByText('add to this set').click();
    await set.getByRole('textbox', { name: 'Label' }).last().fill('One source');
    await set.getByRole('textbox', { name: 'Comment' }).last().fill('Stay with the one source, and ask it three things.');
    await set.getByRole('button', { name: 'Add it' }).click();
    await set.getByText('One source', { exact: true }).click();
    await set.getByRole('textbox', { name: 'Comment' }).first().fill('Stay with the one source. Ask it three things.');
    await set.getByRole('button', { name: 'Save' }).click();
    await expect(set.getByText('Stay with the one source. Ask it three things.').first()).toBeVisible();
    const download = page.waitForEvent('download');
    await set.getByRole('link', { name: 'CSV' }).click();
    const file = await (await download).path();
    await set.locator('summary').filter({ hasText: 'One source' }).click();
    await set.getByRole('button', { name: 'Delete “One source”' }).click();
    await set.getByText('add to this set').click();
    await set.locator('input[type=file]').setInputFiles({ name: 'set.csv', mimeType: 'text/csv', buffer: await import('node:fs').then((fs) => fs.readFileSync(file)) });
    await set.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByText('1 added.')).toBeVisible();
});

test('a script is set aside with a note, found again, and taken up; keys changed follow their person', async ({ browser }) => {
    const page = await signedIn(browser, 'aoife.nibhriain');
    await anOpenMark(page);
    const address = page.url();
    const code = await page.locator('.script .code').innerText();
    await page.keyboard.press('s');
    await page.getByRole('dialog', { name: `Set ${code} aside` }).getByLabel('Why').fill('The second page is upside down.');
    await page.getByRole('dialog').getByRole('button', { name: 'Set aside', exact: true }).click();
    await expect(page.getByText(`${code} is set aside.`)).toBeVisible();
    await queue(page);
    await page.getByRole('link', { name: /^set aside 1/ }).click();
    await expect(page.getByRole('row', { name: new RegExp(code) }).first()).toContainText('The second page is upside down.');
    await page.goto(address);
    await ready(page);
    await page.keyboard.press('?');
    await page.getByLabel('next criterion').fill('x');
    await page.getByLabel('comment on it').fill('x');
    await page.getByRole('button', { name: 'Save these keys' }).click();
    expect(await page.getByLabel('next criterion').evaluate((field) => field.validity.customError) || await page.getByLabel('comment on it').evaluate((field) => field.validity.customError)).toBe(true);
    await page.getByLabel('comment on it').fill('');
    await page.getByRole('button', { name: 'Save these keys' }).click();
    await expect(page.getByRole('dialog', { name: 'Keys at the desk' })).toContainText('Kept.');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog', { name: 'Keys at the desk' })).toBeHidden();
    await page.locator('.script').focus();
    await page.keyboard.press('x');
    expect(await page.evaluate(() => document.activeElement.closest('form[data-part]') !== null)).toBe(true);
    await page.locator('.script').focus();
    await page.keyboard.press('c'); // switched off
    await expect(page.locator('#strip')).toBeHidden();
    await page.reload();
    await ready(page);
    await page.keyboard.press('x');
    expect(await page.evaluate(() => document.activeElement.closest('form[data-part]') !== null)).toBe(true);
    await page.keyboard.press('?');
    await page.getByLabel('next criterion').fill('r');
    await page.getByLabel('comment on it').fill('c');
    await page.getByRole('button', { name: 'Save these keys' }).click();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /Set aside/ }).click();
    await page.getByRole('button', { name: 'Take it up again' }).click();
    await expect(page.getByText('Taken up again.')).toBeVisible();
});

test('the border between script and rubric is moved by keys and stays', async ({ browser }) => {
    const page = await signedIn(browser, 'kwabena.asante-mensah');
    await anOpenMark(page);
    const border = page.getByRole('separator');
    const width = () => page.locator('.side').evaluate((side) => side.offsetWidth);
    const before = await width();
    await border.focus();
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    expect(await width()).toBe(before + 48);
    await page.waitForResponse((answer) => answer.url().endsWith('/desk-settings') && answer.status() === 204);
    await page.reload();
    await ready(page);
    expect(await width()).toBe(before + 48);
});

test('a coordinator sees the pace, reminds in one step, and reads what marking together showed', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await queue(page);
    const row = page.getByRole('row', { name: /Lin Hui/ });
    await expect(row).toContainText(/pace|needed|done/);
    await page.getByText('Write to those ticked').click();
    for (const box of await page.getByRole('checkbox', { name: /^Write to/ }).all()) {
        await box.check();
    }
    await page.getByRole('button', { name: 'Send it' }).click();
    await expect(page.getByText(/markers? (was|were) written to/)).toBeVisible();
    await page.goto('/demo/mail');
    await until(page, page.getByText(`Still to mark: ${essay}`));
    await queue(page);
    await page.goto(page.url().replace(/\/mark.*/, '/together'));
    await expect(page.getByRole('heading', { name: 'How the levels are meant' })).toBeVisible();
    await page.getByLabel(/^Structure/).fill('A turn that a reader can see lifts it to Good.');
    await page.getByRole('button', { name: 'Save' }).click();
    const tutor = await signedIn(browser, 'lin.hui');
    await anOpenMark(tutor);
    await tutor.keyboard.press('l');
    await expect(tutor.getByRole('dialog', { name: 'How the levels are meant' })).toContainText('A turn that a reader can see lifts it to Good.');
});

test('browser and server count the same text in every kind of file, so that a place is the same place in both', async ({ browser }) => {
    const page = await signedIn(browser, 'tomasz.wisniewski');
    await queue(page);
    const addresses = await page.locator('table .code').evaluateAll((all) => [...new Set(all.map((one) => one.href.split('?')[0]))]);
    expect(addresses.length).toBeGreaterThan(8);
    for (const address of addresses) {
        await page.goto(address);
        await ready(page);
        const { same, places } = await page.evaluate(async () => {
            const text = document.querySelector('article.text').textContent;
            const file = await (await fetch(document.querySelector('a[href$="comments.jsonld"]').href)).json();
            const points = [...text];
            return {
                same: text === file['dcterms:source'].value,
                places: file.first.items.filter((one) => Array.isArray(one.target.selector)).every(({ target }) => points.slice(target.selector[1].start, target.selector[1].end).join('') === target.selector[0].exact),
            };
        });
        expect([address, same, places]).toEqual([address, true, true]);
        const numbers = await page.locator('.margin-mark').count();
        expect(numbers).toBe(await page.locator('#note-list > li').filter({ hasNotText: /page \d/ }).count());
    }
});

test('a script that was given to someone else meanwhile: the page says so, and the words can be taken along', async ({ browser }) => {
    const page = await signedIn(browser, 'kwabena.asante-mensah');
    await anOpenMark(page);
    await page.route('**/desk/*', (route) => (route.request().method() === 'PATCH' ? route.fulfill({ status: 404, contentType: 'application/json', body: '{"message":"gone"}' }) : route.continue()));
    await page.getByLabel('In general').fill('Written a moment too late.');
    const alert = page.getByRole('alert');
    await expect(alert).toContainText('has meanwhile been given to another marker');
    await expect(page.locator('#saved')).toHaveText('Not saved; kept in this browser');
    const download = page.waitForEvent('download');
    await alert.getByRole('button', { name: 'save it as a file' }).click();
    const path = await (await download).path();
    expect(await import('node:fs').then((fs) => fs.readFileSync(path, 'utf8'))).toContain('Written a moment too late.');
    await page.getByRole('button', { name: /^Done/ }).click();
    await expect(page.locator('#saved')).toHaveText('Not saved yet, so not done yet');
    // It was not so: what was kept is saved when the page is opened again.
    await page.unroute('**/desk/*');
    page.once('dialog', (dialog) => dialog.accept());
    await page.reload();
    await expect(page.getByLabel('In general')).toHaveValue('Written a moment too late.');
    await expect(page.locator('#saved')).toContainText(/Saved \d\d:\d\d/);
});
