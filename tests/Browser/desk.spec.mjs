// The desk as a tutor uses it: from the keyboard, over a bad connection, in two tabs.
import { expect, signedIn, test } from './people.mjs';

async function atTheDesk(browser, who) {
    const page = await signedIn(browser, who);
    await page.getByRole('link', { name: 'Go to the desk' }).first().click();
    await expect(page.locator('.rail').first()).toBeVisible();
    return page;
}

test('a script is marked from the keyboard alone', async ({ browser }) => {
    const page = await atTheDesk(browser, 'kwabena.asante-mensah');
    const code = await page.locator('.script .code').innerText();
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: 'Keys at the desk' })).toBeVisible();
    await page.keyboard.press('Escape');
    const focused = (name) => page.evaluate((wanted) => document.activeElement?.closest('fieldset')?.querySelector('legend b')?.textContent === wanted, name);
    for (const name of ['Argument', 'Use of evidence', 'Structure', 'Expression', 'Referencing']) {
        for (let i = 0; i < 40 && !(await focused(name) && await page.evaluate(() => document.activeElement.type === 'radio')); i++) {
            await page.keyboard.press('Tab');
        }
        await page.keyboard.press('3');
        await expect(page.getByRole('group', { name: new RegExp(name) }).getByLabel('Fair, 6', { exact: true })).toBeChecked();
    }
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('group', { name: /Referencing/ }).getByLabel('between Fair and Excellent, 8')).toBeChecked();
    // Four criteria at 6 of 10 with 90 percent, Referencing at 8 of 10 with 10: 54 + 8 = 62.
    await expect(page.locator('#total b').first()).toHaveText('62.0');
    await page.keyboard.press('w');
    await expect(page.getByRole('dialog', { name: 'How 62.0 came about' })).toContainText('8 of 10 × 10 %');
    await page.keyboard.press('Escape');
    await page.keyboard.press('g');
    await page.keyboard.type('Written without a mouse.');
    for (let i = 0; i < 10 && !(await page.evaluate(() => /^Done/.test(document.activeElement?.textContent ?? ''))); i++) {
        await page.keyboard.press('Tab');
    }
    await page.keyboard.press('Enter');
    await expect(page.getByText(`${code} is done.`)).toBeVisible();
});

test('not a character is lost when the connection is cut in mid-sentence', async ({ browser }) => {
    const page = await atTheDesk(browser, 'lin.hui');
    const address = page.url();
    const general = page.getByLabel('In general');
    await general.fill('Before the line went down.');
    await expect(page.locator('#saved')).toContainText(/Saved/);
    await page.context().setOffline(true);
    await general.pressSequentially(' And after it, on the train.');
    // The notice moves the rails down a little: it is there before the next click.
    await expect(page.getByRole('alert')).toContainText('the server cannot be reached');
    await page.getByRole('group', { name: /Expression/ }).getByLabel('Good, 8').check({ force: true });
    await expect(page.locator('#saved')).toHaveText('Not saved yet; kept in this browser');
    await page.context().setOffline(false);
    await expect(page.locator('#saved')).toContainText(/Saved/, { timeout: 60_000 });
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.reload();
    await expect(general).toHaveValue('Before the line went down. And after it, on the train.');
    await expect(page.getByRole('group', { name: /Expression/ }).getByLabel('Good, 8')).toBeChecked();

    // A sign-in that has ended, and a tab closed over it: the words are there when the desk is opened again.
    const cookies = await page.context().cookies();
    await page.context().clearCookies();
    await general.fill('Written after the sign-in had ended.');
    await expect(page.locator('#saved')).toHaveText('Not saved yet; kept in this browser');
    await page.context().addCookies(cookies);
    const again = await page.context().newPage();
    await page.close({ runBeforeUnload: false });
    await again.goto(address);
    await expect(again.getByLabel('In general')).toHaveValue('Written after the sign-in had ended.');
    await expect(again.locator('#saved')).toContainText(/Saved/);
    await again.reload();
    await expect(again.getByLabel('In general')).toHaveValue('Written after the sign-in had ended.');
});

test('two tabs on one script keep what each of them wrote', async ({ browser }) => {
    const one = await atTheDesk(browser, 'aoife.nibhriain');
    const two = await one.context().newPage();
    await two.goto(one.url());
    await one.getByLabel('Comment on Structure').fill('From the first tab.');
    await two.getByLabel('Comment on Referencing').fill('From the second tab.');
    for (const page of [one, two]) {
        await expect(page.locator('#saved')).toContainText(/Saved/);
        await page.waitForTimeout(1000);
    }
    await one.reload();
    await expect(one.getByLabel('Comment on Structure')).toHaveValue('From the first tab.');
    await expect(one.getByLabel('Comment on Referencing')).toHaveValue('From the second tab.');
});
