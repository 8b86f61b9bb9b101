// The whole fairway on one's own files: from a module that does not exist yet to results that have been read.
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { declare, expect, joined, linkInMail, signedIn, test, until } from './people.mjs';

const folder = mkdtempSync(join(tmpdir(), 'walk-'));
const shared = 'When the last bell had rung on the quay the women who mended the nets sat down along the wall and counted out the needles that each of them had lost in the week';
const essays = {
    'amina.vogt': ['docx', `# Nets\n\nMy essay is about nets and who mended them. ${shared}. That is where I begin, and the rest of it follows from the counting of needles.\n`],
    'bjorn.osei': ['odt', `# Needles\n\n${shared}. I found this in an old newspaper and I will say what I make of it in my own way below.\n`],
    'chloe.tan': ['md', '# Slipways\n\nA slipway is a road that goes into the sea, and on it everything that a village owns is dragged up out of the reach of winter.\n'],
    'dmitri.o-shea': ['pdf', 'The smokehouse stood with its back to the wind so that the fires would draw and nobody downwind of it ever hung out washing on a Monday.'],
};

/** A one-page PDF, written out by hand. */
function pdf(text) {
    const lines = text.match(/.{1,80}(\s|$)/g).map((line) => `(${line.trim()}) Tj T*`).join('\n');
    const content = `BT /F1 11 Tf 60 780 Td 14 TL\n${lines}\nET`;
    const objects = ['<< /Type /Catalog /Pages 2 0 R >>', '<< /Type /Pages /Kids [3 0 R] /Count 1 >>',
        '<< /Type /Page /Parent 2 0 R /MediaBox [0 0 595 842] /Contents 4 0 R /Resources << /Font << /F1 5 0 R >> >> >>',
        `<< /Length ${content.length} >>\nstream\n${content}\nendstream`, '<< /Type /Font /Subtype /Type1 /BaseFont /Helvetica >>'];
    let out = '%PDF-1.4\n';
    const at = objects.map((object, n) => { const start = out.length; out += `${n + 1} 0 obj\n${object}\nendobj\n`; return start; });
    const table = `xref\n0 6\n0000000000 65535 f \n${at.map((start) => `${String(start).padStart(10, '0')} 00000 n \n`).join('')}`;
    return `${out}${table}trailer << /Size 6 /Root 1 0 R >>\nstartxref\n${out.length}\n%%EOF`;
}

function file(who) {
    const [format, text] = essays[who];
    const path = join(folder, `${who}.${format}`);
    if (format === 'pdf') {
        writeFileSync(path, pdf(text), 'latin1');
    } else if (format === 'md') {
        writeFileSync(path, text);
    } else {
        execFileSync('pandoc', ['--standalone', '--metadata=title: ', '-o', path], { input: text });
    }
    return path;
}

const local = (date) => {
    const part = Object.fromEntries(new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/London', year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit' }).formatToParts(date).map(({ type, value }) => [type, value]));
    return `${part.year}-${part.month}-${part.day}T${part.hour}:${part.minute}`;
};

