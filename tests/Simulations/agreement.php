<?php

declare(strict_types=1);

/*
 * How often figures on marking alike hold what they say.   php tests/Simulations/agreement.php [rounds, 2000]
 * Prints what docs/moderation.md quotes. Takes some minutes.
 */

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Agreement\Completion;
use YoungHarbor\Core\Agreement\Drift;
use YoungHarbor\Core\Agreement\Intraclass;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Agreement\MarkerEffects;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Agreement\StandingOut;

require __DIR__.'/../../vendor/autoload.php';

$rounds = (int) ($argv[1] ?? 2000);
$random = new Randomizer(new Xoshiro256StarStar(2026));
$normal = function () use ($random): float {
    $uniform = fn (): float => ($random->getInt(1, 1 << 30) - 0.5) / (1 << 30);

    return sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
};
$mark = fn (float $mark): float => round(max(0.0, min(100.0, $mark)));
$bands = [40.0, 50.0, 60.0, 70.0];
$figures = fn (Report $report): array => [...$report->figures, ...$report->icc->figures];

/** Two markers, the first two marks higher; true marks with deviation 10, noise 5. */
$cohort = function (int $scripts, float $a = 2.0, float $b = 0.0) use ($normal, $mark): array {
    $made = [];
    for ($n = 0; $n < $scripts; $n++) {
        $true = 58 + 10 * $normal();
        $made[] = new MarkedScript("s{$n}", [
            'a' => $mark($true + $a + 5 * $normal()), 'b' => $mark($true + $b + 5 * $normal()),
        ]);
    }

    return $made;
};
printf("Intervals that hold the true figure, of %d rounds; 95 %% is what they say\n", $rounds);
$true = $figures(Report::of($cohort(60_000), $bands, 5));
foreach ([10, 15, 30, 60] as $pairs) {
    $held = $asked = [];
    for ($round = 0; $round < $rounds; $round++) {
        $report = Report::of($cohort($pairs), $bands, 5);
        foreach ($report->intervals as $key => $interval) {
            foreach (
                $key === 'limits'
                    ? ['limit_low' => $interval[0], 'limit_high' => $interval[1]]
                    : [$key => $interval] as $of => [$low, $high]
            ) {
                $asked[$of] = ($asked[$of] ?? 0) + 1;
                $held[$of] = ($held[$of] ?? 0) + ($low <= $true[$of] && $true[$of] <= $high ? 1 : 0);
            }
        }
    }
    printf('  %d pairs:', $pairs);
    foreach ($held as $key => $times) {
        printf(
            ' %s %.1f%s', $key, 100 * $times / $asked[$key],
            $asked[$key] < $rounds ? " (given {$asked[$key]} times)" : '',
        );
    }
    echo "\n";
}
echo "ICC2 where the two markers are themselves drawn from many who differ\n";
foreach ([1.0, 3.0, 6.0] as $differ) {
    foreach ([10, 100] as $pairs) {
        $held = 0;
        for ($round = 0; $round < $rounds; $round++) {
            [$low, $high] = Intraclass::of(
                $cohort($pairs, $differ * $normal(), $differ * $normal())
            )->intervals['ICC2'];
            $icc = 100 / (100 + $differ ** 2 + 25.083);
            $held += $low <= $icc && $icc <= $high ? 1 : 0;
        }
        printf("  by %.0f marks, %d pairs: %.1f\n", $differ, $pairs, 100 * $held / $rounds);
    }
}

