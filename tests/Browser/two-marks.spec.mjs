// Second marks that end in a mark: a sample drawn, a check by keyboard, two and a third, a pack signed on a tablet and verified.
import { serious } from './axe.mjs';
import { execFileSync } from 'node:child_process';
import { expect, signedIn, test } from './people.mjs';

const stage = async (page, title, name) => {
    await page.goto('/');
    await page.getByRole('link', { name: title }).first().click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(`^${name} ,`) }).click();
};
const mails = { 'Tomasz Wiśniewski': 'tomasz.wisniewski', 'Kwabena Asante-Mensah': 'kwabena.asante-mensah', 'Lin Hui': 'lin.hui', 'Aoife Ní Bhriain': 'aoife.nibhriain' };

test('a sample is looked at, drawn, and with its second markers', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await stage(page, 'Map study: one shore, two surveys', 'Moderate');
    await expect(page.getByText('23 scripts have their first mark and wait for a draw.')).toBeVisible();
    await page.getByRole('link', { name: 'Draw the sample' }).click();
    await expect(page.getByRole('heading', { name: 'What this sample can see' })).toBeVisible();
    await expect(page.getByRole('cell', { name: /would be noticed about \d times in 10; for 8 in 10 draw \d+ more of theirs/ }).first()).toBeVisible();
    expect(await serious(page)).toEqual([]);
    const button = page.getByRole('button', { name: /^Draw \d+ scripts and give them out/ });
    const size = Number((await button.innerText()).match(/\d+/)[0]);
    const second = await page.getByRole('row').filter({ hasText: 'drawn' }).last().getByRole('cell').last().innerText();
    await button.click();
    await expect(page.getByText(`The sample is drawn: ${size} scripts are with their second markers.`)).toBeVisible();
    await expect(page.getByRole('link', { name: `second mark open ${size}` })).toBeVisible();
    await page.getByRole('link', { name: `agreed ${23 - size}` }).click();
    await expect(page.getByRole('row')).toHaveCount(23 - size + 1);
    const tutor = await signedIn(browser, mails[second]);
    await expect(tutor.getByRole('row').filter({ hasText: 'Map study' })).toContainText('to mark');
});

test('a second mark that checks the first is made from the keyboard: agreed in one step, and proposed another with a reason', async ({ browser }) => {
    const checks = JSON.parse(execFileSync('php', ['tests/Browser/checked.php']).toString());
    const [agreed, other] = checks;
    const page = await signedIn(browser, agreed.who);
    await expect(page.getByRole('row').filter({ hasText: 'Checked: a letter' })).toContainText('1 mark to check');
    await page.goto(agreed.desk);
    await expect(page.getByText('As the first marker reads it.').first()).toBeVisible();
    const total = (await page.getByRole('button', { name: /^Agree with/ }).innerText()).match(/[\d.]+/)[0];
    await page.locator('.script').focus();
    await page.keyboard.press('d');
    await expect(page.getByText(`You agreed with the first mark of ${agreed.code}.`)).toBeVisible();
    await page.goto(agreed.settle);
    await expect(page.getByText('agrees with the first mark')).toBeVisible();
    await expect(page.getByText(`agreed ${Number(total)}`, { exact: true })).toBeVisible();

    const second = await signedIn(browser, other.who);
    await second.goto(other.desk);
    await second.getByRole('button', { name: 'Propose another' }).focus();
    await second.keyboard.press('Enter');
    await expect(second.getByText('The rails stand where the first marker set them.')).toBeVisible();
    await second.locator('.rails').focus();
    await second.keyboard.press('r');
    await second.keyboard.press('5');
    await second.getByLabel('Why you see it differently').focus();
    await second.keyboard.type('The letter is answered in the next one, which the first marker had not seen.');
    await expect(second.locator('#saved')).toHaveText(/^Saved/);
    await second.keyboard.press('Escape');
    await second.getByRole('button', { name: /^Done/ }).focus();
    await second.keyboard.press('Enter');
    await expect(second.getByText(`${other.code} is done.`)).toBeVisible();
    await second.goto(other.settle);
    await expect(second.getByText('The letter is answered in the next one').first()).toBeVisible();
    await expect(second.getByRole('heading', { name: 'Where the difference comes from' })).toBeVisible();
});