test('from a rubric to a result that has been read', async ({ browser }) => {
    test.setTimeout(900_000);

    // The administrator makes a module; its coordinator is written to, and adds people.
    const admin = await signedIn(browser, 'harbour.office');
    await admin.goto('/modules');
    await admin.getByLabel('Code').fill('WK101');
    await admin.getByLabel('Title').fill('Walking the Coast');
    await admin.getByLabel('Coordinator').fill('Esi Lindqvist');
    await admin.getByLabel('Their e-mail address').fill('esi.lindqvist@merrow.example');
    await admin.getByRole('button', { name: 'Create the module' }).click();
    const coordinator = await joined(browser, 'esi.lindqvist', 'WK101');
    await coordinator.getByRole('link', { name: 'Modules' }).first().click();
    await coordinator.getByRole('link', { name: 'WK101 Walking the Coast' }).click();
    const module = coordinator.url();
    for (const [role, lines] of [['Tutors', 'Tutor One, tutor.one@merrow.example\nTutor Two, tutor.two@merrow.example'],
        ['Students', Object.keys(essays).map((who, n) => `${who.split('.').map((part) => part[0].toUpperCase() + part.slice(1)).join(' ')}, ${who}@merrow.example, W10${n}`).join('\n')]]) {
        await coordinator.goto(`${module}/people`);
        await coordinator.getByLabel('They are').selectOption(role);
        await coordinator.getByLabel('A line each').fill(lines);
        await coordinator.getByRole('button', { name: 'Add them' }).click();
    }

    const students = {};
    for (const who of Object.keys(essays)) {
        students[who] = await joined(browser, who, 'WK101');
    }

    // 1 Plan: a rubric at 99.5, then at 100, made ready; an assignment with it.
    await coordinator.goto('/rubrics');
    await coordinator.getByLabel('Title').fill('Short essay');
    await coordinator.getByRole('button', { name: 'Create', exact: true }).click();
    const cell = (name) => coordinator.getByLabel(name, { exact: true });
    await cell('Criterion 1').fill('Argument');
    await cell('Weight of criterion 1 in percent').fill('59.5');
    await cell('Descriptor: criterion 1, level 1').fill('No claim yet.');
    await cell('Descriptor: criterion 1, level 4').fill('A claim, argued and weighed.');
    await coordinator.getByRole('button', { name: '+ criterion' }).click();
    await cell('Criterion 2').fill('Evidence');
    await cell('Weight of criterion 2 in percent').fill('40');
    await cell('Criterion 2').click();
    await expect(coordinator.getByText('99.5 of 100')).toBeVisible();
    await coordinator.getByRole('button', { name: 'Make it ready' }).click();
    await expect(coordinator.getByRole('alert')).toContainText('the weights total 99.5 %, 0.5 short of 100', { ignoreCase: true });
    await cell('Weight of criterion 1 in percent').fill('60');
    await cell('Criterion 1').click();
    await expect(coordinator.getByText('100 of 100')).toBeVisible();
    await coordinator.getByRole('button', { name: 'Make it ready' }).click();
    await expect(coordinator.getByText('Version 1 is ready')).toBeVisible();

    await coordinator.goto(`${module}/assignments/new`);
    await coordinator.getByLabel('Title').fill('The working shore');
    await coordinator.getByLabel('Brief').fill('Write about one kind of work on the shore.');
    await coordinator.getByLabel('Rubric').selectOption({ label: 'Short essay, version 1' });
    const due = new Date(Math.ceil((Date.now() + 60_000) / 60_000) * 60_000);
    await coordinator.getByLabel('Due', { exact: true }).fill(local(due));
    await coordinator.getByLabel('Late work is taken until').fill(local(new Date(due.getTime() + 3_600_000)));
    await coordinator.getByRole('button', { name: 'Save, not open yet' }).click();
    await coordinator.getByRole('button', { name: 'Open it to students' }).click();
    await expect(coordinator.getByText('0 of 4 in')).toBeVisible();
    const assignment = coordinator.url().replace(/\/collect.*/, '');

    // 2 Collect: files of four formats; one is refused, one replaced, one late.
    const handIn = async (who, path) => {
        await students[who].goto(`${assignment}/hand-in`);
        await students[who].getByLabel('A file').setInputFiles(path);
        await declare(students[who]);
        await students[who].getByRole('button', { name: 'Hand in' }).click();
    };
    const empty = join(folder, 'empty.docx');
    writeFileSync(empty, '');
    await handIn('amina.vogt', empty);
    await expect(students['amina.vogt'].getByText('This file is empty (0 bytes)')).toBeVisible();
    for (const who of ['amina.vogt', 'bjorn.osei', 'chloe.tan']) {
        const path = file(who);
        await handIn(who, path);
        await expect(students[who].getByRole('heading', { name: 'Receipt' })).toBeVisible();
        await expect(students[who].getByText(createHash('sha256').update(readFileSync(path)).digest('hex'))).toBeVisible();
        await expect(students[who].getByText(/\d+ words, read as/)).toBeVisible();
    }
    execFileSync('php', ['tests/Browser/due-now.php', 'The working shore']);
    await students['chloe.tan'].waitForTimeout(1500);
    await handIn('dmitri.o-shea', file('dmitri.o-shea'));
    await expect(students['dmitri.o-shea'].getByText('Handed in, late')).toBeVisible();
    await expect(students['dmitri.o-shea'].getByText('The smokehouse stood with its back to the wind')).toBeVisible();
    await coordinator.goto(`${assignment}/collect?show=late`);
    await expect(coordinator.getByRole('row', { name: /Dmitri/ })).toContainText('late');

    // 3 Screen: the queued job finds the words that two of them share, in both reports.
    await coordinator.goto(`${assignment}/screen`);
    await expect(coordinator.getByText('4 of 4 compared')).toBeVisible({ timeout: 90_000 });
    await coordinator.reload();
    const counted = shared.split(' ').length;
    await expect(coordinator.getByRole('row').filter({ hasText: new RegExp(`\\s${counted}\\s`) })).toHaveCount(2);
    await coordinator.locator('table .code').first().click();
    for (const pane of ['here', 'there']) {
        await expect(coordinator.locator(`[data-pane=${pane}] [data-same]`)).toHaveText(shared);
    }

    // 4 Share out: work a plan out, look at it, apply it.
    await coordinator.goto(`${assignment}/share-out`);
    await coordinator.getByRole('button', { name: 'Work out a plan' }).click();
    await expect(coordinator.getByText('8 marks to give out')).toBeVisible();
    await coordinator.getByRole('button', { name: 'Give them out' }).click();
    await expect(coordinator.getByText('8 marks are given out.')).toBeVisible();

    // 5 and 6 Mark and moderate: each tutor marks all four, twice as first and twice as second marker.
    // Levels are 0, 4, 7, 10; weights 60 and 40. Tutor One gives 7 and 7: 70.0. Tutor Two gives half-way between 4
    // and 7 on Argument, 5.5, and 7 on Evidence: 33 + 28 = 61.0. They are 9 apart: to settle. On the one script that
    // both give 7 and 10 they agree: 42 + 40 = 82.0, a First.
    const tutors = { one: await joined(browser, 'tutor.one', 'WK101'), two: await joined(browser, 'tutor.two', 'WK101') };
    let agreed;
    for (const [who, page] of Object.entries(tutors)) {
        await page.getByRole('link', { name: 'Go to the desk' }).click();
        for (let n = 0; n < 4; n++) {
            const code = await page.locator('.script .code').innerText();
            agreed ??= code;
            const argument = page.getByRole('group', { name: /Argument/ });
            const evidence = page.getByRole('group', { name: /Evidence/ });
            await argument.getByLabel(code === agreed || who === 'one' ? 'Well, 7' : 'between Partly and Well, 5.5').check({ force: true });
            await expect(page.locator('#total')).toContainText('Evidence missing');
            await evidence.getByLabel(code === agreed ? 'Excellently, 10' : 'Well, 7').check({ force: true });
            await page.getByLabel('Comment on Argument').fill(`Read by tutor ${who}.`);
            await expect(page.locator('#total b').first()).toHaveText(code === agreed ? '82.0' : who === 'one' ? '70.0' : '61.0');
            await page.getByLabel('In general').fill('Thank you for this.');
            await expect(page.locator('#saved')).toContainText(/Saved \d\d:\d\d/);
            await page.getByRole('button', { name: /^Done/ }).click();
            await expect(page.getByText(`${code} is done.`)).toBeVisible();
        }
    }
    await coordinator.goto(`${assignment}/moderate`);
    await expect(coordinator.getByRole('row', { name: new RegExp(agreed) })).toContainText('agreed');
    await expect(coordinator.getByText('to settle', { exact: false }).locator('visible=true').first()).toBeVisible();
    await tutors.one.goto('/');
    await tutors.one.getByRole('link', { name: 'Settle' }).click();
    const codes = [];
    for (const mark of ['66', '65.5', '70']) {
        await tutors.one.goto(`${assignment}/moderate`);
        await tutors.one.getByRole('row').filter({ hasText: 'to settle' }).first().locator('.code').click();
        codes.push((await tutors.one.locator('h2.code').innerText()).trim());
        await expect(tutors.one.getByText('Read by tutor two.').locator('visible=true').first()).toBeVisible();
        await tutors.one.getByLabel('Mark', { exact: true }).fill(mark);
        await tutors.one.getByLabel('Why').fill('We read the opening claim differently.');
        await tutors.one.getByRole('button', { name: 'Propose it' }).click();
        await tutors.two.goto(tutors.one.url());
        await tutors.two.getByRole('button', { name: `Accept ${mark}` }).click();
        await expect(tutors.two.getByText(`agreed ${mark}`)).toBeVisible();
    }

    // 7 Release: the ready check is clear, all go out, names come last; the logbook has it.
    await coordinator.goto(`${assignment}/release`);
    await expect(coordinator.getByText('4 results are ready')).toBeVisible();
    for (const [code, mark, band] of [[agreed, '82.0', 'First'], [codes[0], '66.0', 'Upper second'], [codes[1], '65.5', 'Upper second'], [codes[2], '70.0', 'First']]) {
        await expect(coordinator.getByRole('row', { name: new RegExp(code) })).toContainText(mark);
        await expect(coordinator.getByRole('row', { name: new RegExp(code) })).toContainText(band);
    }
    await coordinator.getByText('Release …').click();
    await coordinator.getByRole('button', { name: 'Release them' }).click();
    await expect(coordinator.getByText('4 of 4 released', { exact: false }).last()).toBeVisible(); // it shows itself when they are out
    await coordinator.getByLabel('I know this cannot be undone').check();
    await coordinator.getByRole('button', { name: 'Reveal names' }).click();
    await expect(coordinator.getByText('Markers now see whose scripts they marked.')).toBeVisible();

    // 8 Learn: the student follows the link in the mail.
    const student = students['amina.vogt'];
    await student.goto(await linkInMail(student, 'amina.vogt@merrow.example', 'Your result for The working shore'));
    const shown = await student.locator('.big').innerText();
    expect(['82.0', '66.0', '65.5', '70.0']).toContain(shown);
    await expect(student.locator('.big + p b')).toHaveText(Number(shown) >= 70 ? 'First' : 'Upper second');
    await expect(student.getByText('Yours', { exact: false }).first()).toBeVisible();
    await student.getByText('How this number came about').click();
    await expect(student.getByRole('cell', { name: shown === '82.0' ? /the mean of the two marks/ : /We read the opening claim differently/ })).toBeVisible();
    await coordinator.goto(`${module}/grade-book`);
    await expect(coordinator.getByRole('row', { name: /Amina/ })).toContainText(shown);
    await expect(coordinator.getByRole('row', { name: /Amina/ })).not.toContainText('not opened yet');
    await expect(coordinator.getByRole('row', { name: /Bjorn/ })).toContainText('not opened yet');
    await coordinator.getByRole('link', { name: 'Download', exact: true }).click();
    const [download] = await Promise.all([coordinator.waitForEvent('download'), coordinator.getByRole('button', { name: 'Download' }).click()]);
    const rows = readFileSync(await download.path(), 'utf8');
    expect(rows).toContain('amina.vogt@merrow.example');
    expect(rows).toContain(`,${shown},`);
    await coordinator.goto(`${module}/logbook`);
    await expect(coordinator.getByText('revealed names to markers')).toBeVisible();
});
