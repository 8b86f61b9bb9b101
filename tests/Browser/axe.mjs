// What axe-core finds serious on a page. Put into a page once; no page of ours frames another.
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * A line for each thing that is serious or critical, with the first pieces of the page that have it.
 *
 * @param {object} options rules: only these; without: a selector of what is left out
 */
export async function serious(page, { rules, without } = {}) {
    if (! await page.evaluate(() => 'axe' in globalThis)) {
        await page.evaluate(source);
    }
    return page.evaluate(async ({ rules, without }) => {
        const found = await globalThis.axe.run(
            without ? { exclude: [[without]] } : document, { resultTypes: ['violations'], ...(rules ? { runOnly: rules } : {}) },
        );
        return found.violations.filter(({ impact }) => ['serious', 'critical'].includes(impact))
            .map(({ id, nodes }) => `${id} on ${nodes.slice(0, 3).map((node) => node.html.slice(0, 160)).join(' | ')}`);
    }, { rules, without });
}
