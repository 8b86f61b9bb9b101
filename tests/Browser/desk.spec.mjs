// The desk as a tutor uses it: from the keyboard, over a bad connection, in two tabs, by touch, with a microphone.
import { execFileSync } from 'node:child_process';
import { serious } from './axe.mjs';
import { expect, signedIn, test } from './people.mjs';

const essay = 'Essay: A living from the edge';
const ready = (page) => expect(page.locator('[data-desk][data-ready]')).toBeVisible();
const saved = (page) => expect(page.locator('#saved')).toContainText(/Saved \d\d:\d\d/, { timeout: 60_000 });

/** The first paragraph that begins with words enough to select among; which script lies on a desk differs from demo to demo. */
async function longParagraph(page) {
    const all = page.locator('article.text p');
    const lengths = await all.evaluateAll((them) => them.map((one) => document.createTreeWalker(one, NodeFilter.SHOW_TEXT).nextNode()?.data.length ?? 0));
    const at = lengths.findIndex((length) => length >= 100);
    expect(at, `paragraphs begin with ${lengths.join(', ')} characters`).not.toBe(-1);
    return all.nth(at);
}

async function atTheDesk(browser, who, options = {}) {
    const page = await signedIn(browser, who, options);
    await page.goto('/');
    await page.getByRole('link', { name: 'Go to the desk' }).first().click();
    await ready(page);
    return page;
}

test('a script is marked from the keyboard alone: read, commented, marked, done', async ({ browser }) => {
    const page = await atTheDesk(browser, 'kwabena.asante-mensah');
    const code = await page.locator('.script .code').innerText();
    const press = async (...keys) => { for (const key of keys) { await page.keyboard.press(key); } };
    await press('?');
    await expect(page.getByRole('dialog', { name: 'Keys at the desk' })).toBeVisible();
    await press('Escape');
    // Through the text by sentences; two of them, a word less at the end, are what the comment is about.
    const before = await page.locator('#note-list > li').count();
    await press('j', 'j', 'J', '[', 'c');
    await expect(page.locator('#strip-body')).toBeFocused();
    await page.keyboard.type('Set these two ;two doc');
    await expect(page.getByRole('option', { name: /Two documents/ })).toBeVisible();
    await press('Enter');
    await expect(page.locator('#strip-body')).toHaveValue(/^Set these two You set two documents against each other/);
    await press('Escape');
    await expect(page.locator('#note-list > li')).toHaveCount(before + 1);
    for (const name of ['Argument', 'Use of evidence', 'Structure', 'Expression', 'Referencing']) {
        await press('r', '3');
        await expect(page.getByRole('group', { name: new RegExp(name) }).getByLabel('Fair, 6', { exact: true })).toBeChecked();
    }
    await press('ArrowRight');
    await expect(page.getByRole('group', { name: /Referencing/ }).getByLabel('between Fair and Excellent, 8')).toBeChecked();
    // Four criteria at 6 of 10 with 90 percent, Referencing at 8 of 10 with 10: 54 + 8 = 62.
    await expect(page.locator('#total b').first()).toHaveText('62.0');
    await press('w');
    await expect(page.getByRole('dialog', { name: 'How 62.0 came about' })).toContainText('8 of 10 × 10 %');
    await press('Escape', 'h');
    await expect(page.getByRole('dialog', { name: 'Your last ten' })).toContainText('On Referencing');
    await press('Escape', 'l');
    await expect(page.getByRole('dialog', { name: 'How the levels are meant' })).toContainText('Good needs a claim that someone could deny.');
    await press('Escape', 't');
    await page.keyboard.type('One page number is missing.');
    await press('Escape', 'g');
    await page.keyboard.type('Written without a mouse.');
    await press('Escape');
    await saved(page);
    await press('d');
    await expect(page.getByText(`${code} is done.`)).toBeVisible();
    expect(await page.evaluate(() => document.activeElement !== null)).toBe(true);
});

