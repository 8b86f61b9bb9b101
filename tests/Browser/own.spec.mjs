// What students say of themselves and each other: parts in groups, own ratings, first feedback on a draft, a reflection.
import { execFileSync } from 'node:child_process';
import { expect, signedIn, test, until } from './people.mjs';

const phone = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };
const local = (days) => {
    const at = new Date(Date.now() + days * 86_400_000);
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};
const narrow = async (page) => expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
const behaves = (as) => fetch(`${process.env.HARBOR_ASSISTANT.replace(/remarks$/, 'behave')}?as=${as}`);

test('a reflection of its own is planned, written on a phone, and read with the words many have in common', async ({ browser }) => {
    const coordinator = await signedIn(browser, 'maren.oduya');
    await coordinator.goto('/find?q=HT120');
    await coordinator.getByRole('link', { name: /HT120/ }).first().click();
    await coordinator.getByRole('link', { name: 'Reflections' }).click();
    await coordinator.getByLabel('Title').fill('At the end of the term');
    await coordinator.getByLabel('Questions, a line each').fill('Which letter changed your mind?\nWhat is still open?');
    await coordinator.getByLabel('Words each answer has at least').fill('4');
    await coordinator.getByLabel('Due').fill(local(4));
    await coordinator.getByRole('button', { name: 'Save' }).click();
    await expect(coordinator.getByText('Planned. Students are asked once you say so.')).toBeVisible();
    await coordinator.getByRole('button', { name: 'Ask them' }).click();
    await expect(coordinator.getByText('Students are asked now.')).toBeVisible();
    const answers = {
        'amaru.quispe-hale': ['The letter of the pilots, at last.', 'Who paid the pilots in winter.'],
        'bryn.ellacott': ['The second one of the pilots.', 'Whether the harbour was ever closed.'],
        'ceren.yildiz': ['None, but the pilots made me doubt.', 'The harbour, and its bar.'],
    };
    for (const [who, texts] of Object.entries(answers)) {
        const page = await signedIn(browser, who, phone);
        await page.goto('/');
        await page.getByRole('row', { name: /At the end of the term/ }).getByRole('link', { name: 'Write it' }).tap();
        await expect(page.getByText('Your coordinators read it, with your name.')).toBeVisible();
        await narrow(page);
        await page.getByLabel('Which letter changed your mind?').fill(texts[0]);
        await page.getByRole('button', { name: 'Save' }).tap();
        await expect(page.getByText('Kept. 4 more words, and it counts as done.')).toBeVisible();
        await page.getByLabel('What is still open?').fill(texts[1]);
        await page.getByRole('button', { name: 'Save' }).tap();
        await expect(page.getByText('Done. You can change it')).toBeVisible();
    }
    await coordinator.reload();
    await expect(coordinator.getByText(/^3 of 1[01] have written/)).toBeVisible();
    await expect(coordinator.getByRole('heading', { name: 'Words that many have in common' }).locator('xpath=..')).toContainText(/pilots\s*3/);
});

test('members of a group say who did how much, on phones; factors join, one is set by hand, and nobody else sees who rated whom', async ({ browser }) => {
    test.setTimeout(180_000);
    const assignment = execFileSync('php', ['tests/Browser/parts.php']).toString();
    const coordinator = await signedIn(browser, 'maren.oduya');
    await coordinator.goto(`/assignments/${assignment}/contribution`);
    await coordinator.getByLabel('What is rated, a line each').fill('Walking and writing');
    await coordinator.getByLabel('To be rated by').fill(local(3));
    await coordinator.getByRole('button', { name: 'Save' }).click();
    await expect(coordinator.getByText('Students are asked once you say so.')).toBeVisible();
    await coordinator.getByRole('button', { name: 'Ask them' }).click();
    await expect(coordinator.getByText('0 of 3 have rated').first()).toBeVisible();
    const rate = async (who, points) => {
        const page = await signedIn(browser, who, phone);
        await page.goto('/');
        await page.getByRole('row', { name: /Along the slip/ }).getByRole('link', { name: 'Do it' }).tap();
        await expect(page.getByText('Only your coordinators see what you say.')).toBeVisible();
        await narrow(page);
        for (const [name, word] of Object.entries(points)) {
            await page.getByRole('group', { name, exact: true }).getByRole('radio', { name: word, exact: true }).first().check();
        }
        await page.getByRole('button', { name: 'Save' }).tap();
        return page;
    };
    const amaru = await rate('amaru.quispe-hale', { 'Amaru Quispe-Hale': 'a full share', 'Bryn Ellacott': 'a full share' });
    await expect(amaru.getByText('Choose one of the five for each point, for: Ceren Yıldız.')).toBeVisible();
    await expect(amaru.getByRole('group', { name: 'Bryn Ellacott' }).getByRole('radio', { name: 'a full share' })).toBeChecked();
    await amaru.getByRole('group', { name: 'Ceren Yıldız' }).getByRole('radio', { name: 'little' }).check();
    await amaru.getByRole('button', { name: 'Save' }).tap();
    await expect(amaru.getByText('Kept. You can change it until it is due.')).toBeVisible();
    const bryn = await rate('bryn.ellacott', { 'Amaru Quispe-Hale': 'a full share', 'Bryn Ellacott': 'a full share', 'Ceren Yıldız': 'little' });
    await expect(bryn.getByText('Kept.')).toBeVisible();
    const ceren = await rate('ceren.yildiz', { 'Amaru Quispe-Hale': 'some', 'Bryn Ellacott': 'some', 'Ceren Yıldız': 'some' });
    await expect(ceren.getByText('Kept.')).toBeVisible();
    await coordinator.reload();
    await expect(coordinator.getByText('3 of 3 have rated').first()).toBeVisible();
    await expect(coordinator.getByText('give each other at least twice what either gives Ceren Yıldız')).toBeVisible();
    await coordinator.getByRole('button', { name: 'Close it' }).click();
    await expect(coordinator.getByText('Each factor joins the working of its mark.')).toBeVisible();
    await coordinator.getByText('Ceren Yıldız: ×').click();
    await coordinator.getByLabel('Mark times, for Ceren Yıldız').fill('0,9');
    await coordinator.getByLabel('The reason, for Ceren Yıldız').fill('A cold, for two of the five days.');
    await coordinator.getByRole('button', { name: 'Set it for Ceren Yıldız' }).click();
    await expect(coordinator.getByText('× 0.9, decided by a coordinator')).toBeVisible();
    await ceren.goto(ceren.url());
    await expect(ceren.getByText('The rating is closed.')).toBeVisible();
    expect(await ceren.content()).not.toContain('A cold');

    // In the demo's walk a result that was adjusted: the working says so, and not why.
    const member = await signedIn(browser, 'gethin.vaughan-ito', phone);
    await member.goto('/find?q=walk');
    await member.getByRole('link', { name: 'A walk in threes' }).first().tap();
    await member.getByRole('link', { name: 'Read it' }).first().tap();
    await member.waitForURL(/results/);
    await narrow(member);
    await member.getByText('How this number came about').tap();
    await expect(member.getByText('× 0.95, decided by a coordinator')).toBeVisible();
    expect(await member.content()).not.toContain('hospital');
});