$times = max(50, intdiv($rounds, 4));
printf("A sample of 400 scripts, fails, tops and near marks chosen, a quarter of the rest drawn: %d cohorts\n", $times);
$lies = ['m0' => 5.0, 'm1' => 0.0, 'm2' => -2.0, 'm3' => -3.0];
$held = $sums = [];
for ($round = 0; $round < $times; $round++) {
    $all = $sample = $rest = [];
    for ($n = 0; $n < 400; $n++) {
        $markers = ['m'.$n % 4, 'm'.($n + 1 + intdiv($n, 4) % 3) % 4];
        $script = 58 + 9 * $normal();
        $marks = [];
        foreach ($markers as $one) {
            $marks[$one] = $mark($script + $lies[$one] + 5 * $normal());
        }
        $all[$n] = new MarkedScript("s{$n}", $marks);
        $first = $marks[$markers[0]];
        $near = min(array_map(fn (float $line) => abs($first - $line), $bands)) <= 1;
        $near || $first < 40 || $first >= 70 ? $sample[] = $all[$n] : $rest[$markers[0]][] = $n;
    }
    foreach ($rest as $own) {
        $take = (int) ceil(count($own) / 4);
        foreach (array_slice($random->shuffleArray($own), 0, $take) as $n) {
            $sample[] = new MarkedScript("s{$n}", $all[$n]->marks, count($own) / $take);
        }
    }
    $whole = Report::of($all, $bands, 5);
    $part = Report::of($sample, $bands, 5);
    $of = $figures($whole);
    foreach (['mean_difference', 'within_tolerance', 'kappa', 'kappa_weighted', 'alpha_interval', 'ICC1'] as $key) {
        [$low, $high] = $part->intervals[$key];
        $held[$key] = ($held[$key] ?? 0) + ($low <= $of[$key] && $of[$key] <= $high ? 1 : 0);
    }
    $chosen = array_values(array_filter($sample, fn (MarkedScript $one) => $one->weight === 1.0));
    $drawn = array_values(array_filter($sample, fn (MarkedScript $one) => $one->weight > 1.0));
    foreach (['weighted' => $sample, 'drawn alone' => $drawn, 'chosen alone' => $chosen] as $how => $scripts) {
        $plain = $how === 'weighted'
            ? $scripts
            : array_map(fn (MarkedScript $one) => new MarkedScript($one->script, $one->marks), $scripts);
        $sums[$how]['severity of +5'] = (
            $sums[$how]['severity of +5'] ?? 0
        ) + MarkerEffects::of($plain)->markers['m0']['effect'];
        $sums[$how]['ICC1'] = ($sums[$how]['ICC1'] ?? 0) + Intraclass::of($plain)->figures['ICC1'];
    }
    $sums['whole cohort']['severity of +5'] = (
        $sums['whole cohort']['severity of +5'] ?? 0
    ) + $whole->effects->markers['m0']['effect'];
    $sums['whole cohort']['ICC1'] = ($sums['whole cohort']['ICC1'] ?? 0) + $of['ICC1'];
    foreach ($lies as $one => $lie) {
        [$low, $high] = $part->effects->markers[$one]['interval'];
        $held["true severity of {$one}"] = (
            $held["true severity of {$one}"] ?? 0
        ) + ($low <= $lie && $lie <= $high ? 1 : 0);
    }
}
foreach ($held as $key => $n) {
    printf("  %s within the sample's interval: %.1f\n", $key, 100 * $n / $times);
}
foreach ($sums as $how => $both) {
    printf(
        "  %s: severity of +5 comes out as %.2f, ICC1 as %.3f\n", $how, $both['severity of +5'] / $times,
        $both['ICC1'] / $times,
    );
}

printf("Who stands out: six markers, 25 scripts a pair of them, noise 5: %d cohorts\n", $times);
foreach (['nobody differs' => [], 'one 5 marks harsher' => ['m0' => -5.0]] as $case => $lie) {
    $right = $wrong = 0;
    for ($round = 0; $round < $times; $round++) {
        $made = [];
        for ($n = 0; $n < 75; $n++) {
            $script = 58 + 9 * $normal();
            $two = ['m'.$n % 6, 'm'.($n + 1 + intdiv($n, 6) % 5) % 6];
            $made[] = new MarkedScript("s{$n}", array_combine($two, array_map(
                fn (string $one) => $mark($script + ($lie[$one] ?? 0) + 5 * $normal()), $two,
            )));
        }
        $out = array_keys(
            array_filter(StandingOut::of(MarkerEffects::of($made))->markers, fn (array $one) => $one['out'])
        );
        $right += in_array('m0', $out, true) && $lie !== [] ? 1 : 0;
        $wrong += array_diff($out, array_keys($lie)) !== [] ? 1 : 0;
    }
    printf("  %s: found %.1f, someone else named %.1f\n", $case, 100 * $right / $times, 100 * $wrong / $times);
}

$times = max(50, intdiv($rounds, 4));
printf("Within a sitting: evenings of 25 scripts, %d rounds\n", $times);
$evening = function (int $day, string $how, float $fall, float $sd) use ($normal): array {
    $done = [];
    for ($n = 0; $n < 25; $n++) {
        $late = $how === 'late' && $n >= 20;
        $section = $how === 'blocks' ? ($n < 12 ? 'A' : 'B') : '';
        $made = 58 + $sd * $normal() - $fall * $n - ($late ? 8 : 0) - ($section === 'B' ? 6 : 0);
        $done[] = new Completion($day * 86_400 + 900 * $n, round(max(0.0, min(100.0, $made))), $section, ! $late);
    }

    return $done;
};
foreach (
    ['late' => 'late work, 8 marks worse, last', 'blocks' => 'a section 6 marks weaker in a block'] as $how => $says
) {
    $alarms = 0;
    for ($round = 0; $round < $times; $round++) {
        $alarms += Drift::of([...$evening(0, $how, 0, 10), ...$evening(1, $how, 0, 10)], $round)->p <= 0.05 ? 1 : 0;
    }
    printf("  %s: false alarms %.1f of 100\n", $says, 100 * $alarms / $times);
}
foreach ([[2, 6.0], [4, 6.0], [8, 6.0], [8, 10.0]] as [$evenings, $sd]) {
    $found = $stated = 0;
    for ($round = 0; $round < $times; $round++) {
        $drift = Drift::of(
            array_merge(...array_map(fn (int $day) => $evening($day, '', Drift::FALL, $sd), range(0, $evenings - 1))),
            $round,
        );
        $found += $drift->p <= 0.05 ? 1 : 0;
        $stated += $drift->power(1) ?? 0;
    }
    printf(
        "  a fall of 5 over 25, %d evenings, marks with deviation %.0f: found %.0f, stated %.0f of 100\n", $evenings,
        $sd, 100 * $found / $times, 100 * $stated / $times,
    );
}
