// Every main screen: nothing serious for axe-core in light and dark, nothing wider than a phone, no error in the console.
import { serious } from './axe.mjs';
import { expect, signedIn, test } from './people.mjs';

const essay = 'Essay: A living from the edge';
const stage = (name) => async (page) => {
    await page.goto('/');
    await page.getByRole('link', { name: essay }).first().click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(`^${name} ,`) }).click();
};
const rounds = (title) => async (page) => {
    await page.goto('/find?q=HT120');
    await page.getByRole('link', { name: /HT120/ }).first().click();
    await page.getByRole('link', { name: title }).first().click();
    await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Share out ,/ }).click();
    await page.getByRole('link', { name: 'Peer review', exact: true }).click();
};
const reviewing = (title) => async (page) => {
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT120/ }).first().click();
    await page.getByRole('link', { name: title }).first().click();
    await page.getByRole('link', { name: 'Steps and reviews' }).click();
};
const talk = async (page) => {
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT130/ }).first().click();
    await page.getByRole('link', { name: 'The sea wall or the marsh' }).first().click();
};
const observed = async (page) => {
    await page.goto('/modules');
    await page.getByRole('link', { name: /HT130/ }).first().click();
    await page.getByRole('link', { name: 'Speak for one side' }).first().click();
};
const screens = {
    'maren.oduya': {
        today: (page) => page.goto('/'), modules: (page) => page.goto('/modules'), rubrics: (page) => page.goto('/rubrics'),
        module: async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT210/ }).click(); },
        people: async (page) => { await page.getByRole('link', { name: 'People' }).click(); },
        'rubric sheet': async (page) => { await page.goto('/rubrics'); await page.getByRole('link', { name: 'Group presentation' }).click(); },
        'rubric of every kind': async (page) => { await page.goto('/rubrics'); await page.getByRole('link', { name: 'Lab notebook' }).click(); },
        'trying it': (page) => page.getByRole('link', { name: 'Try it' }).click(),
        'as students see it': (page) => page.getByRole('link', { name: 'As students see it' }).click(),
        versions: (page) => page.getByRole('link', { name: 'Versions' }).click(), files: (page) => page.getByRole('link', { name: 'Export', exact: true }).click(),
        bands: async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT210/ }).click(); await page.getByRole('link', { name: 'Grade bands' }).click(); },
        'bands form': (page) => page.getByRole('link', { name: 'Make bands of your own' }).click(),
        plan: stage('Plan'), 'student page': (page) => page.getByRole('link', { name: 'As a student sees it' }).click(),
        collect: stage('Collect'), 'one student': (page) => page.getByRole('link', { name: 'Yusuf al-Khatib' }).click(),
        writing: async (page) => { await stage('Collect')(page); await page.getByRole('link', { name: /^Write to/ }).click(); },
        'closure days': async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT210/ }).click(); await page.getByRole('link', { name: 'Closure days' }).click(); },
        screen: stage('Screen'),
        overlap: async (page) => { await stage('Screen')(page); await page.locator('table .code').first().click(); },
        'overlap with hidden words': async (page) => { await stage('Screen')(page); await page.getByRole('row', { name: /lookalike letters/ }).locator('.code').first().click(); },
        'writing signals': async (page) => { await stage('Screen')(page); await page.getByRole('link', { name: 'Writing signals' }).click(); },
        'writing of a script': (page) => page.locator('#writing-table .code').first().click(),
        baseline: async (page) => { await stage('Screen')(page); await page.getByRole('link', { name: 'Writing signals' }).click(); await page.getByRole('link', { name: /Supervised writing/ }).click(); },
        'outside detector': async (page) => { await stage('Plan')(page); await page.locator('#writing summary').click(); await page.getByRole('link', { name: 'What leaves, what comes back' }).click(); },
        archive: async (page) => { await stage('Screen')(page); await page.getByRole('link', { name: 'Archive' }).click(); },
        'share out': stage('Share out'), 'starting together': (page) => page.getByRole('link', { name: 'Starting together' }).click(), 'names in scripts': (page) => page.getByRole('link', { name: 'Names in scripts' }).click(), help: (page) => page.goto('/help'), 'share out again': stage('Share out'), conflicts: (page) => page.getByRole('link', { name: 'Conflicts of interest' }).click(), bank: (page) => page.goto('/bank'), mark: stage('Mark'), moderate: stage('Moderate'), 'sign off': (page) => page.getByRole('link', { name: 'Sign off' }).click(), sample: async (page) => { await page.goto('/'); await page.getByRole('link', { name: 'Map study' }).first().click(); await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Moderate ,/ }).click(); await page.getByRole('link', { name: /^(Draw|See) the sample$/ }).click(); }, release: stage('Release'), 'a student\'s page as it would be': (page) => page.getByRole('link', { name: 'as its student sees it' }).first().click(), review: async (page) => { await page.goto('/'); await page.getByRole('row', { name: /review of a mark/ }).getByRole('link', { name: 'Decide' }).click(); }, 'corrected result': (page) => page.getByRole('link', { name: 'Correct it' }).click(), 'what was new': (page) => page.goto('/notices'), 'marking alike': async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT110/ }).click(); await page.getByRole('link', { name: 'Are we marking alike?' }).click(); }, 'marking alike here': (page) => page.getByRole('link', { name: /^Commentary/ }).click(), corrections: async (page) => { await page.getByRole('link', { name: 'Corrections', exact: true }).click(); await page.getByLabel('One marker’s severity taken out').check(); await page.getByLabel('Whose severity').selectOption('Gethin Prosser'); await page.getByRole('button', { name: 'See what it would do' }).click(); },
        'grade book': async (page) => { await page.goto('/grade-book'); await page.getByRole('link', { name: /HT105/ }).click(); await page.getByText('How marks lie').click(); await expect(page.getByRole('columnheader', { name: 'Spread' })).toBeVisible(); },
        'module mark': (page) => page.getByRole('link', { name: 'How the module mark is made' }).click(),
        'one student\'s module mark': async (page) => { await page.goto('/grade-book'); await page.getByRole('link', { name: /HT105/ }).click(); await page.getByRole('link', { name: 'Wren Ashgrove' }).click(); await page.getByText('How this number came about').click(); },
        'taken away': async (page) => { await page.goto('/grade-book'); await page.getByRole('link', { name: /HT105/ }).click(); await page.getByRole('link', { name: 'Download', exact: true }).click(); },
        'board sheet': async (page) => { await page.goto('/grade-book'); await page.getByRole('link', { name: /HT105/ }).click(); await page.getByRole('link', { name: 'Board sheet' }).click(); },
        'what the cohort should hear': async (page) => { await page.goto('/find?q=toll'); await page.getByRole('link', { name: 'Essay: who paid the toll' }).click(); await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Release ,/ }).click(); await page.getByRole('link', { name: 'What the cohort should hear' }).click(); },
        found: (page) => page.goto('/find?q=essay'),
        'another year': async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT105/ }).click(); await page.getByRole('link', { name: 'Copy for another year' }).click(); },
        logbook: async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT210/ }).click(); await page.getByRole('link', { name: 'Logbook' }).click(); },
        'rounds of peer review': rounds('Note on an object'),
        'a closed round': (page) => page.getByRole('link', { name: 'Peers read your note' }).click(),
        'a work of a round': (page) => page.locator('main table .code').filter({ hasText: /^(MAERL|KELP|LAVER|EELGRASS|SUGARKELP|DULSE|OARWEED)/ }).first().click(),
        'a round under way': async (page) => { await rounds('A letter to the harbour board')(page); await page.getByRole('link', { name: 'Read each other’s drafts' }).click(); },
        'plan of a round': (page) => page.getByRole('link', { name: 'plan', exact: true }).click(),
        'parts in groups': async (page) => { await rounds('A walk in threes')(page); await page.getByRole('link', { name: 'Parts in groups' }).click(); },
        reflections: async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT210/ }).click(); await page.getByRole('link', { name: 'Reflections' }).click(); },
        'a reflection read': (page) => page.getByRole('link', { name: 'After the week in the record room' }).click(),
        'who writes in a discussion': talk,
        'a discussion': (page) => page.getByRole('link', { name: 'The discussion', exact: true }).click(),
        'a topic, with codes': (page) => page.getByRole('link', { name: 'Hold the line?' }).first().click(),
        'plan of a discussion': async (page) => { await talk(page); await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Plan/ }).click(); },
        slots: async (page) => { await observed(page); await page.getByRole('link', { name: 'Slots: when, where, by whom' }).click(); },
        'plan of something observed': (page) => page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^Plan/ }).click(),
        account: (page) => page.goto('/account'),
        'what is kept': (page) => page.goto('/account/kept'),
    },
    'harbour.office': {
        people: (page) => page.goto('/institution/people'),
        'a person': (page) => page.getByRole('link', { name: 'Aksel Birkeland' }).click(),
        'merging two': async (page) => { await page.getByLabel('E-mail address of the other account').fill('maren.oduya@merrow.example'); await page.getByRole('button', { name: 'Look what it would do' }).click(); },
        'erasing one': async (page) => { await page.goto('/institution/people?q=Sven'); await page.locator('main table').getByRole('link').first().click(); await page.getByRole('link', { name: 'Look what would go' }).click(); },
        'how people sign in': (page) => page.goto('/institution/sign-in'),
        'how it runs': (page) => page.goto('/institution/running'),
        'how long things are kept': (page) => page.goto('/institution/keeping'),
        'a second step': (page) => page.goto('/account/second-step'),
    },
    'abena.osei-whitlock': {
        'a discussion’s page': talk,
        'its topics': (page) => page.getByRole('link', { name: 'Read and write' }).click(),
        'a topic': (page) => page.getByRole('link', { name: 'Hold the line?' }).click(),
        'a slot of one’s own': observed,
    },
    'bryn.ellacott': {
        'a student’s round': reviewing('A letter to the harbour board'),
        'the desk of a review': async (page) => { await page.getByRole('heading', { name: 'What you review' }).locator('xpath=..').getByRole('link').first().click(); await expect(page.locator('[data-desk][data-ready=yes]')).toBeVisible(); },
        'what one said of the group': async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT120/ }).first().click(); await page.getByRole('link', { name: 'A walk in threes' }).first().click(); await page.getByRole('link', { name: 'Say who did how much' }).click(); },
        'a review received': async (page) => { await reviewing('Note on an object')(page); await page.getByRole('link', { name: 'Review 1' }).click(); },
    },
    'tomasz.wisniewski': {
        queue: async (page) => { await page.goto('/'); await page.getByRole('link', { name: essay }).first().click(); },
        desk: async (page) => { await page.goto('/'); await page.getByRole('link', { name: 'Go to the desk' }).first().click(); },
        'marked together': async (page) => { await stage('Mark')(page); await page.getByRole('link', { name: 'marked together' }).click(); },
        replies: async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT210/ }).click(); await page.getByRole('link', { name: 'Practice' }).first().click(); await page.getByRole('link', { name: /^replies/ }).click(); },
        settle: async (page) => { await stage('Moderate')(page); await page.locator('table .code').first().click(); },
    },
    'niamh.odonnell': {
        'student today': (page) => page.goto('/'),
        'hand in': (page) => page.getByRole('link', { name: 'Essay: After the water' }).click(),
        'a reflection': async (page) => { await page.goto('/modules'); await page.getByRole('link', { name: /HT210/ }).first().click(); await page.getByRole('link', { name: 'Reflections' }).click(); await page.getByRole('link', { name: 'After the week' }).click(); },
        result: async (page) => { await page.goto('/'); await page.getByRole('link', { name: /^Read it/ }).first().click(); },
        receipt: async (page) => { await page.goto('/'); await page.getByRole('link', { name: 'See what was handed in' }).first().click(); await page.getByRole('link', { name: /^Receipt/ }).click(); },
    },
};