test('not a character is lost: a cut connection, a server that restarts, a sign-in that ended, a closed tab', async ({ browser }) => {
    const page = await atTheDesk(browser, 'lin.hui');
    const address = page.url();
    const general = page.getByLabel('In general');
    await general.fill('Before the line went down.');
    await saved(page);
    await page.context().setOffline(true);
    await general.press('End');
    await general.pressSequentially(' And after it, on the train.');
    await expect(page.locator('#saved')).toHaveText('Not saved yet; kept in this browser');
    await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
    await page.getByRole('group', { name: /Expression/ }).getByLabel('Good, 8').check({ force: true });
    await page.locator('.script').focus();
    await page.keyboard.press('j');
    await page.keyboard.press('c');
    await page.keyboard.type('Written in a tunnel.');
    await page.context().setOffline(false);
    await saved(page);
    await expect(page.getByRole('alert')).toHaveCount(0);
    await page.reload();
    await ready(page);
    await expect(general).toHaveValue('Before the line went down. And after it, on the train.');
    await expect(page.getByRole('group', { name: /Expression/ }).getByLabel('Good, 8')).toBeChecked();
    await expect(page.locator('#note-list')).toContainText('Written in a tunnel.');

    // The server goes down in mid-sentence and comes up again.
    let down = true;
    await page.route('**/desk/**', (route) => (down ? route.abort('connectionrefused') : route.continue()));
    await general.press('End');
    await general.pressSequentially(' The server restarts');
    await expect(page.locator('#saved')).toHaveText('Not saved yet; kept in this browser');
    down = false;
    await general.pressSequentially(' and is back.');
    await saved(page);
    await page.unroute('**/desk/**');

    // A sign-in that has ended, and a tab closed over it: the words are there when the desk is opened again.
    const cookies = await page.context().cookies();
    await page.context().clearCookies();
    await general.fill('Written after the sign-in had ended.');
    await expect(page.locator('#saved')).toHaveText('Not saved yet; kept in this browser');
    await expect(page.getByRole('alert')).toContainText('You are no longer signed in');
    await page.context().addCookies(cookies);
    const again = await page.context().newPage();
    await page.close({ runBeforeUnload: false });
    await again.goto(address);
    await ready(again);
    await expect(again.getByLabel('In general')).toHaveValue('Written after the sign-in had ended.');
    await saved(again);
    await again.reload();
    await expect(again.getByLabel('In general')).toHaveValue('Written after the sign-in had ended.');

    // What is waiting when its tab is closed is sent from whichever page comes next.
    await again.context().setOffline(true);
    await again.getByLabel('In general').fill('Left behind in a closed tab.');
    await expect(again.locator('#saved')).toHaveText('Not saved yet; kept in this browser');
    const later = await again.context().newPage();
    await again.close({ runBeforeUnload: false });
    await later.context().setOffline(false);
    await later.goto('/');
    await later.waitForFunction(() => Object.keys(localStorage).filter((key) => key.startsWith('young-harbor:desk:')).length === 0);
    await later.goto(address);
    await expect(later.getByLabel('In general')).toHaveValue('Left behind in a closed tab.');
});

test('two tabs keep what each wrote, and show both versions where they wrote the same', async ({ browser }) => {
    const one = await atTheDesk(browser, 'aoife.nibhriain');
    const two = await one.context().newPage();
    await two.goto(one.url());
    await ready(two);
    await one.getByLabel('Comment on Structure').fill('From the first tab.');
    await two.getByLabel('Comment on Referencing').fill('From the second tab.');
    await saved(one);
    await saved(two);
    // One field and one rail, both tabs.
    await one.getByLabel('Comment on Expression').fill('Clear.');
    await one.getByRole('group', { name: /Expression/ }).getByLabel('Good, 8').check({ force: true });
    await saved(one);
    await two.getByLabel('Comment on Expression').fill('Wordy in places.');
    await two.getByRole('group', { name: /Expression/ }).getByLabel('Fair, 6').check({ force: true });
    const group = two.getByRole('group', { name: /Expression/ });
    await expect(group.getByRole('alert').first()).toContainText('meanwhile been set to: Good');
    await expect(group.getByRole('alert').last()).toContainText('Clear.');
    await expect(two.locator('#saved')).toContainText('Not saved');
    await group.getByRole('button', { name: 'Keep both' }).click();
    await group.getByRole('button', { name: 'Take the other' }).click();
    await saved(two);
    await expect(two.getByLabel('Comment on Expression')).toHaveValue('Clear.\n\nWordy in places.');
    await one.reload();
    await expect(one.getByLabel('Comment on Structure')).toHaveValue('From the first tab.');
    await expect(one.getByLabel('Comment on Referencing')).toHaveValue('From the second tab.');
    await expect(one.getByLabel('Comment on Expression')).toHaveValue('Clear.\n\nWordy in places.');
    await expect(one.getByRole('group', { name: /Expression/ }).getByLabel('Good, 8')).toBeChecked();
});

