// A whole round of peer review: planned, tried, given out, written on phones, planned anew, answered, flagged, combined.
import { execFileSync } from 'node:child_process';
import { expect, signedIn, test } from './people.mjs';

const php = (...words) => execFileSync('php', ['tests/Browser/peers.php', ...words]).toString();
const phone = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };
const local = (days) => {
    const at = new Date(Date.now() + days * 86_400_000);
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};
const all = ['amaru.quispe-hale', 'bryn.ellacott', 'ceren.yildiz', 'daithi.macanri', 'efua.sarpong-lindqvist', 'gethin.vaughan-ito', 'hoku.makanani', 'ilse.brandvold'];
const names = ['Amaru Quispe-Hale', 'Bryn Ellacott', 'Ceren Yıldız', 'Dáithí Mac an Rí', 'Efua Sarpong-Lindqvist', 'Gethin Vaughan-Ito', 'Hoku Makanani', 'Ilse Brandvold'];

/** On each criterion a stop, as a finger or mouse sets it. */
const choose = async (page, stop) => {
    const rails = page.locator('.rail');
    await page.waitForLoadState('load');
    await rails.first().waitFor();
    for (let n = 0; n < await rails.count(); n++) {
        await rails.nth(n).locator('.stop:not(.between)').nth(stop).click();
    }
};
const hidden = async (page, own) => {
    const html = await page.content();
    for (const name of names.filter((one) => one !== own)) {
        expect(html, `${own} on ${page.url()}`).not.toContain(name);
    }
};

