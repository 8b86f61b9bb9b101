// Screening, as a coordinator reads it and as a student checks a draft.
import { expect, signedIn, test } from './people.mjs';

const stage = async (page, assignment, name) => {
    await page.goto('/');
    await page.getByRole('link', { name: assignment }).first().click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(`^${name} ,`) }).click();
};
const essay = 'Essay: A living from the edge';

test('a coordinator finds who shares text, reads it beside its source, argues with it and writes down what they found', async ({ browser }) => {
    test.setTimeout(120_000);
    const page = await signedIn(browser, 'maren.oduya');
    await stage(page, essay, 'Screen');
    await expect(page.getByRole('img', { name: /Scripts joined by lines/ })).toBeVisible();
    await page.getByLabel('Show', { exact: true }).selectOption('closely');
    await expect(page.locator('#screen-table tbody tr')).toHaveCount(4);
    await page.getByRole('link', { name: 'Words', exact: true }).click();
    await expect(page.locator('#screen-table tbody tr')).toHaveCount(4); // sorting keeps the filter
    await page.getByLabel('Show', { exact: true }).selectOption('');
    await page.getByRole('row', { name: /Trades of the shore/ }).locator('.code').first().click();

    const figures = page.locator('.figures');
    await expect(figures).toContainText('78 of 555 counted words also stand elsewhere.');
    await expect(figures).toContainText('Close wording besides, not in the share');
    await expect(figures).toContainText('passage 1 of 3');
    await expect(page.locator('.thread.now')).toHaveCount(1);
    await page.keyboard.press('j');
    await expect(figures).toContainText('passage 2 of 3');
    await expect(page).toHaveURL(/run=2/);
    await page.keyboard.press('j');
    await expect(figures).toContainText('passage 3 of 3');
    // The open run is in view on both sides.
    for (const pane of ['here', 'there']) {
        await expect(page.locator(`[data-pane=${pane}] .now`).first()).toBeInViewport();
    }
    await page.keyboard.press('w');
    await expect(page.getByRole('link', { name: /only around this passage/ })).toBeVisible();

    await page.getByText('Leave this passage out …').click();
    await page.getByRole('button', { name: 'Quoted and cited properly' }).click();
    await expect(figures).toContainText('passages taken off here');
    await expect(figures).not.toContainText('78 of 555');
    await page.getByRole('button', { name: 'undo' }).click();
    await expect(figures).toContainText('78 of 555 counted words');
    await page.getByText('Leave this passage out …').click();
    await page.locator('.acts').getByLabel('Another reason').first().fill('   ');
    await page.locator('.acts').getByRole('button', { name: 'Leave it out' }).first().click();
    await expect(page.getByRole('alert')).toContainText('Say in a few words why');
    await expect(figures).toContainText('78 of 555 counted words');

    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'The report as PDF' }).click();
    expect((await download).suggestedFilename()).toMatch(/^overlap [A-Z]+-\d{3}\.pdf$/);

    await page.getByLabel('Needs a talk with the student').check();
    await page.getByLabel('Why', { exact: true }).fill('One passage of an earlier year, word for word, another reworded.');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByRole('article').filter({ hasText: 'One passage of an earlier year' })).toBeVisible();
    await stage(page, essay, 'Release');
    await expect(page.locator('main')).toContainText('is held'); // the demo's conversation holds one
});

test('an open web that is down is told, and asked again when it is back', async ({ browser }) => {
    test.setTimeout(240_000);
    const web = process.env.HARBOR_WEB_SEARCH.replace(/search$/, '');
    const page = await signedIn(browser, 'maren.oduya');
    await fetch(`${web}behave?as=down`);
    try {
        await stage(page, 'Essay: After the water', 'Screen');
        await page.getByRole('button', { name: 'Compare all again' }).click();
        await expect(page.getByText('open web: not answered').first()).toBeVisible({ timeout: 60_000 });
        await expect(page.getByRole('button', { name: 'Ask the open web again' })).toBeVisible({ timeout: 60_000 });
    } finally {
        await fetch(`${web}behave?as=well`);
    }
    // One of those that were not answered: others may have been asked when it was back.
    await page.getByRole('row', { name: /open web: not answered/ }).first().locator('.code').first().click();
    await expect(page.locator('.findings')).toContainText('The rest of this report stands.');
    await page.goBack();
    await page.getByRole('button', { name: 'Ask the open web again' }).click();
    await expect(page.getByText('open web: not answered')).toHaveCount(0, { timeout: 60_000 });
    await expect(page.getByRole('button', { name: 'Ask the open web again' })).toHaveCount(0);
});

