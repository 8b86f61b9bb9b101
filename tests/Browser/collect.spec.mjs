// Handing in together, with several files; and a draft checked on a phone.
import { test, expect } from '@playwright/test';
import AxeBuilder from '@axe-core/playwright';
import { signedIn } from './people.mjs';

const serious = async (page) => (await new AxeBuilder({ page }).analyze()).violations.filter(({ impact }) => ['serious', 'critical'].includes(impact)).map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 120)}`);
const file = (name, text) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

test('a draft is checked on a phone and is not handed in', async ({ browser }) => {
    const page = await signedIn(browser, 'niamh.odonnell', { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
    await page.getByRole('link', { name: 'Essay: After the water' }).tap();
    await page.getByText('or paste its text').tap();
    await page.getByLabel('Text of the draft').fill('The harbour was shut on a Tuesday, and nobody who worked there had been asked. This is how I would begin it.');
    await page.getByRole('button', { name: 'Check it' }).tap();
    await expect(page.getByText('This is not handed in.')).toBeVisible();
    await expect(page.getByText('of your words also stand in what others have handed in so far')).toBeVisible({ timeout: 90_000 });
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
    await coordinator.getByLabel('Due').fill('2030-01-15T12:00');
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