test('two who do not agree ask for a third, who decides with a reason', async ({ browser }) => {
    const coordinator = await signedIn(browser, 'maren.oduya');
    await stage(coordinator, 'Essay: A living from the edge', 'Moderate');
    await coordinator.getByRole('link', { name: /^to settle \d/ }).click();
    await coordinator.locator('table .code').last().click();
    const code = await coordinator.getByRole('heading', { level: 2 }).first().innerText();
    const address = coordinator.url();
    const names = await coordinator.locator('.sides .panel').evaluateAll((panels) => panels.slice(0, 2).map((panel) => panel.querySelectorAll('.quiet.small')[panel.querySelectorAll('.quiet.small').length - 1].textContent.trim()));
    const first = await signedIn(browser, mails[names[0]]);
    await first.goto(address);
    // Criterion by criterion, looked at as the student would see it.
    await first.getByLabel('Criterion by criterion').check();
    for (const group of await first.locator('fieldset.criterion').all()) {
        await group.getByLabel('Fair, 6', { exact: true }).check();
    }
    await first.getByRole('button', { name: 'As the student would see it' }).click();
    await expect(first.getByRole('region', { name: 'What the student would see' })).toContainText('Agreed by both markers, criterion by criterion');
    expect(await serious(first)).toEqual([]);
    await first.getByLabel('Why', { exact: true }).fill('Fair throughout: the last page does not carry more.');
    await first.getByRole('button', { name: 'Propose it' }).click();
    const second = await signedIn(browser, mails[names[1]]);
    await second.goto(address);
    await expect(second.getByRole('button', { name: 'Accept 60' })).toBeVisible();
    await second.getByLabel('Write to the others').fill('I cannot come down so far.');
    await second.getByRole('button', { name: 'Send' }).click();
    await second.getByText('Ask for a third marker').click();
    await second.getByRole('button', { name: 'Ask for a third' }).click();
    const said = await second.getByText(/is with a third marker, /).first().innerText();
    const third = await signedIn(browser, mails[said.match(/third marker, (.*)\.$/)[1]]);
    await third.goto('/');
    await third.getByRole('row').filter({ hasText: 'as third marker' }).getByRole('link', { name: 'Go to the desk' }).click();
    await expect(third.locator('.script .code')).toHaveText(code);
    await expect(third.getByText('First mark:').first()).toBeVisible();
    await expect(third.getByText('Second mark:').first()).toBeVisible();
    for (const form of await third.locator('form.criterion:has(.rail)').all()) {
        await form.getByLabel('Excellent, 10', { exact: true }).check();
    }
    await expect(third.locator('#saved')).toHaveText(/^Saved/);
    await third.getByRole('button', { name: /^Done/ }).click();
    await expect(third.getByText('your mark decides, so say why in a sentence')).toBeVisible();
    await third.getByLabel('Why it should be this mark').fill('The objection is met on the last page, which both passed over.');
    await expect(third.locator('#saved')).toHaveText(/^Saved/);
    await third.getByRole('button', { name: /^Done/ }).click();
    await expect(third.getByText(`${code} is done.`)).toBeVisible();
    await second.goto(address);
    await expect(second.getByText('agreed 100', { exact: true })).toBeVisible();
    await expect(second.getByText('the third marker decides: The objection is met')).toBeVisible();
});

