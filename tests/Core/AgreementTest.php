<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Agreement\Alpha;
use YoungHarbor\Core\Agreement\Intraclass;
use YoungHarbor\Core\Agreement\Kappa;
use YoungHarbor\Core\Agreement\MarkedScript;
use YoungHarbor\Core\Agreement\MarkerEffects;
use YoungHarbor\Core\Agreement\Pairs;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Agreement\Scale;
use YoungHarbor\Core\Formats\MarksCsv;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Figures on agreement against published worked examples, and marker effects against R 4 (lm with sum contrasts).
 */
final class AgreementTest extends TestCase
{
    /** K. Krippendorff, "Computing Krippendorff's Alpha-Reliability", 2011: four observers, twelve units. */
    public function test_alpha_is_krippendorff_s(): void
    {
        $rows = [
            'A' => '1 2 3 3 2 1 4 1 2 . . .', 'B' => '1 2 3 3 2 2 4 1 2 5 . 3', 'C' => '. 3 3 3 2 3 4 2 2 5 1 .',
            'D' => '1 2 3 3 2 4 4 1 2 5 1 .',
        ];
        $units = [];
        foreach ($rows as $observer => $row) {
            foreach (explode(' ', $row) as $n => $value) {
                $value === '.' || $units[$n][$observer] = (float) $value;
            }
        }
        $scripts = self::scripts($units);
        foreach (['nominal' => 0.743, 'ordinal' => 0.815, 'interval' => 0.849, 'ratio' => 0.797] as $scale => $alpha) {
            self::assertEqualsWithDelta($alpha, Alpha::of($scripts, Scale::from($scale)), 0.0005, $scale);
        }
        self::assertNull(Alpha::of(self::scripts([['A' => 3.0, 'B' => 3.0]]), Scale::Interval), 'nothing differs');
        self::assertNull(Alpha::of(self::scripts([['A' => 3.0], ['B' => 4.0]]), Scale::Interval), 'nothing is shared');
    }

    /** P. E. Shrout, J. L. Fleiss, Psychological Bulletin 86, 1979, table 4. */
    public function test_intraclass_correlations_are_those_of_shrout_and_fleiss(): void
    {
        $targets = [[9, 2, 5, 8], [6, 1, 3, 2], [8, 4, 6, 8], [7, 1, 2, 6], [10, 5, 6, 9], [6, 2, 4, 7]];
        $scripts = self::scripts(array_map(
            fn (array $row) => array_combine(['1', '2', '3', '4'], array_map(floatval(...), $row)), $targets,
        ));
        $published = [
            'ICC1' => 0.17, 'ICC2' => 0.29, 'ICC3' => 0.71, 'ICC1k' => 0.44, 'ICC2k' => 0.62, 'ICC3k' => 0.91,
        ];
        foreach ($published as $key => $value) {
            self::assertEqualsWithDelta($value, Intraclass::of($scripts)->figures[$key], 0.005, $key);
        }
        $some = [...$scripts, new MarkedScript('x', ['1' => 3.0, '2' => 4.0])];
        self::assertSame('scripts have unequal numbers of marks', Intraclass::of($some)->why['ICC1']);
        $other = self::scripts([['a' => 1.0, 'b' => 2.0], ['a' => 4.0, 'c' => 3.0], ['b' => 2.0, 'c' => 6.0]]);
        self::assertSame('not every script has the same markers', Intraclass::of($other)->why['ICC2']);
        self::assertNotNull(Intraclass::of($other)->figures['ICC1']);
    }

    /** J. M. Bland, D. G. Altman, Lancet 1986; the table from memory, which reproduces both printed figures. */
    public function test_limits_of_agreement_are_those_of_bland_and_altman(): void
    {
        $wright = [494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427];
        $mini = [512, 430, 520, 428, 500, 600, 364, 380, 658, 445, 432, 626, 260, 477, 259, 350, 451];
        $pairs = Pairs::of(self::scripts(array_map(
            fn (int $a, int $b) => ['wright' => (float) $a, 'mini' => (float) $b], $wright, $mini,
        )));
        self::assertEqualsWithDelta(-2.1, $pairs->meanDifference(), 0.05);
        self::assertEqualsWithDelta(38.8, $pairs->sdDifference(), 0.05);
        // Printed with 2 for 1.96: −79.7 and 75.5; and the 95 % interval of the mean, −22.0 to 17.8.
        self::assertEqualsWithDelta(-2.1 - 1.96 * 38.8, $pairs->limits()[0] ?? 0, 0.1);
        self::assertEqualsWithDelta(-22.0, $pairs->meanInterval()[0] ?? 0, 0.1);
        self::assertEqualsWithDelta(17.8, $pairs->meanInterval()[1] ?? 0, 0.1);
    }

    public function test_kappas_are_worked_by_hand(): void
    {
        // 2 × 2: 20, 5, 10, 15 of 50. Observed 0.7, by chance 0.5: 0.4. Squared distances of two bands: the same.
        $pairs = [
            ...array_fill(0, 20, [0, 0]), ...array_fill(0, 5, [0, 1]), ...array_fill(0, 10, [1, 0]),
            ...array_fill(0, 15, [1, 1]),
        ];
        $even = array_fill(0, 50, 1.0);
        self::assertEqualsWithDelta(0.4, Kappa::of($pairs, $even, false), 1e-12);
        self::assertEqualsWithDelta(0.4, Kappa::of($pairs, $even, true), 1e-12);
        // Three bands, one of each at the corners and the middle: disagreement 4, 1; by chance (by hand) 1.5 a pair.
        $three = [[0, 0], [1, 1], [2, 2], [0, 2]];
        self::assertEqualsWithDelta(1 - (4 / 4) / (26 / 16), Kappa::of($three, [1.0, 1.0, 1.0, 1.0], true), 1e-12);
        self::assertNull(Kappa::of([[1, 1], [1, 1]], [1.0, 1.0], false), 'chance alone leaves no disagreement');
        // A weight of two is the same as standing there twice.
        self::assertEqualsWithDelta(
            Kappa::of([...$three, [0, 2]], [1.0, 1.0, 1.0, 1.0, 1.0], true),
            Kappa::of($three, [1.0, 1.0, 1.0, 2.0], true),
            1e-12,
        );
    }