test('a student on a phone checks a draft, reads where its words stand and what to do', async ({ browser }) => {
    test.setTimeout(120_000);
    const page = await signedIn(browser, 'siobhan.darcy-quill', { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
    await page.getByRole('link', { name: 'Essay: After the water' }).first().click();
    await page.getByText('or paste its text').click();
    await page.getByLabel('Text of the draft').fill('My own beginning about a flood and its lists, written on the train. Relief was given by the bag and the blanket. Lists were drawn up of the deserving, and neighbours who had lost as much but gone less often to church were not on them. My own ending, with a thought of mine in it that nobody has had before, I hope.');
    await page.getByRole('button', { name: 'Check it' }).click();
    await expect(page.getByText('counted words also stand elsewhere.')).toBeVisible({ timeout: 60_000 });
    await expect(page.locator('.figures')).toContainText('passage 1 of 1');
    await expect(page.getByRole('heading', { name: 'What is normal' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'open the page' })).toBeVisible(); // a page of the open web may be read
    await expect(page.getByText('This is not handed in.')).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('a coordinator reads writing signals, opens their working, prepares questions and lets a tutor and the student read what they may', async ({ browser }) => {
    test.setTimeout(120_000);
    const page = await signedIn(browser, 'maren.oduya');
    await stage(page, essay, 'Screen');
    await page.getByRole('link', { name: 'Writing signals' }).click();
    await expect(page.getByRole('heading', { name: /^About 1 expected, \d seen$/ })).toBeVisible();
    await page.getByLabel('Show', { exact: true }).selectOption('unusual');
    await page.getByRole('row', { name: /stock phrases/ }).filter({ hasText: 'needs a talk' }).locator('.code').click();
    await expect(page.locator('.figures')).toContainText('it is the most unusual');
    await page.locator('.signal-row').filter({ hasText: 'There are more stock phrases than in 20 of 20 trusted texts' }).locator('summary').click();
    await expect(page.getByText('Connectives and set phrases from a list of ours, in 1,000 words. English only.')).toBeVisible();
    await page.getByText('How these become one number').click();
    await expect(page.getByText('1 ÷ 21 = 0.048')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'An outside detector (simulated)' })).toBeVisible();
    await page.locator('svg.strip a').first().click();
    await expect(page.locator('.sentence:target')).toBeInViewport();

    await page.getByLabel('What the student said').check();
    await page.getByLabel('Why', { exact: true }).fill('Brought four pages of notes, and an earlier version with the same sentences crossed out.');
    await page.getByLabel('Questions for a talk').fill('');
    await page.getByLabel('The student may read this entry').check();
    await page.getByRole('button', { name: 'Write it down' }).click();
    const entry = page.getByRole('article').filter({ hasText: 'Brought four pages of notes' });
    await expect(entry).toContainText('the student may read it');
    await entry.getByText('What stood there then').click();
    await expect(entry).toContainText('Of 21 texts');
    await page.getByLabel('Let someone read this record').selectOption({ label: 'Lin Hui' });
    await page.getByRole('button', { name: 'Let them' }).click();
    await expect(page.getByText('Lin Hui can read this record now.')).toBeVisible();

    const student = await signedIn(browser, 'sven.akerlund');
    await student.goto('/');
    await student.getByRole('link', { name: essay }).first().click();
    await student.getByRole('link', { name: 'Your coordinator wrote to you about it' }).click();
    await expect(student.getByText('Brought four pages of notes')).toBeVisible();
    await expect(student.getByText('Hardly a sentence in it')).toHaveCount(0);
});