test('comments by mouse: select, write, link, step, move, take away, undo; overlapping ones stay apart', async ({ browser }) => {
    const page = await atTheDesk(browser, 'tomasz.wisniewski');
    const paragraph = await longParagraph(page);
    const select = (from, to) => paragraph.evaluate((node, [a, b]) => {
        const text = document.createTreeWalker(node, NodeFilter.SHOW_TEXT).nextNode();
        getSelection().setBaseAndExtent(text, a, text, b);
    }, [from, to]);
    const count = await page.locator('#note-list > li').count();
    await paragraph.scrollIntoViewIfNeeded();
    await select(0, 40);
    await page.locator('#offer').click();
    await page.locator('#strip-body').fill('The first of two.');
    await page.locator('#strip').getByLabel('praise').check();
    await page.locator('#strip select').selectOption({ label: 'Structure' });
    await select(20, 60);
    await page.locator('#offer').click();
    await page.locator('#strip-body').fill('It overlaps the first.');
    await saved(page);
    await expect(page.locator('#note-list > li')).toHaveCount(count + 2);
    const marks = await page.locator('.margin-mark').evaluateAll((all) => all.map((one) => Math.round(one.getBoundingClientRect().top)));
    expect(new Set(marks).size).toBe(marks.length);
    const structure = page.locator('form[data-part]', { hasText: 'Structure' }).first();
    await structure.getByRole('button', { name: /comment/ }).first().click();
    await expect(page.locator('#strip-body')).not.toHaveValue('It overlaps the first.');
    await page.locator('#note-list').getByText('The first of two.').click();
    await select(70, 90);
    await page.locator('#strip').getByRole('button', { name: 'move to the selected words' }).click();
    const quoted = await paragraph.evaluate((node) => document.createTreeWalker(node, NodeFilter.SHOW_TEXT).nextNode().data.slice(70, 90).trim());
    await expect(page.locator('[data-quote]')).toContainText(quoted);
    await page.locator('#strip').getByRole('button', { name: 'take away' }).click();
    await expect(page.locator('#note-list')).not.toContainText('The first of two.');
    await page.getByRole('button', { name: 'undo', exact: true }).click();
    await expect(page.locator('#note-list')).toContainText('The first of two.');
    await page.locator('#strip').getByRole('button', { name: 'keep in the bank' }).click();
    await page.getByRole('dialog', { name: 'Keep this comment' }).getByLabel('Short label').fill('First of two');
    await page.getByRole('dialog', { name: 'Keep this comment' }).getByRole('button', { name: 'Save' }).click();
    await page.getByRole('button', { name: 'comment bank', exact: true }).click();
    await expect(page.getByRole('dialog', { name: 'Comment bank' })).toContainText('First of two');
    // The bank lies beside the script: one goes on while it is open, and drags from it.
    await page.locator('#strip-body').fill('');
    await page.getByRole('dialog', { name: 'Comment bank' }).getByRole('button', { name: /First of two/ }).dragTo(page.locator('#strip-body'));
    await expect(page.locator('#strip-body')).toHaveValue('The first of two.');
    await page.getByRole('dialog', { name: 'Comment bank' }).getByRole('button', { name: 'close' }).click();
    await page.getByLabel('Comment on Argument').fill('A claim, and it is met.');
    await page.getByRole('button', { name: 'gather the comments on criteria here' }).click();
    await expect(page.getByLabel('In general')).toHaveValue(/\*\*Argument\*\*: A claim, and it is met\./);
    await saved(page);
    await page.reload();
    await ready(page);
    await expect(page.locator('#note-list > li')).toHaveCount(count + 2);
    expect(await serious(page)).toEqual([]);
});

