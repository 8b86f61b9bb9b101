<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Agreement\Linking;
use YoungHarbor\Core\Agreement\Power;
use YoungHarbor\Core\Agreement\Sight;
use YoungHarbor\Core\Statistics\StudentT;

/**
 * What planned pairs can see of a marker: against formulas where there are some, and against simulation.
 */
final class SightTest extends TestCase
{
    public function test_two_markers_are_the_paired_t_test(): void
    {
        $linking = Linking::of(['a', 'b'], array_fill(0, 16, ['a', 'b']));
        self::assertSame(15, $linking->degrees());
        self::assertEqualsWithDelta(1 / 4, $linking->error('a'), 1e-12);
        $sight = Sight::of($linking, 'b', 8, 5, 0.05, 0.8);
        self::assertEqualsWithDelta(Power::of(16, 8, 5, 0.05), $sight->power, 1e-9);
        self::assertSame(Power::least(0.8, 8, 5, 0.05) - 16, $sight->more);
    }

    public function test_every_two_of_a_round_alike_is_the_balanced_design(): void
    {
        // Variance of an effect beside the others' mean in a round of k with n scripts a pair: (k − 1) ÷ (k·n) of an
        // effect, times (k ÷ (k − 1))² (H. A. David, "The Method of Paired Comparisons", 1988, chapter 4).
        $pairs = [];
        foreach (range(0, 4) as $a) {
            for ($b = $a + 1; $b < 5; $b++) {
                array_push($pairs, ...array_fill(0, 3, ["m{$a}", "m{$b}"]));
            }
        }
        $linking = Linking::of(['m0', 'm1', 'm2', 'm3', 'm4'], $pairs);
        $effect = 4 / 25 / 3;
        self::assertEqualsWithDelta(sqrt($effect) * 5 / 4, $linking->error('m2'), 1e-12);
        self::assertSame(12, $linking->pairsOf('m2'));
    }

    public function test_effects_are_found_exactly_where_there_is_no_noise_and_unlinked_sets_are_said(): void
    {
        $true = ['a' => 2.0, 'b' => -1.0, 'c' => -1.0, 'd' => 3.0, 'e' => -3.0];
        $pairs = [['a', 'b'], ['b', 'c'], ['c', 'a'], ['d', 'e'], ['d', 'e'], ['f', 'f']];
        $linking = Linking::of(['a', 'b', 'c', 'd', 'e', 'f'], $pairs);
        self::assertSame([['a', 'c', 'b'], ['d', 'e'], ['f']], $linking->sets);
        $differences = array_map(
            fn (array $pair) => [...$pair, $true[$pair[0]] - $true[$pair[1]]], array_slice($pairs, 0, 5),
        );
        $found = $linking->fit($differences);
        foreach ($true as $marker => $effect) {
            self::assertEqualsWithDelta($effect, $found['effects'][$marker], 1e-12);
        }
        self::assertEqualsWithDelta(0, $found['sd'], 1e-12);
        self::assertNull($linking->error('f'));
        $alone = Sight::of($linking, 'f', 8, 5, 0.05, 0.8);
        self::assertSame([null, null], [$alone->power, $alone->more]);
    }

    public function test_the_stated_power_is_what_happens_with_mixed_partners(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(41));
        $markers = array_map(fn (int $k) => "m{$k}", range(0, 6));
        $pairs = [];
        foreach ($markers as $k => $marker) {
            for ($n = 0; $n < 5 + $k % 3; $n++) {
                $pairs[] = [$marker, $markers[($k + 1 + $n % 6) % 7]];
            }
        }
        $linking = Linking::of($markers, $pairs);
        $sd = 8.0;
        $watched = 'm3';
        foreach ([5.0, 9.0, 0.0] as $severity) {
            $stated = $severity === 0.0 ? 0.05 : Sight::of($linking, $watched, $sd, $severity, 0.05, 0.8)->power;
            $line = StudentT::quantile(0.975, $linking->degrees());
            $alarms = 0;
            $runs = 4000;
            for ($run = 0; $run < $runs; $run++) {
                // The others differ among themselves, SD 4; the watched one is so far from their mean.
                $effects = array_map(fn () => 4 * self::normal($random), array_flip($markers));
                unset($effects[$watched]);
                $effects[$watched] = array_sum($effects) / count($effects) - $severity;
                $found = $linking->fit(array_map(
                    fn (array $pair) => [
                        ...$pair, $effects[$pair[0]] - $effects[$pair[1]] + $sd * self::normal($random),
                    ],
                    $pairs,
                ));
                $beside = $found['effects'][$watched] * 7 / 6;
                $alarms += abs($beside / $linking->error($watched) / $found['sd']) > $line ? 1 : 0;
            }
            self::assertEqualsWithDelta($stated, $alarms / $runs, 0.03, "severity {$severity}");
        }
    }

    private static function normal(Randomizer $random): float
    {
        return sqrt(-2 * log($random->getInt(1, 1 << 40) / (1 << 40))) * cos(
            2 * M_PI * $random->getInt(0, 1 << 40) / (1 << 40)
        );
    }
}
