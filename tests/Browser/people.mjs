import { expect } from '@playwright/test';

export const password = 'low-water-mark';

/** A page of their own for someone of the demo, signed in. */
export async function signedIn(browser, who, options = {}) {
    const context = await browser.newContext({ baseURL: process.env.APP_URL, viewport: { width: 1280, height: 800 }, ...options });
    const page = await context.newPage();
    await signIn(page, who);
    return page;
}

export async function signIn(page, who, word = password) {
    await page.goto('/sign-in');
    await page.getByLabel('Mail address').fill(who.includes('@') ? who : `${who}@merrow.example`);
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
