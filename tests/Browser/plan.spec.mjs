// Planning in the browser: a rubric brought in from a file and tried, an assignment with its rules and files, a newer version.
import { expect, signedIn, test } from './people.mjs';

const level = (parent, quality, score, position) => ({ identifier: `${parent}-${position}`, quality, score, position, description: `${quality} in ${parent}`, rubricCriterionId: parent });
const package_ = (weight) => JSON.stringify({
    CFDocument: { identifier: 'd', caseVersion: '1.0', title: 'Sketches' },
    CFRubrics: [{ identifier: 'r', title: 'Harbour sketch', CFRubricCriteria: [
        { identifier: 'k1', category: 'Line', weight, position: 1, rubricId: 'r', CFRubricCriterionLevels: [level('k1', 'Unsure', 1, 1), level('k1', 'Sure', 4, 2)] },
        { identifier: 'k2', category: 'Scale', weight: 30, position: 2, rubricId: 'r', CFRubricCriterionLevels: [level('k2', 'Unsure', 1, 1), level('k2', 'Sure', 4, 2)] },
    ] }],
});
const file = (name, text) => ({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(text) });

test('a rubric is brought in from a file, tried, and seen as students see it', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/rubrics');
    await page.getByLabel('A file').setInputFiles(file('sketch.json', package_(-70)));
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('Nothing was taken from sketch.json');
    await expect(page.getByRole('alert')).toContainText('CFRubrics[0].CFRubricCriteria[0].weight: must be a number');
    await page.getByLabel('A file').setInputFiles(file('sketch.json', package_(70)));
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    await expect(page.getByText('100 of 100')).toBeVisible();
    await expect(page.getByLabel('Descriptor: criterion 2, level 2')).toHaveValue('Sure in k2');
    // What was typed a moment ago goes along when a link is pressed.
    await page.getByLabel('Criterion 2', { exact: true }).fill('Measure');
    await page.getByRole('link', { name: 'Try it' }).click();
    const line = page.getByRole('group', { name: /Line/ });
    await line.getByLabel('Sure, 4', { exact: true }).check({ force: true });
    await expect(page.locator('#tried')).toContainText('70.0');
    await expect(page.locator('#tried')).toContainText('Measure missing');
    await page.getByRole('group', { name: /Measure/ }).getByLabel('between Unsure and Sure, 2.5').check({ force: true });
    // 70 × 4/4 + 30 × 2.5/4 = 88.75.
    await expect(page.locator('#tried')).toContainText('88.8');
    await page.getByRole('link', { name: 'As students see it' }).click();
    await expect(page.getByText('Sure · 4')).toHaveCount(2);
    await page.getByRole('button', { name: 'Hide the points' }).click();
    await expect(page.getByText('Points are hidden')).toBeVisible();
    await expect(page.getByText('Sure · 4')).toHaveCount(0);
    await page.getByRole('link', { name: 'Export', exact: true }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Download the JSON' }).click()]);
    expect(download.suggestedFilename()).toBe('harbour-sketch.json');
});

test('an assignment says what late work costs, where students will read it', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/');
    await page.getByRole('link', { name: 'Field record: the harbour walk' }).first().click();
    await page.getByText('Late, long, resit').click();
    await page.getByLabel('How many').fill('4,5,0');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('Must be a number such as "12.5"');
    await expect(page.getByLabel('How many')).toHaveValue('4,5,0');
    await page.getByLabel('How many').fill('4,5');
    await page.getByLabel('For each started', { exact: true }).selectOption('hour');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('late: 4.5 marks off for each started hour after 15 minutes of grace')).toBeVisible();
    await page.getByLabel('A template file').setInputFiles(file('map grid.txt', 'north up'));
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('link', { name: 'map grid.txt' })).toBeVisible();
    await page.getByRole('link', { name: 'As a student sees it' }).click();
    await expect(page.getByText('4.5 marks off for each started hour')).toBeVisible();
    await expect(page.getByRole('link', { name: 'map grid.txt' })).toBeVisible();
    await page.getByRole('link', { name: 'Back to the plan' }).click();
    await page.getByRole('button', { name: 'Copy it' }).click();
    await page.getByRole('button', { name: 'Make the copy' }).click();
    await expect(page.getByRole('heading', { name: 'Field record: the harbour walk (copy)' })).toBeVisible();
    await expect(page.getByLabel('Due', { exact: true })).toHaveValue('');
    await expect(page.getByRole('link', { name: 'map grid.txt' })).toBeVisible();
});

test('a newer rubric shows which marks would change before anything does', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/rubrics');
    await page.getByRole('link', { name: 'Source commentary' }).click();
    await page.getByRole('button', { name: 'Open it for changes' }).click();
    await page.getByLabel('Weight of criterion 1 in percent').fill('45');
    await page.getByLabel('Weight of criterion 3 in percent').fill('25');
    await page.getByRole('button', { name: 'Make it ready' }).click();
    await expect(page.getByText('Version 2 is ready')).toBeVisible();
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT210/ }).click();
    await page.getByRole('link', { name: 'Practice: one source, closely' }).click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Plan ,/ }).click();
    await page.getByRole('link', { name: 'See what it changes, and choose' }).click();
    await expect(page.getByRole('cell', { name: 'Criterion “Reading the source”, weight' })).toBeVisible();
    await expect(page.getByText('agreed or released and stay as they are')).toBeVisible();
    await page.getByRole('radio', { name: /Keep them/ }).check();
    await page.getByRole('button', { name: 'Use version 2' }).click();
    await expect(page.getByText('The newer rubric is in use.')).toBeVisible();
});