test('an own rating stands beside peers’ and staff’s on the result, with what one learns from it', async ({ browser }) => {
    const student = await signedIn(browser, 'efua.sarpong-lindqvist', phone);
    await student.goto('/find?q=note');
    await student.getByRole('link', { name: 'Note on an object' }).first().tap();
    await student.getByRole('link', { name: 'Read it' }).first().tap();
    const own = student.locator('#own-rating');
    await expect(own.getByRole('heading', { name: 'How you saw it, and how others did' })).toBeVisible();
    await expect(own.getByRole('row', { name: /Reading the source/ })).toBeVisible();
    await narrow(student);
    await own.getByLabel('What do you learn from the difference?').fill('That I leave things too soon.');
    await own.getByRole('button', { name: 'Save' }).tap();
    await expect(student.getByText('Kept.')).toBeVisible();
    const coordinator = await signedIn(browser, 'maren.oduya');
    await coordinator.goto('/find?q=note+on+an+object');
    await coordinator.getByRole('link', { name: 'Note on an object' }).first().click();
    await coordinator.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Share out ,/ }).click();
    await coordinator.getByRole('link', { name: 'Peer review', exact: true }).click();
    await coordinator.getByRole('link', { name: 'Peers read your note' }).click();
    await expect(coordinator.getByText('That I leave things too soon.')).toBeVisible();
});

test('first feedback on a draft: each fault of the assistant is said and does not count, then remarks at their words', async ({ browser }) => {
    test.setTimeout(240_000);
    const student = await signedIn(browser, 'leila.haddad');
    await student.goto('/');
    await student.getByRole('link', { name: 'Essay: After the water' }).first().click();
    await student.getByText('or paste its text').click();
    await student.getByLabel('Text of the draft').fill([
        `The cannery closed in the spring of that year and ${'the women who had cut and packed the fish for it '.repeat(4)}were told of it by a notice on the gate.`,
        'The women went home. The women came back in May. The women asked for what they were owed, and the minute says “there is nothing in the book for them” and no more.',
        'I argue that they paid for the loss, since nobody else lost a wage for which there was no paper. '.repeat(3),
    ].join('\n\n'));
    await student.getByRole('button', { name: 'Check it' }).click();
    const box = student.locator('#first-feedback');
    await until(student, box.getByRole('button', { name: 'Ask for first feedback' }));
    await expect(box).toContainText('Nobody else sees them unless you share them');
    for (const [as, says] of [['down', 'answered with an error (503)'], ['page', 'cannot be read'], ['nonsense', 'cannot be read'], ['mark', 'holds a mark or a level'], ['slow&seconds=5', 'did not answer in time']]) {
        await behaves(as);
        await box.getByRole('button', { name: /Ask for first feedback|Try again/ }).click();
        await until(student, box.getByText(says));
        await expect(box).toContainText('You can ask 2 more times');
    }
    await behaves('well');
    await student.waitForTimeout(6000); // until it is done with what it was slow at
    await box.getByRole('button', { name: 'Try again' }).click();
    await until(student, box.getByText('Read it aloud: could it be two?'));
    await expect(box).toContainText('sentences begin with these words');
    await expect(box).toContainText('no page, year or note near them');
    await expect(box).toContainText('What it cannot see, in its own words');
    await box.getByText('Your draft, with the places marked').click();
    await expect(box.locator('mark').first()).toBeVisible();
    await box.getByLabel('I used this').first().check();
    await box.getByLabel('My coordinators may read these remarks').check();
    await box.getByRole('button', { name: 'Save' }).click();
    await expect(student.getByText('Kept.')).toBeVisible();
    const coordinator = await signedIn(browser, 'maren.oduya');
    await coordinator.goto('/');
    await coordinator.getByRole('link', { name: 'Essay: After the water' }).first().click();
    await coordinator.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Collect ,/ }).click();
    await expect(coordinator.getByText(/First feedback was asked for \d+ times/)).toBeVisible();
    await coordinator.getByRole('link', { name: /shares? the remarks with you/ }).click();
    await expect(coordinator.getByRole('heading', { name: 'Leila Haddad' })).toBeVisible();
});
