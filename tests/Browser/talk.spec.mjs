// A discussion of six students from its plan to a result: written on phones, over a connection that breaks, marked by keyboard.
import { execFileSync } from 'node:child_process';
import { serious } from './axe.mjs';
import { expect, signedIn, test } from './people.mjs';

const php = (...words) => execFileSync('php', ['tests/Browser/talk.php', ...words]).toString();
const phone = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };
const local = (days) => {
    const at = new Date(Date.now() + days * 86_400_000);
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};
const names = ['Abena Osei-Whitlock', 'Cathal Mac Giolla Bhríde', 'Divya Subramaniam', 'Eirlys Pritchard', 'Fumiko Arai', 'Goran Vuković'];

test('a discussion of six, from its prompt to a result', async ({ browser }) => {
    test.setTimeout(240_000);
    const maren = await signedIn(browser, 'maren.oduya');
    await maren.goto('/modules');
    await maren.getByRole('link', { name: /HT130/ }).click();
    await maren.getByRole('link', { name: 'Plan an assignment' }).click();
    await maren.getByRole('link', { name: 'a discussion' }).click();
    await maren.getByLabel('Title').fill('Whose is the shore?');
    await maren.getByLabel('Brief').fill('Argue, and answer each other.');
    await maren.getByLabel('Rubric', { exact: true }).selectOption({ label: 'Arguing with others, version 1' });
    await maren.getByLabel('First posts are due').fill(local(2));
    await maren.getByLabel('The discussion ends').fill(local(5));
    await maren.getByLabel('Replies asked for').fill('1');
    await maren.getByLabel('Words of each, at least').fill('5');
    await maren.getByText('Second marks, and how marks settle').click();
    await maren.getByLabel('Marked a second time').selectOption('none');
    await maren.getByRole('button', { name: 'Save, not open yet' }).click();
    await maren.getByRole('button', { name: 'Open it to students' }).click();
    await expect(maren.getByText('the assignment needs a topic').first()).toBeVisible();
    await maren.getByRole('link', { name: 'No topic yet' }).click();
    await maren.getByLabel('Title').fill('Between the tides');
    await maren.getByLabel('What students are asked').fill('Who may use what the tide uncovers?');
    await maren.getByRole('button', { name: 'Add it' }).click();
    await maren.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Plan/ }).click();
    await maren.getByRole('button', { name: 'Open it to students' }).click();
    await expect(maren.getByText('0 of 12 write')).toBeVisible();

    // On a phone, while the connection breaks: what was typed is posted once, when it is back.
    const abena = await signedIn(browser, 'abena.osei-whitlock', phone);
    await abena.goto('/');
    await abena.getByRole('row', { name: /Whose is the shore/ }).or(abena.locator('li', { hasText: 'Whose is the shore' })).getByRole('link', { name: 'Read and write' }).first().tap();
    await abena.getByRole('link', { name: 'Between the tides' }).tap();
    const field = abena.getByLabel('Your post', { exact: true });
    await field.fill('The shore belongs to those who **work** it at low water.\n\nNobody built it.');
    await expect(abena.getByText('14 words')).toBeVisible();
    await abena.reload();
    await expect(field).toHaveValue(/Nobody built it\.$/);
    await abena.context().setOffline(true);
    await abena.getByRole('button', { name: 'Post it' }).tap();
    await expect(abena.getByText('Your words are kept in this browser')).toBeVisible();
    await abena.context().setOffline(false);
    await expect(abena.locator('article.post', { hasText: 'Nobody built it.' })).toHaveCount(1, { timeout: 30_000 });
    const topic = new URL(abena.url()).pathname;

    // Another answers with a quotation; it arrives without a reload, and nothing moves until it is asked for.
    await abena.goto(topic);
    const cathal = await signedIn(browser, 'cathal.macgiolla', phone);
    await cathal.goto(topic);
    await cathal.getByRole('link', { name: 'quote', exact: true }).tap();
    const reply = cathal.getByLabel('Your reply', { exact: true });
    await expect(reply).toHaveValue(/^> The shore belongs to those who work it at low water\./);
    await reply.press('End');
    await reply.pressSequentially('And who says when it is low water, Abena?');
    await cathal.getByRole('button', { name: 'Post the reply' }).tap();
    await expect(cathal.locator('article.post blockquote')).toContainText('The shore belongs');
    const before = await abena.locator('article.post').first().boundingBox();
    await abena.locator('[data-talk]').dispatchEvent('look');
    await expect(abena.getByRole('button', { name: 'One new reply: show it' })).toBeVisible();
    expect((await abena.locator('article.post').first().boundingBox()).y).toBe(before.y);
    await abena.getByRole('button', { name: 'One new reply: show it' }).tap();
    await expect(abena.locator('article.post', { hasText: 'And who says' })).toBeVisible();
    expect(await serious(abena)).toEqual([]);

    // What one answers is taken back meanwhile: said in words, and the words stay.
    php('posts', 'divya.subramaniam', 'eirlys.pritchard', 'fumiko.arai');
    const goran = await signedIn(browser, 'goran.vukovic');
    await goran.goto(topic);
    const own = abena.locator('article.post.own', { hasText: 'Nobody built it.' });
    await goran.locator('article.post', { hasText: 'Nobody built it.', hasNot: goran.locator('blockquote') }).getByRole('link', { name: 'reply' }).click();
    await goran.getByLabel('Your reply', { exact: true }).and(goran.locator(':focus')).fill('I think that nobody owns it at all.');
    await abena.goto(topic);
    await own.getByText('more', { exact: true }).tap();
    await own.getByRole('button', { name: 'take it back' }).tap();
    await expect(abena.getByText('Taken back by its writer.')).toBeVisible();
    await goran.getByRole('button', { name: 'Post the reply' }).and(goran.locator('form:focus-within button')).click();
    await expect(goran.getByText('What you answer was taken back meanwhile')).toBeVisible();
    await goran.goto(topic);
    await goran.getByLabel('Your post', { exact: true }).fill('I think that nobody owns it at all.');
    await goran.getByRole('button', { name: 'Post it' }).click();
    await expect(goran.locator('article.post', { hasText: 'nobody owns it' })).toBeVisible();
    await abena.goto(topic);
    await abena.getByText('Write a post').first().tap();
    await abena.getByLabel('Your post', { exact: true }).fill('Once more: the shore belongs to those who work it.');
    await abena.getByRole('button', { name: 'Post it' }).tap();
    await expect(abena.locator('article.post', { hasText: 'Once more' })).toBeVisible();

    // Who is where, without telling whose code is whose.
    await maren.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Collect/ }).click();
    await expect(maren.getByText('6 of 12 write')).toBeVisible();
    await maren.getByRole('link', { name: /^Wrote nothing 6/ }).click();
    await maren.getByRole('link', { name: 'Write to these 6' }).click();
    await expect(maren.getByLabel('Subject')).toBeVisible();

    // It ends; one script is marked from the keyboard alone.
    const mark = php('ends');
    const marisol = await signedIn(browser, 'marisol.echeverri-blake');
    await marisol.goto(topic);
    for (const name of names) {
        expect(await marisol.content()).not.toContain(name);
        expect(await marisol.content()).not.toContain(name.split(' ')[0]);
    }
    await marisol.goto(`/desk/${mark}`);
    await expect(marisol.locator('[data-desk][data-ready]')).toBeVisible();
    await expect(marisol.locator('.text aside').first()).toContainText('Everything written until the close');
    const press = async (...keys) => { for (const key of keys) { await marisol.keyboard.press(key); } };
    await press('j', 'c');
    await expect(marisol.locator('#strip-body')).toBeFocused();
    await marisol.keyboard.type('Say where this rests.');
    await press('Escape');
    await expect(marisol.locator('#note-list > li')).toHaveCount(1);
    await press('r', '3', 'r', '4', 'r', '3', 'g');
    await marisol.keyboard.type('You answer what others say.');
    await press('Escape');
    await expect(marisol.locator('#saved')).toContainText(/Saved \d\d:\d\d/, { timeout: 60_000 });
    await press('d');
    await expect(marisol.getByText('is done.')).toBeVisible();
    php('marks');

    // Released, and read on a phone.
    await maren.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Release/ }).click();
    await maren.getByText('Release …').click();
    await maren.getByRole('button', { name: 'Release them' }).click();
    await expect(maren.getByText(/6 of 6 released/).first()).toBeVisible({ timeout: 60_000 });
    await cathal.goto('/');
    await cathal.getByRole('link', { name: 'Read it' }).first().tap();
    await expect(cathal.getByText('And who says when it is low water').first()).toBeVisible();
    await expect(cathal.getByText('Taken back by its writer').first()).toBeVisible();
});
