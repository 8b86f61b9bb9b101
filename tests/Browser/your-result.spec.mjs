// Results night: a release at a set time, everyone opening theirs at once, and what students do with their feedback.
import { execFileSync } from 'node:child_process';
import { expect, signedIn, test } from './people.mjs';

const php = (what) => JSON.parse(execFileSync('php', ['tests/Browser/results-night.php', what], { maxBuffer: 64 * 1024 * 1024 }).toString());

test('results of 400 go out in one moment at the time that was set, and everyone opens theirs at once', async ({ browser }) => {
    test.setTimeout(300_000);
    expect(php('grow')).toBe(184);
    const { assignment, students } = php('who');
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto(`/assignments/${assignment}/release`);
    await expect(page.getByText('400 results are ready')).toBeVisible();
    await page.getByLabel('At a time').check();
    const soon = new Date(Date.now() + 90 * 60_000);
    await page.getByLabel('Day and time').fill(`${new Intl.DateTimeFormat('sv', { timeZone: 'Europe/London', dateStyle: 'short' }).format(soon)}T${new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/London', hour: '2-digit', minute: '2-digit' }).format(soon)}`);
    await page.getByText('What the mail says').click();
    await page.getByLabel('Text', { exact: true }).fill('Dear {first name},\n\nread the comments before the mark.\n\n{link}');
    await page.getByText('Release …').click();
    await page.getByRole('button', { name: 'Release them' }).click();
    await expect(page.getByText(/^Goes out /)).toBeVisible();

    // A student waits with a page open; nothing shows before the moment.
    const waiting = (await browser.newContext({ baseURL: process.env.APP_URL, viewport: { width: 390, height: 844 } }));
    const [name, value] = students[0].cookie.split('=');
    await waiting.addCookies([{ name, value, url: process.env.APP_URL }]);
    const phone = await waiting.newPage();
    await phone.goto(`/assignments/${assignment}/hand-in`);
    await expect(phone.getByText('Your result is here')).toHaveCount(0);
    expect(php('look').results).toEqual([]);
    expect(php('due')).toEqual({ moved: 1, asked: 1 });
    await expect.poll(() => php('look').results.length, { timeout: 60_000 }).toBe(400);
    const { results } = php('look');
    expect(new Set(results.map(({ at }) => at)).size).toBe(1);
    await phone.reload();
    await expect(phone.getByText('Your result is here')).toBeVisible();
    await waiting.close();

    // Twice as many pages as students, all at once: each their own, and nobody another's.
    const of = new Map(results.map((one) => [one.email, one]));
    const began = Date.now();
    const open = async ({ cookie, name, email }, n) => {
        const get = (path) => fetch(`${process.env.APP_URL}${path}`, { headers: { Cookie: cookie, Accept: 'text/html' }, redirect: 'manual' });
        const own = await get(`/results/${of.get(email).id}`);
        const text = await own.text();
        const other = await get(`/results/${of.get(students[(n + 1) % students.length].email).id}`);
        return [own.status, text.includes(`<div class="big">${of.get(email).mark}</div>`), text.includes(name.replace("'", '&#039;')), other.status];
    };
    const queue = students.map((student, n) => [student, n]);
    const answers = [];
    await Promise.all(Array.from({ length: 40 }, async () => {
        for (let next = queue.shift(); next; next = queue.shift()) {
            answers.push(await open(...next));
        }
    }));
    console.log(`results night: ${answers.length * 2} pages in ${((Date.now() - began) / 1000).toFixed(1)} s`);
    expect(answers.filter(([status, mark, name, other]) => status !== 200 || !mark || !name || other !== 403)).toEqual([]);
    expect(php('look').results.filter(({ openings }) => openings !== 1)).toEqual([]);
    // Mail goes out one by one; that none is lost or sent twice is checked where runs are killed (NoticesTest).
    await expect.poll(() => php('look').mails.sent ?? 0, { timeout: 90_000 }).toBeGreaterThan(150);
    expect(php('look').mails.failed ?? 0).toBe(0);
    await page.reload();
    await expect(page.getByText(/400 of 400 released .+ \d/)).toBeVisible();
});