test('a voice comment is recorded, heard, kept and played; without a microphone the page says what to do', async ({ browser }) => {
    const page = await atTheDesk(browser, 'tomasz.wisniewski');
    await page.context().grantPermissions(['microphone']);
    await page.getByRole('button', { name: 'record voice', exact: true }).click();
    const dialog = page.getByRole('dialog', { name: /Voice/ });
    await dialog.getByRole('button', { name: 'Begin' }).click();
    await expect(dialog.getByText(/0:0[2-9] of 5:00/)).toBeVisible();
    await expect.poll(() => dialog.locator('[data-level]').getAttribute('width')).not.toBe('0');
    await dialog.getByRole('button', { name: 'Pause' }).click();
    await dialog.getByRole('button', { name: 'Go on' }).click();
    await dialog.getByRole('button', { name: 'Stop' }).click();
    await expect.poll(() => dialog.locator('audio').evaluate((audio) => audio.readyState)).toBeGreaterThan(0);
    await dialog.getByLabel('The same in writing').fill('A good ending.');
    await dialog.getByRole('button', { name: 'Save the recording' }).click();
    await expect(page.locator('#attachments')).toContainText('A good ending.');
    await page.locator('#attachments audio').evaluate((audio) => audio.play());
    await expect.poll(() => page.locator('#attachments audio').evaluate((audio) => audio.currentTime)).toBeGreaterThan(0);

    await page.evaluate(() => { navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('none', 'NotFoundError')); });
    await page.getByRole('button', { name: 'record voice', exact: true }).click();
    await dialog.getByRole('button', { name: 'Begin' }).click();
    await expect(dialog).toContainText('There is no microphone that this browser can find');
});

test('what is dictated goes where the cursor was, and is saved; a recogniser that fails is said to have failed', async ({ browser }) => {
    const page = await atTheDesk(browser, 'tomasz.wisniewski');
    // Headless Chromium has no speech service: one with the events of the Web Speech API stands in for it.
    await page.addInitScript(() => {
        window.fails = false;
        window.SpeechRecognition = class {
            start() { setTimeout(() => (window.fails ? (this.onerror({ error: 'network' }), this.onend()) : this.onresult({ resultIndex: 0, results: [[{ transcript: 'well argued' }]] })), 50); }

            stop() { this.onend(); }
        };
    });
    await page.reload();
    await ready(page);
    const general = page.getByLabel('In general');
    await general.fill('First. Last.');
    await general.evaluate((field) => field.setSelectionRange(6, 6));
    await page.getByRole('button', { name: 'dictate', exact: true }).click();
    await expect(general).toHaveValue('First. well argued Last.');
    await page.getByRole('button', { name: 'stop dictating' }).click();
    await saved(page);
    await page.reload();
    await ready(page);
    await expect(general).toHaveValue('First. well argued Last.');
    await page.evaluate(() => { window.fails = true; });
    await page.getByRole('button', { name: 'dictate', exact: true }).click();
    await expect(page.getByRole('button', { name: 'dictation did not work: try again' })).toBeVisible();
    await expect(general).toHaveValue('First. well argued Last.');
});