test('a round of eight: two drop out, one is late, one flags a review, and peers’ marks are combined', async ({ browser }) => {
    test.setTimeout(240_000);
    const assignment = php('make');
    const coordinator = await signedIn(browser, 'maren.oduya');

    // Planned and shown, with a script to try on.
    await coordinator.goto(`/assignments/${assignment}/rounds`);
    await coordinator.getByRole('link', { name: 'Plan a round' }).click();
    await coordinator.getByLabel('Reviews each writes').fill('2');
    await coordinator.getByLabel('Words a comment').fill('8');
    await coordinator.getByLabel('Peers’ marks are so much').fill('25');
    await coordinator.getByLabel('Reviews are given out').fill(local(1));
    await coordinator.getByLabel('Reviews are due', { exact: true }).fill(local(-1));
    await coordinator.getByRole('button', { name: 'Save' }).click();
    await expect(coordinator.getByText('Reviews must be due after they are given out').first()).toBeVisible();
    await coordinator.getByLabel('Reviews are due', { exact: true }).fill(local(5));
    await coordinator.getByRole('button', { name: 'Save' }).click();
    await expect(coordinator.getByText('The round is planned')).toBeVisible();
    await coordinator.getByRole('link', { name: /^trial scripts/ }).click();
    await coordinator.getByLabel('Title').fill('A wall of an earlier year');
    await coordinator.getByLabel('The text').fill('The wall is old and long, and it keeps the sea out of the lower fields. Who built it is not known.');
    await choose(coordinator, 1);
    await coordinator.getByLabel('Why, on Reading the source').fill('It says that it is old, and not how one can tell.');
    await coordinator.getByRole('button', { name: 'Add it' }).click();
    await expect(coordinator.getByText('The trial script is added')).toBeVisible();
    await coordinator.getByRole('link', { name: 'Peer review', exact: true }).last().click();
    await coordinator.getByRole('button', { name: 'Show it' }).click();
    await expect(coordinator.getByText('Students see the round now')).toBeVisible();

    // A student sees the steps before anything is given out.
    const amaru = await signedIn(browser, all[0], phone);
    await amaru.goto(`/assignments/${assignment}/hand-in`);
    await amaru.getByRole('link', { name: 'Steps and reviews' }).tap();
    await expect(amaru.getByText('Hand in first')).toBeVisible();
    php('hand-in', ...all.slice(0, 7));
    await coordinator.getByRole('button', { name: 'Give out' }).click();
    await expect(coordinator.getByText('14 reviews were given out')).toBeVisible();

    // On a phone: tried, then reviewed; what is thin is pointed out once.
    await amaru.reload();
    await expect(amaru.getByText('Try the trial scripts first')).toBeVisible();
    await amaru.getByRole('link', { name: 'A wall of an earlier year' }).tap();
    await amaru.waitForURL(/trials/);
    await choose(amaru, 3);
    await amaru.getByRole('button', { name: 'Done' }).tap();
    await expect(amaru.getByText('It says that it is old, and not how one can tell.')).toBeVisible();
    await amaru.getByRole('link', { name: 'Go on' }).tap();
    const list = amaru.getByRole('heading', { name: 'What you review' }).locator('xpath=..');
    const code = await list.getByRole('link').first().innerText();
    await list.getByRole('link').first().tap();
    await expect(amaru.locator('[data-desk][data-ready=yes]')).toBeVisible();
    expect(await amaru.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
    await hidden(amaru, names[0]);
    await amaru.getByRole('button', { name: 'Done' }).tap();
    await expect(amaru.getByText('Not done yet').first()).toBeVisible();
    await choose(amaru, 2);
    await amaru.getByLabel('Comment on Placing it').fill('Who paid for it, and in which year was that?');
    await expect(amaru.locator('[data-missing]').nth(0)).toHaveText('8 words more');
    await expect(amaru.locator('[data-missing]').nth(1)).toHaveText('');
    await amaru.getByLabel('What should the author do next?').fill('Begin with the joints, and let the sea wait.');
    await expect(amaru.locator('#saved')).toContainText('Saved', { timeout: 15_000 });
    await amaru.getByRole('button', { name: 'Done' }).tap();
    await expect(amaru.getByText('Fewer than 8 words on Reading the source')).toBeVisible();
    await amaru.getByRole('button', { name: 'Send it as it is' }).tap();
    await expect(amaru.getByText(`Your review of ${code} is done`)).toBeVisible();

    // Another, on a phone too, gives one back; others write; two never begin; one hands in late.
    php('write', all[0], all[2], all[3], all[4]);
    const bryn = await signedIn(browser, all[1], phone);
    await bryn.goto(amaru.url());
    await bryn.getByRole('link', { name: 'A wall of an earlier year' }).tap();
    await bryn.waitForURL(/trials/);
    await choose(bryn, 1);
    await bryn.getByRole('button', { name: 'Done' }).tap();
    await bryn.getByRole('link', { name: 'Go on' }).tap();
    await bryn.getByRole('heading', { name: 'What you review' }).locator('xpath=..').getByRole('link').first().tap();
    await bryn.getByRole('button', { name: 'I cannot review this' }).tap();
    await bryn.getByLabel('I know whose work this is').check();
    await bryn.getByRole('button', { name: 'Give it back' }).tap();
    await expect(bryn.getByText('another reviewer is looked for')).toBeVisible();
    php('write', all[1]);
    php('hand-in', all[7]);
    php('later');
    await amaru.getByLabel('I would review').selectOption('2');
    await amaru.getByRole('button', { name: 'Save' }).tap();
    await expect(amaru.getByText('Thank you.')).toBeVisible();
    await coordinator.reload();
    await coordinator.getByRole('button', { name: 'Plan anew' }).click();
    await expect(coordinator.getByText(/reviews? w(as|ere) given out; \d+ that nobody had begun moved/)).toBeVisible();
    await expect(coordinator.getByRole('row', { name: /Ilse Brandvold/ })).toContainText('of 2');
    php('write', all[0], all[1], all[7]);

    // The time is over: read, answered, flagged; hidden with a reason; closed and combined.
    php('over');
    await bryn.reload();
    await bryn.getByRole('link', { name: 'Review 1' }).tap();
    await bryn.waitForURL(/received/);
    await hidden(bryn, names[1]);
    await bryn.getByLabel('Useful', { exact: true }).check();
    await bryn.getByLabel('What will you do with it?').fill('I will look for the paybook.');
    await bryn.getByRole('button', { name: 'Save' }).tap();
    await expect(bryn.getByText('Your answer is kept')).toBeVisible();
    await bryn.getByRole('link', { name: 'Review 1' }).tap();
    await bryn.getByText('Something is wrong with it').tap();
    await bryn.getByLabel('It is unkind').check();
    await bryn.getByRole('button', { name: 'Tell them' }).tap();
    await expect(bryn.getByText('You pointed this out')).toBeVisible();
    await coordinator.reload();
    await coordinator.getByLabel('The reason; its author reads it').fill('It speaks of you and not of the work.');
    await coordinator.getByRole('button', { name: 'Hide it' }).click();
    await expect(coordinator.getByText('The review is hidden')).toBeVisible();
    await coordinator.getByRole('button', { name: 'Close it' }).click();
    await expect(coordinator.getByText('The round is closed')).toBeVisible();
    const works = coordinator.getByRole('heading', { name: 'Peers’ marks' }).locator('xpath=following-sibling::div[1]');
    await expect(works.getByRole('row')).toHaveCount(9);
    await works.getByRole('link', { name: code }).click();
    await expect(coordinator.getByRole('heading', { name: /^Peers’ mark: \d/ })).toBeVisible();
    await bryn.reload();
    await expect(bryn.getByText('This review is not yours to read')).toBeVisible();
    await hidden(amaru, names[0]);
});