test('an examiner reads a pack on a tablet, asks, is answered and signs; the pack is taken away and verified', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await stage(page, 'Map study: one shore, two surveys', 'Moderate');
    await page.getByRole('link', { name: 'Sign off' }).click();
    await page.getByLabel('Who reads and signs it').selectOption({ label: 'Inês Caldeira, external examiner' });
    await page.getByRole('button', { name: 'Put it together' }).click();
    await page.getByLabel('A word to the reader').fill('The sample was drawn last week.');
    await page.getByRole('button', { name: 'Send to Inês Caldeira' }).click();
    const examiner = await signedIn(browser, 'ines.caldeira', { viewport: { width: 820, height: 1180 }, hasTouch: true });
    await examiner.goto('/');
    await examiner.getByRole('row').filter({ hasText: 'to read and sign' }).getByRole('link', { name: 'Read and sign' }).click();
    await expect(examiner.getByText('The sample was drawn last week.')).toBeVisible();
    expect(await serious(examiner)).toEqual([]);
    await examiner.getByRole('link', { name: 'Begin to read' }).tap();
    for (;;) {
        await expect(examiner.getByRole('article', { name: 'The script' })).toBeVisible();
        const next = examiner.getByRole('link', { name: 'next ›' });
        if (await next.count() === 0) {
            break;
        }
        await next.tap();
    }
    expect(await serious(examiner)).toEqual([]);
    expect(await examiner.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(820);
    await examiner.getByLabel('A note, for the team').fill('Careful work.');
    await examiner.getByRole('button', { name: 'Keep the note' }).tap();
    await examiner.getByRole('link', { name: 'the pack' }).tap();
    await examiner.getByText('Ask for something').tap();
    await examiner.getByLabel('In your words').fill('May I see one more near the pass line?');
    await examiner.getByRole('button', { name: 'Ask', exact: true }).tap();
    await examiner.getByLabel('Statement').fill('Marks are fair and their reasons are recorded.');
    await examiner.getByLabel('I have read the sample and sign').check();
    await examiner.getByRole('button', { name: 'Sign', exact: true }).tap();
    await expect(examiner.getByText('What you asked for has no answer yet').first()).toBeVisible();
    await page.goto('/');
    await page.getByRole('row').filter({ hasText: 'who is to sign' }).getByRole('link', { name: 'Answer' }).click();
    await page.getByRole('link', { name: 'open', exact: true }).first().click();
    await page.getByLabel('The answer').fill('They are with their second markers; a second pack follows.');
    await page.getByRole('button', { name: 'Answer' }).click();
    await examiner.reload();
    await expect(examiner.getByText('a second pack follows')).toBeVisible();
    await examiner.getByLabel('Statement').fill('Marks are fair and their reasons are recorded.');
    await examiner.getByLabel('I have read the sample and sign').check();
    await examiner.getByRole('button', { name: 'Sign', exact: true }).tap();
    await expect(examiner.getByRole('heading', { name: 'Signed' })).toBeVisible();
    const download = examiner.waitForEvent('download');
    await examiner.getByRole('link', { name: 'Take it away as a ZIP' }).tap();
    const proof = JSON.parse(execFileSync('php', ['artisan', 'pack:verify', await (await download).path()]).toString());
    expect(proof).toMatchObject({ holds: true });
    expect(proof.files).toBeGreaterThan(4);
});

test('everyone settles one script in the same second, some are killed on the way: never two settlements, never none after agreed', () => {
    const came = JSON.parse(execFileSync('php', ['tests/Browser/at-once.php', 'race'], { timeout: 180_000 }).toString());
    expect(came.faults).toEqual([]);
    expect(came.scripts).toBe(6);
    expect(came.done).toBeGreaterThan(5);
    expect(came.killed).toBeGreaterThan(3);
});

test('a harsh marker is found and corrected: looked at, asked for, approved by another, taken back', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT110/ }).click();
    await page.getByRole('link', { name: 'Are we marking alike?' }).click();
    await page.getByRole('link', { name: /^Commentary/ }).click();
    // Once in twenty demos someone else is named too: that is what the alarm allows.
    await expect(page.getByText(/Gethin Prosser marks \d+\.\d marks harsher than the others\./)).toBeVisible();
    await expect(page.getByText(/Teodor Ilves’s marks fall within a sitting\./)).toBeVisible();
    await page.getByRole('link', { name: 'Corrections', exact: true }).click();
    await page.getByLabel('One marker’s severity taken out').check();
    await page.getByLabel('Whose severity').selectOption('Gethin Prosser');
    await page.getByRole('button', { name: 'See what it would do' }).click();
    await expect(page.getByText(/^It moves \d+ marks\./)).toBeVisible();
    await page.getByLabel('Why').fill('On scripts that two marked, these lie far below all others.');
    await page.getByRole('button', { name: 'Ask for it' }).click();
    await expect(page.getByText('You asked for this correction, so someone else decides on it')).toBeVisible();
    const other = await signedIn(browser, 'hanne.villadsen-okoro');
    await other.goto('/');
    await other.getByRole('row', { name: /A correction of marks that someone else asked for/ }).getByRole('link').last().click();
    await other.getByRole('button', { name: 'Approve' }).click();
    await expect(other.getByText('approved: it moves marks')).toBeVisible();
    await other.getByText('Take it back').first().click();
    await other.getByLabel('Why it is taken back').fill('We mark those scripts anew instead.');
    await other.getByRole('button', { name: 'Take it back' }).click();
    await expect(other.getByText('It moves no mark.')).toBeVisible();
});