test('on a phone a student reads, replies by touch, says what was useful; the marker answers and a review is decided', async ({ browser }) => {
    const phone = await signedIn(browser, 'dafydd.aprhys', { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true, permissions: ['microphone'] });
    await phone.goto('/');
    await phone.locator('a[href*="/results/"]').first().tap();
    await expect(phone.getByRole('heading', { name: 'Your text' })).toBeVisible();
    const card = phone.locator('#comment-1');
    await phone.locator('#place-1').tap();
    await expect(card).toBeInViewport();
    await card.getByText('Reply', { exact: true }).tap();
    await card.getByLabel('Your reply').fill('Do you mean the ink, or the hand?');
    await card.getByRole('button', { name: 'Send' }).tap();
    await expect(phone.getByText('Do you mean the ink, or the hand?')).toBeVisible();
    await phone.locator('#comment-1').getByRole('button', { name: 'useful', exact: true }).tap();
    await expect(phone.locator('#comment-1').getByText('You found it useful.')).toBeVisible();
    await phone.waitForTimeout(1500); // so long a comment has to stand in view to count as seen

    // Whose comment it is finds it on Today and answers from the keyboard.
    const thread = await phone.locator('#comment-1 .thread').getAttribute('id');
    for (const who of ['tomasz.wisniewski', 'aoife.nibhriain', 'lin.hui', 'kwabena.asantemensah']) {
        const marker = await signedIn(browser, who).catch(() => null);
        const told = marker?.getByRole('link', { name: /^A reply on/ });
        if (!marker || await told.count() === 0) {
            continue;
        }
        await told.first().focus();
        await marker.keyboard.press('Enter');
        await expect(marker.getByText('Do you mean the ink, or the hand?')).toBeVisible();
        await marker.getByLabel('Your answer').focus();
        await marker.keyboard.type('The hand: it is larger than the strokes.');
        await marker.getByRole('button', { name: 'Answer', exact: true }).focus();
        await marker.keyboard.press('Enter');
        await expect(marker.getByText('The hand: it is larger')).toBeVisible();
        break;
    }
    await phone.goto('/');
    await phone.getByRole('link', { name: /^An answer to your reply/ }).tap();
    await expect(phone.locator(`#${thread}`)).toContainText('The hand: it is larger than the strokes.');

    // Names are revealed here, so a voice is heard by the other side at once.
    const whole = phone.locator('#whole');
    await whole.getByText('Say something about the feedback as a whole').tap();
    await whole.getByRole('button', { name: 'Record a reply' }).tap();
    await expect(whole.getByText(/^0:01 of/)).toBeVisible();
    await whole.getByRole('button', { name: 'Stop' }).tap();
    await expect(whole.getByText('Listen to it, then send.')).toBeVisible();
    await whole.getByRole('button', { name: 'Send' }).tap();
    await expect(phone.locator('#whole .reply audio')).toBeVisible();
    await phone.getByLabel('Speed').first().selectOption('1.5');
    expect(await phone.locator('#whole .reply audio').evaluate((audio) => audio.playbackRate)).toBe(1.5);

    const coordinator = await signedIn(browser, 'maren.oduya');
    await coordinator.goto('/');
    await coordinator.getByRole('row', { name: /1 review of a mark/ }).getByRole('link', { name: 'Decide' }).click();
    await coordinator.getByRole('link', { name: 'Correct it' }).click();
    await coordinator.getByLabel('Mark', { exact: true }).fill('70');
    await coordinator.getByLabel('What changed, for the student').fill('Your second paragraph says who wrote the note and when, which was overlooked.');
    await coordinator.getByLabel('Why', { exact: true }).fill('Both markers read past the second paragraph.');
    await coordinator.getByRole('button', { name: 'Release the corrected result' }).click();
    await expect(coordinator.locator('.big')).toHaveText('70.0');
    await phone.goto('/');
    await phone.getByRole('link', { name: /^A corrected result/ }).tap();
    await expect(phone.locator('.big')).toHaveText('70.0');
    await expect(phone.getByText('which was overlooked').first()).toBeVisible();
    await expect(phone.getByText('The mark was corrected.')).toBeVisible();
    const width = await phone.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(390);
});
