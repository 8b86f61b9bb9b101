// The core's statistics against general-purpose libraries: distributions, slopes, spreads. The core answers through PHP.
import quantileF from '@stdlib/stats-base-dists-f-quantile';
import cdfT from '@stdlib/stats-base-dists-t-cdf';
import quantileT from '@stdlib/stats-base-dists-t-quantile';
import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { test } from 'node:test';
import { linearRegression, mean, sampleCorrelation, sampleStandardDeviation } from 'simple-statistics';

const core = (code) => JSON.parse(execFileSync('php', ['-r', `require 'vendor/autoload.php'; echo json_encode((function () { ${code} })());`]));
const near = (a, b, by, what) => assert.ok(Math.abs(a - b) <= by * Math.max(1, Math.abs(b)), `${what}: ${a}, not ${b}`);

test('quantiles of F and t and shares of t are those of a library of mathematics', () => {
    const cases = [[0.975, 5, 18], [0.975, 18.5, 5], [0.025, 9, 9], [0.95, 1, 200], [0.975, 199, 199], [0.5, 3, 7]];
    const f = core(`return array_map(fn ($c) => YoungHarbor\\Core\\Statistics\\FisherF::quantile(...$c), json_decode('${JSON.stringify(cases)}'));`);
    cases.forEach((one, n) => near(f[n], quantileF(...one), 1e-8, `F ${one}`));
    const degrees = [1, 2.5, 9, 29, 400];
    const t = core(`return array_map(fn ($d) => [YoungHarbor\\Core\\Statistics\\StudentT::quantile(0.975, $d), YoungHarbor\\Core\\Statistics\\StudentT::cdf(1.3, $d)], json_decode('${JSON.stringify(degrees)}'));`);
    degrees.forEach((one, n) => {
        near(t[n][0], quantileT(0.975, one), 1e-8, `t ${one}`);
        near(t[n][1], cdfT(1.3, one), 1e-10, `share of t ${one}`);
    });
});

test('a slope within one sitting is that of a simple regression', () => {
    const marks = [66, 61, 64, 58, 63, 57, 60, 52, 55, 59, 51, 54];
    const drift = core(`return YoungHarbor\\Core\\Agreement\\Drift::of(array_map(fn ($m, $n) => new YoungHarbor\\Core\\Agreement\\Completion(600 * $n, $m), json_decode('${JSON.stringify(marks)}'), range(0, 11)), 1)->slope;`);
    near(drift, linearRegression(marks.map((mark, n) => [n + 1, mark])).m, 1e-12, 'slope');
});

test('differences and spreads of pairs are those of a library of statistics', () => {
    const pairs = [[60, 64], [55, 52], [70, 61], [48, 50], [66, 63], [58, 59], [71, 75], [44, 40], [62, 58], [53, 57]];
    const made = `array_map(fn ($p, $n) => new YoungHarbor\\Core\\Agreement\\MarkedScript("s$n", ['a' => (float) $p[0], 'b' => (float) $p[1]]), json_decode('${JSON.stringify(pairs)}'), range(0, 9))`;
    const [mean, sd, ratio, low, high] = core(`$p = YoungHarbor\\Core\\Agreement\\Pairs::of(${made}); $s = YoungHarbor\\Core\\Agreement\\Spread::of(${made}, 'b'); return [$p->meanDifference(), $p->sdDifference(), $s->ratio, ...$s->interval];`);
    const [a, b] = [pairs.map((pair) => pair[0]), pairs.map((pair) => pair[1])];
    const differences = pairs.map(([first, second]) => first - second);
    near(mean, differences.reduce((sum, one) => sum + one) / 10, 1e-12, 'mean difference');
    near(sd, sampleStandardDeviation(differences), 1e-12, 'standard deviation of differences');
    const times = sampleStandardDeviation(b) / sampleStandardDeviation(a);
    near(ratio, times, 1e-12, 'spread');
    // Morgan and Pitman 1939, with the correlation and the quantile of the libraries.
    const k = 1 + 2 * (1 - sampleCorrelation(a, b) ** 2) * quantileT(0.975, 8) ** 2 / 8;
    near(low, times * Math.sqrt(k - Math.sqrt(k * k - 1)), 1e-8, 'its lower end');
    near(high, times * Math.sqrt(k + Math.sqrt(k * k - 1)), 1e-8, 'its upper end');
});

test('means and spreads of what a cohort should hear are those of a library of statistics', () => {
    const shares = [0.41, 0.62, 0.55, 0.7, 0.38, 0.91, 0.66];
    const found = core(`return YoungHarbor\\Core\\Release\\CohortFigures::of(array_map(fn ($s) => new YoungHarbor\\Core\\Release\\HeardResult(['c' => ['title' => 'C', 'share' => $s]], []), json_decode('${JSON.stringify(shares)}')))->criteria[0];`);
    near(found.mean, 100 * mean(shares), 1e-12, 'mean');
    near(found.sd, 100 * sampleStandardDeviation(shares), 1e-12, 'standard deviation');
});
