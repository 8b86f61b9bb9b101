import { test as base, expect } from '@playwright/test';

const open = new Set();

/** Every test leaves its windows closed: pages left open go on asking for news. */
export const test = base.extend({
    windows: [async ({}, use) => {
        await use();
        await Promise.all([...open].map((context) => context.close()));
        open.clear();
    }, { auto: true }],
});

export { expect };

async function windowOf(browser, options) {
    const context = await browser.newContext({ baseURL: process.env.APP_URL, ...options });
    open.add(context);
    return context;
}

export const password = 'low-water-mark';

// Signing in is throttled, as it should be: whoever has signed in once comes back with the same session.
const sessions = new Map();

/** A page of their own for someone of the demo, signed in. */
export async function signedIn(browser, who, options = {}) {
    const context = await windowOf(browser, { viewport: { width: 1280, height: 800 }, storageState: sessions.get(who), ...options });
    const page = await context.newPage();
    await page.goto('/');
    if (await page.getByRole('heading', { name: 'Today' }).count() === 0) {
        await signIn(page, who);
        sessions.set(who, await context.storageState());
    }
    return page;
}

export async function signIn(page, who, word = password) {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail address').fill(who.includes('@') ? who : `${who}@merrow.example`);
    await page.getByLabel('Password', { exact: true }).fill(word);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
}

/** Reloads a page until something shows, as someone waiting for a worker would. */
export async function until(page, locator, seconds = 90) {
    for (let i = 0; i < seconds * 2; i++) {
        if (await locator.first().isVisible()) {
            return;
        }
        await page.waitForTimeout(500);
        await page.reload();
    }
    throw new Error(`it did not show within ${seconds} seconds`);
}

/** Opens the mail that someone got, as the sink keeps it, and gives the link in it. */
export async function linkInMail(page, address, subject) {
    await page.goto('/demo/mail');
    const mail = page.locator('details', { hasText: address }).filter({ hasText: subject });
    await until(page, mail);
    await mail.first().locator('summary').click();
    return (await mail.first().locator('pre').innerText()).match(/https?:\S+/)[0];
}

/** Someone who was just added chooses a password by the link they got, and is signed in. */
export async function joined(browser, name, module) {
    const page = await (await windowOf(browser, {})).newPage();
    await page.goto(await linkInMail(page, `${name}@merrow.example`, `Your account for ${module}`));
    await page.getByLabel('Choose a password').fill('four ordinary words');
    await page.getByLabel('The same again').fill('four ordinary words');
    await page.getByRole('button', { name: 'Save it and sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
    return page;
}

/** Says what the demo's assignments ask of students when they hand in. */
export async function declare(page) {
    await page.getByLabel('This is my own work.').check();
    await page.getByLabel('Tools I used').fill('None.');
    await page.getByLabel('People who helped me').fill('None.');
}
