// The last weeks of a module: from what needs a decision to a board that confirmed it, and a grade book of forty columns.
import { execFileSync } from 'node:child_process';
import { expect, signedIn, test } from './people.mjs';

const php = (what) => execFileSync('php', ['tests/Browser/closing.php', what]).toString();

const gradeBook = async (page) => {
    await page.goto('/grade-book');
    await page.getByRole('link', { name: /HT105/ }).click();
};

test('a grade book of forty columns is walked by keyboard, and names stay with their rows', async ({ browser }) => {
    expect(php('wide')).toBe('34');
    try {
        const page = await signedIn(browser, 'maren.oduya');
        await gradeBook(page);
        const book = page.getByRole('region', { name: /^Grade book/ });
        await expect(book.getByRole('columnheader')).toHaveCount(44);
        const name = book.getByRole('rowheader', { name: 'Wren Ashgrove' });
        const left = (await name.boundingBox()).x;
        await book.focus();
        for (let n = 0; n < 30; n++) {
            await page.keyboard.press('ArrowRight');
        }
        await expect.poll(() => book.evaluate((element) => element.scrollLeft)).toBeGreaterThan(400);
        expect(Math.abs((await name.boundingBox()).x - left)).toBeLessThan(2);
        // The last column is reached by Tab as well: its heading is a link.
        await book.getByRole('link', { name: 'Column 34' }).focus();
        await expect(book.getByRole('link', { name: 'Column 34' })).toBeInViewport();
        expect(Math.abs((await name.boundingBox()).x - left)).toBeLessThan(2);
        await book.getByRole('link', { name: /^Module mark/ }).click();
        await expect(page.getByRole('region', { name: /^Grade book/ }).getByRole('rowheader').first()).toHaveText(/Anselm/);

        const phone = await signedIn(browser, 'maren.oduya', { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
        await gradeBook(phone);
        await expect(phone.getByRole('rowheader', { name: 'Yuki Tremayne' })).toBeVisible();
        await expect(phone.getByRole('columnheader', { name: /^Module mark/ })).toBeInViewport();
        expect(await phone.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
    } finally {
        expect(php('narrow')).toBe('0');
    }
});

test('from what needs a decision to the confirmed board sheet, and provisional becomes final', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await gradeBook(page);
    await page.getByLabel('Needs a decision of mine').check();
    await page.getByRole('button', { name: 'Show' }).click();
    await expect(page.getByRole('status').filter({ hasText: '4 students' })).toBeVisible();
    await page.getByRole('link', { name: 'Kasimir Old-Bell' }).click();
    await expect(page.getByRole('heading', { name: 'Module mark' })).toBeVisible();
    await page.getByText('How this number came about').click();
    await expect(page.getByText('best 2 of –, 51, 56.5')).toBeVisible();

    // What the assignment says of someone who handed in nothing, in one step for each assignment.
    for (const title of ['Tide table 1', 'Tide table 2', 'Tide table 3']) {
        await gradeBook(page);
        await page.getByRole('link', { name: /HT105/ }).click();
        await page.getByRole('link', { name: title }).click();
        await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Release ,/ }).click();
        await page.getByLabel('I have looked who they are.').check();
        await page.getByRole('button', { name: 'Give 0 marks' }).click();
        await page.getByText('Release …').click();
        await page.getByRole('button', { name: 'Release them' }).click();
        await expect(page.getByText(/^[12] of [12] released/)).toBeVisible({ timeout: 30_000 });
    }
    await gradeBook(page);
    await expect(page.getByRole('row', { name: /Kasimir/ }).getByText('0.0')).toBeVisible();
    await page.getByLabel('Needs a decision of mine').check();
    await page.getByRole('button', { name: 'Show' }).click();
    await expect(page.getByText('Nobody is as you asked for.')).toBeVisible();

    const student = await signedIn(browser, 'fionnuala.xu');
    await student.getByRole('link', { name: /^Read it/ }).first().waitFor();
    const result = await student.getByRole('row', { name: /Map examination/ }).getByRole('link', { name: /^Read it/ }).getAttribute('href');
    await student.goto(result);
    await expect(student.getByText('Provisional.')).toBeVisible();

    await page.getByRole('link', { name: 'Board sheet' }).click();
    const sheet = page.getByRole('region', { name: 'Board sheet' });
    await expect(sheet.getByRole('rowheader')).toHaveCount(12);
    for (const name of ['Fionnuala', 'Noor', 'Yuki']) {
        await expect(sheet.getByText(name)).toHaveCount(0);
    }
    await page.getByLabel('A note, such as the day of the board').fill('Board of the autumn.');
    await page.getByLabel('The board has confirmed these results.').check();
    await page.getByRole('button', { name: 'Confirm' }).click();
    await expect(page.getByText(/13 results are final now/)).toBeVisible();
    await expect(page.getByText('Board of the autumn.; as it is now')).toBeVisible();
    await student.reload();
    await expect(student.getByText('Provisional.')).toHaveCount(0);
    await expect(student.getByText(/Confirmed by the board of examiners/)).toBeVisible();

    // The external examiner reads it, and finds no name by it.
    const examiner = await signedIn(browser, 'ines.caldeira');
    await examiner.goto(new URL(page.url()).pathname);
    await expect(examiner.getByRole('region', { name: 'Board sheet' }).getByRole('rowheader')).toHaveCount(12);
});
