<?php

declare(strict_types=1);

/*
 * What docs/peer-review.md says of combining peers' marks: errors of the four ways, how often the intervals of
 * reliability hold, what a coalition moves.   php tests/Simulations/peers.php [rounds]
 * True marks are normal around 60 with a standard deviation of 10; a reviewer's bias is normal around 0; the spread of
 * their errors is one of a list. Everyone reviews k and is reviewed by k. The seed is fixed.
 */

use Brick\Math\BigDecimal;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Peers\Combining;
use YoungHarbor\Core\Peers\Method;
use YoungHarbor\Core\Peers\PeerMark;
use YoungHarbor\Core\Peers\Reliability;

require __DIR__.'/../../vendor/autoload.php';
$rounds = max(1, (int) ($argv[1] ?? 200));
$dice = new Randomizer(new Mt19937(20));
$uniform = fn (): float => ($dice->getInt(1, 1 << 30) - 0.5) / (1 << 30);
$normal = fn (): float => sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
$ways = ['median' => Method::Median, 'mean' => Method::Mean, 'trimmed' => Method::Trimmed];

/**
 * @param  list<PeerMark>  $peers
 * @param  array<string, float>  $known
 * @return array<string, array<string, array{float, float|null, float|null}>> by way and script: mark, from, to
 */
$combine = function (array $peers, array $known) use ($ways): array {
    $by = $found = [];
    foreach ($peers as $one) {
        $by[$one->script][] = $one;
    }
    foreach ($ways as $name => $way) {
        foreach (Combining::exact($by, $way, 3) as $one) {
            $found[$name][$one->script] = [$one->mark->toFloat(), null, null];
        }
    }
    foreach (Reliability::of($peers, $known, 3)['marks'] as $one) {
        $found['reliability'][$one->script] = [$one->mark->toFloat(), $one->low, $one->high];
    }

    return $found;
};
$mark = fn (float $is): BigDecimal => BigDecimal::of(number_format(max(0, min(100, $is)), 1, '.', ''));

/**
 * One cohort: true marks, and peers' marks without and with what a coalition adds.
 *
 * @param  list<float>  $spreads
 * @return array{array<string, float>, list<PeerMark>, list<PeerMark>}
 */
$cohort = function (
    int $scripts, int $each, array $spreads, float $bias, float $careless, float $friend, float $all = 0,
) use ($dice, $normal, $mark): array {
    $true = $honest = $bent = $reviewers = [];
    for ($n = 0; $n < $scripts; $n++) {
        $true["s{$n}"] = 60 + 10 * $normal();
        $reviewers[$n] = [$all + $bias * $normal(), $spreads[$dice->getInt(0, count($spreads) - 1)]];
    }
    $places = $dice->shuffleArray(range(0, $scripts - 1));
    foreach ($dice->pickArrayKeys(array_fill(1, $scripts - 1, true), $each) as $away) {
        foreach ($places as $at => $r) {
            $s = $places[($at + $away) % $scripts];
            $is = $r < $careless * $scripts
                ? 65 + 3 * $normal()
                : $true["s{$s}"] + $reviewers[$r][0] + $reviewers[$r][1] * $normal();
            $honest[] = new PeerMark("r{$r}", "s{$s}", $mark($is));
            $bent[] = new PeerMark("r{$r}", "s{$s}", $mark($is + ($r % 5 === 0 && $s % 5 === 0 ? $friend : 0)));
        }
    }

    return [$true, $honest, $bent];
};

$cases = [];
foreach ([2, 3, 4, 5, 6] as $k) {
    $cases["mixed reviewers, k = {$k}"] = [60, $k, [3, 6, 16], 6, 0, 0];
}
$cases += [
    'all alike, no bias, k = 4' => [60, 4, [8], 0, 0, 0],
    'all alike, biased, k = 4' => [60, 4, [8], 6, 0, 0],
    'mixed, 20 scripts, k = 4' => [20, 4, [3, 6, 16], 6, 0, 0],
    'mixed, 8 scripts, k = 3' => [8, 3, [3, 6, 16], 6, 0, 0],
    'a quarter careless, k = 4' => [60, 4, [5], 4, 0.25, 0],
    'a coalition of a fifth, k = 4' => [60, 4, [6], 4, 0, 15],
    'everybody 6 too high, k = 4' => [60, 4, [3, 6, 16], 6, 0, 0, 6],
];
echo "root mean square error in marks; how often the interval of reliability held the true mark, its median width\n";
printf("%-32s %7s %7s %7s %11s %8s %6s %6s\n", '', 'median', 'mean', 'trimmed', 'reliability', 'to mean', 'held', 'width');
foreach ($cases as $name => $case) {
    foreach (str_contains($name, 'everybody') ? [0, 6] : [0] as $staff) {
        $squares = array_fill_keys([...array_keys($ways), 'reliability'], 0.0);
        $held = $count = 0;
        $widths = [];
        for ($n = 0; $n < $rounds; $n++) {
            [$true, , $peers] = $cohort(...$case);
            $known = array_slice($true, 0, $staff, true);
            foreach ($combine($peers, $known) as $way => $found) {
                foreach ($found as $script => [$is, $low, $high]) {
                    if (isset($known[$script])) {
                        continue;
                    }
                    $squares[$way] += ($is - $true[$script]) ** 2;
                    if ($low !== null && $high !== null) {
                        $count++;
                        $held += $low <= $true[$script] && $true[$script] <= $high ? 1 : 0;
                        $widths[] = $high - $low;
                    }
                }
            }
        }
        sort($widths);
        $error = array_map(fn (float $one) => sqrt($one / $count), $squares);
        printf(
            "%-32s %7.2f %7.2f %7.2f %11.2f %8.2f %6.1f %6.1f\n", $staff === 0 ? $name : "  … {$staff} marked by staff",
            $error['median'], $error['mean'], $error['trimmed'], $error['reliability'],
            $error['reliability'] / $error['mean'], 100 * $held / $count, $widths[intdiv(count($widths), 2)],
        );
    }
}

echo "\na fifth mark each other 15 up: scripts of theirs that move by more than 5 marks, of 100; all they move on average\n";
foreach ([3, 4, 6] as $k) {
    $moved = array_fill_keys([...array_keys($ways), 'reliability'], [0, 0.0, 0]);
    for ($n = 0; $n < $rounds; $n++) {
        [, $honest, $bent] = $cohort(60, $k, [6], 4, 0, 15);
        [$before, $after] = [$combine($honest, []), $combine($bent, [])];
        foreach ($moved as $way => [$many, $sum, $of]) {
            foreach ($after[$way] as $script => [$is]) {
                if ((int) substr($script, 1) % 5 === 0) {
                    $by = $is - $before[$way][$script][0];
                    $moved[$way] = [$moved[$way][0] + ($by > 5 ? 1 : 0), $moved[$way][1] + $by, $moved[$way][2] + 1];
                }
            }
        }
    }
    printf('k = %d:', $k);
    foreach ($moved as $way => [$many, $sum, $of]) {
        printf('  %s %.1f (%.2f)', $way, 100 * $many / $of, $sum / $of);
    }
    echo "\n";
}
