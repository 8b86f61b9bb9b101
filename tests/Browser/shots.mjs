// One picture of each main view from the demo.   node tests/Browser/shots.mjs ADDRESS FOLDER [name]
import { chromium } from '@playwright/test';
import { launchOptions } from './browser.mjs';

const [address, folder, only] = process.argv.slice(2);
const essay = 'Essay: A living from the edge';
const people = {
    coordinator: 'maren.oduya', tutor: 'tomasz.wisniewski', second: 'aoife.nibhriain', student: 'niamh.odonnell',
    talker: 'abena.osei-whitlock',
};

// Each view: who looks, and how they get there from Today.
const stage = (name) => async (page) => {
    await page.getByRole('link', { name: essay }).first().click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(`^${name} ,`) }).click();
};
const views = {
    today: ['coordinator', async () => {}],
    rubric: ['coordinator', async (page) => { await page.goto(`${address}/rubrics`); await page.getByRole('link', { name: 'Group presentation' }).click(); await page.locator('summary').first().click(); }],
    plan: ['coordinator', async (page) => { await page.getByRole('link', { name: 'Field record: the harbour walk' }).first().click(); }],
    collect: ['coordinator', stage('Collect')],
    screen: ['coordinator', stage('Screen')],
    writing: ['coordinator', async (page) => { await stage('Screen')(page); await page.getByRole('link', { name: 'Writing signals' }).click(); await page.getByRole('row', { name: /past the alarm needs a talk/ }).locator('.code').click(); }],
    overlap: ['coordinator', async (page) => { await stage('Screen')(page); await page.locator('table .code').first().click(); await page.waitForLoadState('networkidle'); await page.keyboard.press('j'); await page.waitForTimeout(600); }],
    'share-out': ['coordinator', async (page) => { await stage('Share out')(page); await page.getByLabel('Even out what is not begun').check(); await page.getByLabel('Share of Lin Hui').fill('0.5'); await page.getByRole('button', { name: /^Work/ }).click(); await page.locator('[data-move]').first().click(); }],
    desk: ['tutor', async (page) => { await page.getByRole('link', { name: 'Go to the desk' }).first().click(); await page.locator('[data-desk][data-ready]').waitFor(); await page.locator('.script').focus(); await page.keyboard.press('.'); await page.waitForTimeout(600); }],
    peers: ['coordinator', async (page) => { await page.goto(`${address}/modules`); await page.getByRole('link', { name: /HT120/ }).click(); await page.getByRole('link', { name: 'Note on an object' }).first().click(); await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Share out ,/ }).click(); await page.getByRole('link', { name: 'Peer review' }).click(); await page.getByRole('link', { name: 'Peers read your note' }).click(); }],
    discussion: ['talker', async (page) => { await page.goto(`${address}/modules`); await page.getByRole('link', { name: /HT130/ }).first().click(); await page.getByRole('link', { name: 'The sea wall or the marsh' }).first().click(); await page.getByRole('link', { name: 'Hold the line?' }).first().click(); await page.locator('article.post', { hasText: 'I grew up behind' }).scrollIntoViewIfNeeded(); await page.evaluate(() => window.scrollTo(0, 240)); }],
    alike: ['coordinator', async (page) => { await page.goto(`${address}/modules`); await page.getByRole('link', { name: /HT110/ }).click(); await page.getByRole('link', { name: 'Are we marking alike?' }).click(); await page.getByRole('link', { name: /^Commentary/ }).click(); }],
    settle: ['tutor', async (page) => { await stage('Moderate')(page); await page.locator('table .code').first().click(); }],
    release: ['coordinator', stage('Release')],
    result: ['student', async (page) => { await page.getByRole('link', { name: /^Read it/ }).first().click(); }],
    'hand-in': ['student', async (page) => { await page.getByRole('link', { name: 'Essay: After the water' }).click(); }],
    'grade-book': ['coordinator', async (page) => { await page.goto(`${address}/grade-book`); await page.getByRole('link', { name: /HT105/ }).click(); }],
    board: ['coordinator', async (page) => { await page.goto(`${address}/grade-book`); await page.getByRole('link', { name: /HT105/ }).click(); await page.getByRole('link', { name: 'Board sheet' }).click(); }],
    logbook: ['coordinator', async (page) => { await page.goto(`${address}/modules`); await page.getByRole('link', { name: /HT210/ }).click(); await page.getByRole('link', { name: 'Logbook' }).click(); }],
};

const browser = await chromium.launch(launchOptions);
const sessions = {};
for (const [name, [who, go]] of Object.entries(views)) {
    if (only && !only.split(',').includes(name)) {
        continue;
    }
    if (!sessions[who]) {
        sessions[who] = await browser.newContext({ viewport: { width: Number(process.env.WIDTH ?? 1280), height: 800 }, colorScheme: process.env.SCHEME ?? 'light' });
        const page = await sessions[who].newPage();
        await page.goto(`${address}/sign-in`);
        await page.getByLabel('E-mail address').fill(`${people[who]}@merrow.example`);
        await page.getByLabel('Password').fill('low-water-mark');
        await page.getByRole('button', { name: 'Sign in' }).click();
    }
    const page = await sessions[who].newPage();
    page.on('console', (message) => { if (message.type() === 'error') { console.error(`${name}: ${message.text()}`); } });
    await page.goto(address);
    await go(page);
    await page.waitForLoadState('networkidle');
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `${folder}/${name}.png` });
    await page.close();
    console.log(`${name}.png`);
}
await browser.close();