test('pages of a PDF: drawn on, zoomed, turned, searched, and the comment is found there again', async ({ browser }) => {
    const { who, mark } = JSON.parse(execFileSync('php', ['tests/Browser/pages.php']));
    const desk = await signedIn(browser, who);
    await desk.goto(`/desk/${mark}`);
    await ready(desk);
    await desk.getByRole('button', { name: 'pages', exact: true }).click();
    await expect(desk.locator('.pdf-page canvas').first()).toBeVisible();
    await desk.locator('select[name=tool]').selectOption('box');
    const area = await desk.locator('.pdf-page').first().boundingBox();
    await desk.mouse.move(area.x + 150, area.y + 150);
    await desk.mouse.down();
    await desk.mouse.move(area.x + 300, area.y + 220, { steps: 4 });
    await desk.mouse.up();
    await desk.locator('#strip-body').fill('This stands on the page.');
    await saved(desk);
    const place = () => desk.locator('.page-mark[aria-current]').evaluate((mark) => [parseFloat(mark.style.left), parseFloat(mark.style.top)].map(Math.round));
    const [x, y] = await place();
    await desk.getByRole('button', { name: 'Larger', exact: true }).click();
    expect(await place()).toEqual([x, y]);
    await desk.getByRole('button', { name: 'turn', exact: true }).click();
    expect(await place()).toEqual([100 - y, x]);
    await desk.locator('[data-bar] summary').click();
    await expect(desk.locator('.page-list')).toContainText('page 1 · 1 comment');
    await desk.locator('.page-list button').first().click();
    await desk.locator('[name=search]').fill('the');
    await desk.keyboard.press('Enter');
    await expect(desk.locator('[data-found]')).toContainText(/on \d page/);
    await desk.reload();
    await ready(desk);
    await expect(desk.locator('.pdf-page canvas').first()).toBeVisible(); // where one left off: at the pages
    await desk.locator('#note-list').getByText('This stands on the page.').click();
    await expect(desk.locator('.page-mark[aria-current]')).toBeVisible();
});

test('by touch, on a tablet: the pin moves, words are commented on', async ({ browser }) => {
    const page = await atTheDesk(browser, 'lin.hui', { viewport: { width: 1024, height: 768 }, hasTouch: true });
    const value = await page.locator('.rail').first().locator('.stop:not(.between) input:not(:checked)').first().getAttribute('value');
    const stop = page.locator('.rail').first().locator('.stop', { has: page.locator(`input[value="${value}"]`) });
    await stop.tap();
    await expect(stop.locator('input')).toBeChecked();
    await saved(page);
    const text = page.getByRole('button', { name: 'text', exact: true });
    if (await text.isVisible()) { // where one left off may be at the pages
        await text.tap();
    }
    // The browser's own mouse events after a tap may come late and take a selection away: a finger would select again.
    const paragraph = await longParagraph(page);
    await expect(async () => {
        await paragraph.evaluate((node) => {
            const words = document.createTreeWalker(node, NodeFilter.SHOW_TEXT).nextNode();
            getSelection().removeAllRanges();
            getSelection().setBaseAndExtent(words, 0, words, 30);
        });
        await page.waitForTimeout(300);
        await expect(page.locator('#offer')).toBeVisible({ timeout: 200 });
    }).toPass({ timeout: 30_000 });
    await page.locator('#offer').tap();
    await page.locator('#strip-body').fill('By finger.');
    await saved(page);
    await expect(page.locator('#note-list')).toContainText('By finger.');
});

test('a plan is worked out, moved about with keys and by dragging, and given out', async ({ browser }) => {
    const page = await signedIn(browser, 'maren.oduya');
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT210/ }).first().click();
    await page.getByRole('link', { name: essay }).click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Share out ,/ }).click();
    await page.getByLabel('Even out what is not begun').check();
    await page.getByLabel('Share of Lin Hui').fill('0.5');
    await page.getByRole('button', { name: /Work/ }).click();
    const mover = page.locator('[data-move]').first();
    const id = await mover.getAttribute('id');
    await mover.focus();
    await page.keyboard.press('Enter');
    await expect(page.locator('#moving')).toContainText('Choose a line');
    await expect(page.locator('.lane.open').first()).toContainText('→');
    await page.keyboard.press('Enter');
    await expect(page.getByText('1 move by hand')).toBeVisible();
    await expect(page.locator(`#${id}`)).toBeFocused();
    await page.locator(`#${id}`).dragTo(page.locator('.lane').filter({ hasNot: page.locator(`[data-lane="${await page.locator(`#${id}`).getAttribute('data-has')}"]`) }).last());
    await page.getByRole('button', { name: /^Give (it|them) out$/ }).click();
    await expect(page.getByRole('status')).toContainText(/new marker|given out/);
});