    public function test_marker_effects_are_least_squares_on_an_unbalanced_design(): void
    {
        $effects = MarkerEffects::of(self::scripts([
            ['a' => 60.0, 'b' => 64.0], ['a' => 55.0, 'b' => 52.0], ['b' => 70.0, 'c' => 61.0],
            ['c' => 48.0, 'a' => 50.0],
            ['a' => 66.0],
        ]));
        // lm(mark ~ script + C(marker, sum)): 0.9333, 2.7333, −3.6667 with 1.7944, 1.7944, 2.1448.
        foreach (
            [
                'a' => [0.933333, 1.794436], 'b' => [2.733333, 1.794436], 'c' => [-3.666667, 2.144761],
            ] as $marker => [$effect, $se]
        ) {
            self::assertEqualsWithDelta($effect, $effects->markers[$marker]['effect'], 1e-6);
            self::assertEqualsWithDelta($se, $effects->markers[$marker]['se'], 1e-6);
        }
        self::assertTrue($effects->isConnected());
        // With weights 1, 4, 2, 1, 2: lm(…, weights = w).
        $weighted = MarkerEffects::of([
            new MarkedScript('s1', ['a' => 60.0, 'b' => 64.0]), new MarkedScript('s2', ['a' => 55.0, 'b' => 52.0], 4),
            new MarkedScript('s3', ['b' => 70.0, 'c' => 61.0], 2), new MarkedScript('s4', ['c' => 48.0, 'a' => 50.0]),
            new MarkedScript('s5', ['a' => 66.0, 'b' => 63.0], 2),
        ]);
        self::assertEqualsWithDelta(2.898551, $weighted->markers['a']['effect'], 1e-6);
        self::assertEqualsWithDelta(1.681159, $weighted->markers['b']['effect'], 1e-6);
        self::assertGreaterThan(0, $weighted->markers['a']['se']);
    }

    public function test_sets_that_share_no_script_are_told_apart_and_not_compared(): void
    {
        $effects = MarkerEffects::of(self::scripts([
            ['a' => 60.0, 'b' => 64.0], ['c' => 20.0, 'd' => 22.0], ['e' => 70.0],
        ]));
        self::assertFalse($effects->isConnected());
        self::assertSame(2, $effects->sets);
        self::assertEqualsWithDelta(-2, $effects->markers['a']['effect'], 1e-9);
        self::assertEqualsWithDelta(1, $effects->markers['d']['effect'], 1e-9);
        self::assertSame([0.0, null], [$effects->markers['e']['effect'], $effects->markers['e']['se']]);
        self::assertNull($effects->markers['a']['se'], 'no degree of freedom is left');
    }

    public function test_figures_that_cannot_be_given_say_why(): void
    {
        $report = Report::of(self::scripts([['a' => 60.0], ['b' => 61.0]]), [40.0], 5);
        self::assertNull($report->figures['mean_difference']);
        self::assertSame('no script was marked by exactly two', $report->why['mean_difference']);
        self::assertSame('fewer than two scripts have more than one mark', $report->why['ICC1']);
        $equal = Report::of(self::scripts([['a' => 60.0, 'b' => 60.0], ['a' => 60.0, 'b' => 60.0]]), [40.0], 5);
        self::assertSame('all marks lie in one band, so chance alone would agree', $equal->why['kappa']);
        self::assertSame('the marks do not differ', $equal->why['ICC1']);
        self::assertSame([1.0, 1.0], [$equal->figures['within_tolerance'], $equal->figures['same_band']]);
    }

    public function test_a_table_is_read_by_part_and_chance_and_faults_are_told_by_line(): void
    {
        $scripts = MarksCsv::markedScripts(
            "script,marker,mark,part,chance\ns1,b,64,second,0.5\ns1,a,60,first,0.5\ns2,a,,first,1\n"
        );
        self::assertCount(1, $scripts);
        self::assertSame([['a' => 60.0, 'b' => 64.0], 2.0], [$scripts[0]->marks, $scripts[0]->weight]);
        try {
            MarksCsv::markedScripts("script,marker,mark,chance\ns1,a,60,0\ns1,a,61,0.5\ns2,a,sixty,1\n");
            self::fail('Faults are told.');
        } catch (InvalidInput $e) {
            self::assertSame([
                'line 2: chance must be a number above 0 and at most 1, not "0"', 'line 3: s1 has two chances',
                'line 3: a has marked s1 already',
                'line 4: mark must be a number from 0 to 100 such as 62.5, not "sixty"',
            ], array_map(strval(...), $e->faults));
        }
    }

    /**
     * @param  array<int, array<array-key, float>>  $rows
     * @return list<MarkedScript>
     */
    private static function scripts(array $rows): array
    {
        return array_map(
            fn (array $marks, int $n) => new MarkedScript("s{$n}", $marks), array_values($rows),
            array_keys(array_values($rows)),
        );
    }
}
