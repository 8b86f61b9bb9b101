import { defineConfig } from '@playwright/test';
import { launchOptions } from './browser.mjs';

export default defineConfig({
    testDir: '.',
    testMatch: '*.spec.mjs',
    outputDir: process.env.HARBOR_BROWSER_OUT ?? '../../.harbor/test/browser',
    workers: 1,
    timeout: 300_000,
    expect: { timeout: 30_000 },
    reporter: [['line'], ['json']],
    use: { actionTimeout: 60_000, baseURL: process.env.APP_URL, viewport: { width: 1280, height: 800 }, launchOptions, trace: 'off', screenshot: 'only-on-failure' },
});
