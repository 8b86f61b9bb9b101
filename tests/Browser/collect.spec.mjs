// Handing in together, with several files; a draft checked on a phone; more time; a receipt; a roster; where everyone is.
import { serious } from './axe.mjs';
import { createHash } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { declare, expect, linkInMail, signedIn, test, until } from './people.mjs';

const file = (name, text) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

test('a draft is checked on a phone and is not handed in', async ({ browser }) => {
    const page = await signedIn(browser, 'niamh.odonnell', { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
    await page.getByRole('link', { name: 'Essay: After the water' }).tap();
    await page.getByText('or paste its text').tap();
    await page.getByLabel('Text of the draft').fill('The harbour was shut on a Tuesday, and nobody who worked there had been asked. This is how I would begin it.');
    await page.getByRole('button', { name: 'Check it' }).tap();
    await expect(page.getByText('counted words also stand elsewhere.')).toBeVisible({ timeout: 90_000 });
    await expect(page.getByText('This is not handed in.')).toBeVisible();
    await expect(page.getByText('0.0 %')).toBeVisible();
    expect(await serious(page)).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.getByRole('link', { name: 'Back to handing in' }).tap();
    await expect(page.getByText('one check left')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Hand in', exact: true })).toBeVisible();
});

test('a group hands in two files and each member has the receipt', async ({ browser }) => {
    const coordinator = await signedIn(browser, 'maren.oduya');
    await coordinator.goto('/modules');
    await coordinator.getByRole('link', { name: /HT210/ }).click();
    const module = coordinator.url();
    await coordinator.getByRole('link', { name: 'Plan an assignment' }).click();
    await coordinator.getByLabel('Title').fill('Two hands on one rope');
    await coordinator.getByLabel('Brief').fill('Write it together.');
    await coordinator.getByLabel('Rubric').selectOption({ label: 'Argued essay, version 1 (Merrow Coast College)' });
    await coordinator.getByLabel('Due', { exact: true }).fill('2030-01-15T12:00');
    await coordinator.getByText('What is handed in', { exact: true }).click();
    await coordinator.getByLabel('Handed in by').selectOption('a group, with one mark');
    await coordinator.getByLabel('Files, at most').fill('2');
    await coordinator.getByRole('button', { name: 'Save, not open yet' }).click();
    await coordinator.getByRole('button', { name: 'Open it to students' }).click();
    await coordinator.getByRole('link', { name: 'The groups' }).click();
    await coordinator.getByLabel('A line a student').fill('niamh.odonnell@merrow.example, Rope\nbo.li@merrow.example, Rope');
    await coordinator.getByRole('button', { name: 'Set the groups' }).click();
    await expect(coordinator.getByRole('row', { name: /^Rope/ })).toContainText('Niamh O’Donnell');
    expect(await serious(coordinator)).toEqual([]);

    const one = await signedIn(browser, 'niamh.odonnell');
    await one.getByRole('link', { name: 'Two hands on one rope' }).click();
    await expect(one.getByText('Any of you can hand in for all')).toContainText('Bo Li');
    await one.getByLabel('Up to 2 files').setInputFiles([file('ours.txt', 'What we found on the quay.'), file('map.txt', 'North is up.'), file('third.txt', 'One too many.')]);
    await declare(one);
    await one.getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(one.getByText('You chose 3 files and 2 can be handed in')).toBeVisible();
    await one.getByLabel('Up to 2 files').setInputFiles([file('ours.txt', 'What we found on the quay.'), file('map.txt', 'North is up.')]);
    await one.getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(one.getByRole('link', { name: 'map.txt' })).toBeVisible();
    await expect(one.getByText('9 words')).toBeVisible();

    const two = await signedIn(browser, 'bo.li');
    await two.getByRole('link', { name: 'Two hands on one rope' }).click();
    await expect(two.getByText('handed in by Niamh O’Donnell')).toBeVisible();
    await two.getByRole('link', { name: 'Receipt, and what was read of it' }).click();
    await expect(two.getByText('Niamh O’Donnell, for your group')).toBeVisible();
    await coordinator.goto(module);
    await expect(coordinator.getByRole('row', { name: /Two hands on one rope/ })).toContainText('2 of 24');
});

const module = async (page) => {
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT210/ }).click();
};

test('more time for one student, who sees why and keeps what is typed on two devices', async ({ browser }) => {
    const coordinator = await signedIn(browser, 'maren.oduya');
    await module(coordinator);
    await coordinator.getByRole('link', { name: 'Essay: After the water' }).click();
    await coordinator.getByRole('link', { name: 'Tamsin Pengelly' }).click();
    const essay = coordinator.locator('section', { hasText: 'Essay: After the water' });
    await essay.getByText('Give an extension').click();
    await essay.getByLabel('Due for this student').fill('2031-03-03T12:00');
    await essay.getByLabel('Why').fill('Jury service.');
    await essay.getByRole('button', { name: 'Give it' }).click();
    await expect(coordinator.getByText('Mon 3 Mar 2031 12:00').first()).toBeVisible();
    await expect(coordinator.getByText('Extension to Mon 3 Mar 2031 12:00: Jury service.')).toBeVisible();
    expect(await serious(coordinator)).toEqual([]);

    const laptop = await signedIn(browser, 'tamsin.pengelly');
    await laptop.goto(await linkInMail(laptop, 'tamsin.pengelly@merrow.example', 'More time for Essay: After the water'));
    await laptop.getByText('Why then: this is your own due time').click();
    await expect(laptop.getByRole('row', { name: /Extension/ })).toContainText('Mon 3 Mar 2031 12:00');
    await expect(laptop.getByText('Jury service')).toHaveCount(0);
    await laptop.getByRole('button', { name: 'write in a copy here' }).click();
    await expect(laptop.getByLabel('or type your text')).toHaveValue(/The source, and where it is:/);
    await laptop.getByLabel('or type your text').fill('Begun on the laptop.');
    await expect(laptop.getByText(/Kept \d\d:\d\d; not handed in/)).toBeVisible();
    const phone = await signedIn(browser, 'tamsin.pengelly', { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
    await phone.goto(laptop.url());
    await expect(phone.getByLabel('or type your text')).toHaveValue('Begun on the laptop.');
    await phone.getByLabel('or type your text').fill('Begun on the laptop, and on the phone.');
    await expect(phone.getByText(/Kept \d\d:\d\d; not handed in/)).toBeVisible();
    await laptop.getByLabel('or type your text').fill('Begun on the laptop, and here.');
    await expect(laptop.getByText('This text was changed on another device meanwhile.')).toBeVisible();
    expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('the receipt that comes by mail proves which file was handed in', async ({ browser }) => {
    const page = await signedIn(browser, 'kaimana.keawe');
    await page.getByRole('link', { name: 'Essay: After the water' }).click();
    const words = 'By Kaimana Keawe\n\nThe kelp was burnt where it lay, and the rent was paid in ash.\n';
    await page.getByLabel('A file').setInputFiles(file('kelp keawe.txt', words));
    await declare(page);
    await page.getByRole('button', { name: 'Hand in', exact: true }).click();
    await expect(page.getByText('Your name or number stands in the text once')).toBeVisible();
    await expect(page.getByText('name of the file')).toBeVisible();
    await expect(page.getByLabel('The text as markers read it')).toContainText('By [name hidden]');
    await page.goto('/demo/mail');
    const mail = page.locator('details', { hasText: 'kaimana.keawe@merrow.example' }).filter({ hasText: 'Receipt: Essay: After the water' });
    await until(page, mail);
    await mail.first().locator('summary').click();
    const folder = mkdtempSync(join(tmpdir(), 'receipt-'));
    writeFileSync(join(folder, 'mail.txt'), await mail.first().locator('pre').innerText());
    writeFileSync(join(folder, 'kelp.txt'), words);
    const proof = JSON.parse(execFileSync('php', ['artisan', 'receipt:verify', join(folder, 'kelp.txt'), join(folder, 'mail.txt')]).toString());
    expect(proof).toMatchObject({ holds: true, file: 1, sha256: createHash('sha256').update(words).digest('hex') });
});

test('a roster goes out, is changed in a spreadsheet and comes in again', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await module(page);
    await page.getByRole('link', { name: 'People' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'as CSV' }).click();
    const path = await (await download).path();
    const changed = readFileSync(path, 'utf8').split('\r\n').filter((line) => line.startsWith('\uFEFF') || line.includes('M2041')).map((line) => line.replace(/(Kaimana.*),C,/, '$1,B,'));
    const folder = mkdtempSync(join(tmpdir(), 'roster-'));
    writeFileSync(join(folder, 'roster.csv'), [...changed, 'Thandiwe O’Hara,,,thandiwe.ohara@merrow.example,M204140,C,,student'].join('\r\n'));
    await page.getByLabel('A roster file').setInputFiles(join(folder, 'roster.csv'));
    await page.getByRole('button', { name: 'Preview', exact: true }).click();
    await expect(page.getByRole('row', { name: /Kaimana Keawe/ })).toContainText('section: C → B');
    await expect(page.getByRole('row', { name: /Thandiwe O’Hara/ })).toContainText('student');
    expect(await serious(page)).toEqual([]);
    await page.getByRole('button', { name: 'Apply it' }).click();
    await expect(page.getByText('1 added, 1 changed, 0 back, 0 left')).toBeVisible();
    await expect(page.getByRole('row', { name: /Thandiwe/ })).toBeVisible();
    await page.getByLabel('A roster file').setInputFiles(join(folder, 'roster.csv'));
    await page.getByRole('button', { name: 'Preview', exact: true }).click();
    await expect(page.getByText('Nothing would change')).toBeVisible();
    expect(await linkInMail(page, 'thandiwe.ohara@merrow.example', 'Your account for HT210')).toContain('/welcome/');
});

test('where everyone is, writing to some of them, and all work as a ZIP', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await module(page);
    await page.getByRole('link', { name: 'Essay: A living from the edge' }).click();
    await expect(page.getByRole('img', { name: /Hand-ins by time/ })).toBeVisible();
    expect(await serious(page)).toEqual([]);
    await page.getByRole('link', { name: /^Not handed in/ }).click();
    await expect(page.getByRole('row')).toHaveCount(2);
    await page.getByRole('link', { name: 'Write to this one' }).click();
    await page.getByLabel('Subject').fill('Your essay');
    await page.getByLabel('What they read').fill('Dear {first name}, {assignment} was due {due}.');
    await page.getByRole('button', { name: 'Preview before sending' }).click();
    await expect(page.getByText(/Dear Rosalind, Essay: A living from the edge was due/)).toBeVisible();
    await page.getByRole('button', { name: 'Send to one student' }).click();
    await expect(page.getByText('One student was written to.')).toBeVisible();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'All work as a ZIP, by script code' }).click();
    const zip = await (await download).path();
    const names = execFileSync('php', ['-r', '$z = new ZipArchive; $z->open($argv[1]); for ($n = 0; $n < $z->count(); $n++) echo $z->getNameIndex($n), "\n";', zip]).toString().trim().split('\n');
    expect(names).toContain('list.csv');
    expect(names).toHaveLength(24);
    expect(names.filter((name) => name !== 'list.csv').every((name) => /^[A-Z]+-\d{3}\.\w+$/.test(name))).toBe(true);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.getByRole('link', { name: /^Everyone/ }).click();
    await expect(page.getByRole('link', { name: 'Yusuf al-Khatib' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
