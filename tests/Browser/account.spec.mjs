// A second step at sign-in: set with a phone, asked for, the phone lost, let in again by an administrator.
import { createHmac } from 'node:crypto';
import { expect, linkInMail, password, signedIn, test } from './people.mjs';

const who = 'wanjiru.halloran';

// The code a phone would show, worked out here by the standard's words (RFC 6238), not by the application.
function codeOf(letters, away = 0) {
    const bits = [...letters.replace(/\s/g, '')].map((one) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(one).toString(2).padStart(5, '0')).join('');
    const secret = Buffer.from(bits.match(/.{8}/g).map((byte) => parseInt(byte, 2)));
    const step = Buffer.alloc(8);
    step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30000) + away));
    const hash = createHmac('sha1', secret).update(step).digest();
    return String((hash.readUInt32BE(hash[19] & 15) & 0x7fffffff) % 1e6).padStart(6, '0');
}

async function toTheCode(page) {
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await page.getByLabel('E-mail address').fill(`${who}@merrow.example`);
    await page.getByLabel('Password', { exact: true }).fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'A code from your phone' })).toBeVisible();
}

test('a second step is set, asked for, lost, and taken off', async ({ browser }) => {
    const page = await signedIn(browser, who);
    await page.goto('/account');
    await expect(page.getByRole('listitem').filter({ hasText: 'here, now' })).toContainText('Chrome on Linux');
    await page.getByRole('link', { name: 'Set it up' }).click();
    await expect(page.locator('[data-squares] svg path')).toHaveAttribute('d', /^M4 4h1v1h-1z/);
    const key = await page.locator('form p.code').innerText();
    await page.getByLabel('Six digits').fill('000000');
    await page.getByLabel('Your password').fill(password);
    await page.getByRole('button', { name: 'Set the second step' }).click();
    await expect(page.getByText('This is not the code that the phone should show').first()).toBeVisible();
    await expect(page.locator('form p.code').first()).toHaveText(key);
    await page.getByLabel('Six digits').fill(codeOf(key));
    await page.getByLabel('Your password').fill(password);
    await page.getByRole('button', { name: 'Set the second step' }).click();
    await expect(page.getByText('They are shown this once')).toBeVisible();
    const codes = await page.locator('[data-codes] li').allInnerTexts();
    expect(new Set(codes).size).toBe(10);
    const saving = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save as a file' }).click();
    const saved = await (await saving).createReadStream();
    let text = '';
    for await (const piece of saved) text += piece;
    expect(text).toContain(codes[9]);
    await page.reload();
    await expect(page.getByText(codes[0])).toHaveCount(0);

    await toTheCode(page);
    await page.getByLabel('Six digits').fill('123456');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('This is not the code that holds now')).toBeVisible();
    await page.getByLabel('Six digits').fill(codeOf(key, 1));
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();

    await toTheCode(page);
    await page.getByLabel('Six digits').fill(codes[3]);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();

    const office = await signedIn(browser, 'harbour.office');
    await office.getByRole('link', { name: 'People', exact: true }).click();
    await office.getByLabel('Find a person by name').fill('halloran');
    await office.getByRole('button', { name: 'Find', exact: true }).click();
    await office.getByRole('link', { name: 'Wanjiru Halloran' }).click();
    await expect(office.getByText('used a recovery code').first()).toBeVisible();
    await office.getByLabel('How do you know it is them?').fill('She stood at the counter.');
    await office.getByRole('button', { name: 'Take the second step off' }).click();
    await expect(office.getByText('No second step.')).toBeVisible();
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('a link by mail signs in where the institution lets it', async ({ browser }) => {
    const office = await signedIn(browser, 'harbour.office');
    await office.goto('/institution/sign-in');
    await office.getByLabel('A link by mail may be used').check();
    await office.getByRole('button', { name: 'Save' }).click();
    const page = await (await browser.newContext({ baseURL: process.env.APP_URL })).newPage();
    await page.goto('/sign-in');
    await page.getByRole('link', { name: 'Send me a link instead' }).click();
    await page.getByLabel('E-mail address').fill(`${who}@merrow.example`);
    await page.getByRole('button', { name: 'Send me a link' }).click();
    await expect(page.getByText('If there is an account with that address')).toBeVisible();
    const link = await linkInMail(page, `${who}@merrow.example`, 'Your link to sign in');
    await page.goto(link);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
    await page.context().close();
    await office.getByLabel('A link by mail may be used').uncheck();
    await office.getByRole('button', { name: 'Save' }).click();
    await expect(office.getByText('Saved.')).toBeVisible();
});

test('what has been kept for its time is chosen, confirmed, taken back, and kept for longer', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/modules');
    await page.getByRole('link', { name: 'Tolls and Tides' }).click();
    await page.getByRole('link', { name: 'How long things are kept' }).click();
    const boxes = page.locator('input[name="things[]"]');
    await expect(boxes).toHaveCount(6);
    await page.getByLabel('All of them').check();
    await boxes.first().uncheck();
    await expect(page.getByLabel('All of them')).toHaveJSProperty('indeterminate', true);
    await page.getByRole('button', { name: 'Delete the chosen' }).click();
    await expect(page.getByText('Confirmed. It is deleted in the night')).toBeVisible();
    await expect(boxes).toHaveCount(1);
    await page.getByRole('button', { name: 'Take it back' }).first().click();
    await expect(boxes).toHaveCount(2);
    await boxes.first().check();
    await page.getByRole('button', { name: 'Keep for longer' }).click();
    await expect(page.getByText('Nothing was decided').first()).toBeVisible();
    await expect(boxes.first()).toBeChecked();
    await page.getByLabel('Keep until').fill('2031-09-01');
    await page.getByLabel('Why for longer').fill('A study of the module uses them.');
    await page.getByRole('button', { name: 'Keep for longer' }).click();
    await expect(page.getByText('A study of the module uses them.')).toBeVisible();
    while (await page.getByRole('button', { name: /Take it back|End it/ }).count() > 0) {
        await page.getByRole('button', { name: /Take it back|End it/ }).first().click();
        await expect(page.getByText('Taken back.')).toBeVisible();
    }
    await expect(boxes).toHaveCount(6);
});