// Made of parts whose colours another screen shows.
const alike = new Set(['a person', 'merging two', 'erasing one', 'how people sign in', 'what is kept', 'modules', 'trying it', 'as students see it', 'versions', 'files', 'bands form', 'student page', 'one student', 'closure days', 'overlap with hidden words', 'outside detector', 'archive', 'starting together', 'names in scripts', 'help', 'share out again', 'conflicts', 'account', 'student today', 'receipt', 'marked together', 'module mark', 'taken away', 'rounds of peer review', 'found', 'another year', 'reflections', 'people', 'bands', 'baseline', 'corrected result', 'sign off', 'what was new', 'plan of a round', 'parts in groups', 'a reflection', 'what one said of the group']);
for (const [who, views] of Object.entries(screens)) {
    test(`nothing serious for axe-core, light and dark, as ${who}`, async ({ browser }) => {
        test.setTimeout(600_000);
        const page = await signedIn(browser, who, { colorScheme: 'light' });
        const errors = [];
        page.on('console', (message) => { if (message.type() === 'error') { errors.push(message.text()); } });
        const found = [];
        const judge = async (name, options) => found.push(...(await serious(page, options)).map((one) => `${name}: ${one}`));
        for (const [name, go] of Object.entries(views)) {
            await go(page);
            await page.waitForLoadState('load');
            await expect(page.locator('.htmx-request')).toHaveCount(0);
            const without = 'tbody tr:nth-child(n+9)'; // rows of a table are alike: the first ones stand for all
            await judge(name, { without });
            if (!alike.has(name)) { // the dark look differs in colour alone, so that is what is checked of it
                await page.emulateMedia({ colorScheme: 'dark' });
                await judge(`${name}, dark`, { without, rules: ['color-contrast'] });
                await page.emulateMedia({ colorScheme: 'light' });
            }
        }
        expect(found).toEqual([]);
        expect(errors).toEqual([]);
    });
}

test('a student on a phone scrolls down and never sideways', async ({ browser }) => {
    test.setTimeout(600_000);
    const phone = { viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true };
    for (const who of ['niamh.odonnell', 'harbour.office', 'tomasz.wisniewski', 'bryn.ellacott', 'abena.osei-whitlock']) {
        const page = await signedIn(browser, who, phone);
        for (const [name, go] of Object.entries(screens[who])) {
            await go(page);
            await page.waitForLoadState('load'); // the width is only true once the style sheet is there
            expect(await page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(390);
        }
    }
});
