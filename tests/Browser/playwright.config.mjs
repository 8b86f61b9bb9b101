import { defineConfig } from '@playwright/test';
import { launchOptions } from './browser.mjs';

export default defineConfig({
    testDir: '.',
    outputDir: '../../.harbor/test/browser',
    // The walk makes a module of its own and waits for its due time, and the look at every screen changes nothing: they run
    // beside the others, which share the demo and go one after another. The wave has the application to itself.
    workers: 2,
    projects: [
        { name: 'beside', testMatch: ['walk.spec.mjs', 'screens.spec.mjs'], workers: 1 },
        { name: 'demo', testMatch: '*.spec.mjs', testIgnore: ['walk.spec.mjs', 'screens.spec.mjs', 'wave.spec.mjs'], workers: 1 },
        { name: 'wave', testMatch: 'wave.spec.mjs', workers: 1, dependencies: ['beside', 'demo'] },
    ],
    timeout: 300_000,
    expect: { timeout: 30_000 },
    reporter: [['line'], ['json']],
    use: { actionTimeout: 60_000, baseURL: process.env.APP_URL, viewport: { width: 1280, height: 800 }, launchOptions, trace: 'off', screenshot: 'only-on-failure' },
});
