<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\RailStop;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;
use YoungHarbor\Core\Rubric\ScoreWorking;
use YoungHarbor\Core\Rubric\WeightBalance;

final class RubricTest extends TestCase
{
    /**
     * @return array<string, mixed>
     */
    private static function document(): array
    {
        return ['title' => 'Mixed', 'weighting' => 'percent', 'decimals' => 1, 'criteria' => [
            ['id' => 'a', 'title' => 'A', 'weight' => '40', 'kind' => 'levels', 'optional' => true, 'overrides' => ['l1' => '1'], 'levels' => [
                ['id' => 'l1', 'title' => 'low', 'points' => '0'],
                ['id' => 'l2', 'title' => 'high', 'points' => '5', 'upto' => '7'],
            ]],
            ['id' => 'b', 'weight' => '35', 'kind' => 'scale', 'min' => '0', 'max' => '10', 'step' => '0.5'],
            [
                'id' => 'c', 'weight' => '25', 'kind' => 'checklist',
                'items' => [
                    ['id' => 's1', 'title' => 'one', 'points' => '2'],
                    ['id' => 's2', 'title' => 'two', 'points' => '3'],
                ],
            ],
            ['id' => 'd', 'weight' => '0', 'kind' => 'comment'],
        ]];
    }

    public function test_the_total_worked_by_hand(): void
    {
        // 40 × 5/7 = 28.571428…, 35 × 7.5/10 = 26.25, 25 × 3/5 = 15: 69.821428… rounds once to 69.8.
        $score = Scorer::score(
            Rubric::fromArray(self::document()),
            ['a' => ['level' => 'l2', 'points' => '5'], 'b' => ['points' => '7.5'], 'c' => ['done' => ['s2']]],
        );

        self::assertSame('69.8', (string) $score->total);
        self::assertTrue($score->isComplete());
        self::assertSame(
            ['28.571428', '26.25', '15'], array_map(fn ($line) => Figure::cut($line->contribution), $score->lines),
        );
    }

    public function test_what_is_missing_is_named_and_counts_zero(): void
    {
        $score = Scorer::score(
            Rubric::fromArray(self::document()), ['a' => ['level' => 'l2'], 'b' => ['points' => '10']],
        );

        self::assertSame('35.0', (string) $score->total);
        self::assertSame(['a', 'c'], array_map(fn ($criterion) => $criterion->id(), $score->missing()));
    }

    public function test_a_criterion_that_does_not_apply_drops_out_and_the_rest_is_rescaled(): void
    {
        $score = Scorer::score(
            Rubric::fromArray(self::document()),
            ['a' => ['not_applicable' => true], 'b' => ['points' => '5'], 'c' => ['done' => []]],
        );

        // 35 of the remaining 60 is 58.333… %, and half of it is 29.1666…
        self::assertSame('29.2', (string) $score->total);
        self::assertStringContainsString(
            'rescaled',
            json_encode(
                ScoreWorking::of($score, Rubric::fromArray(self::document())->weighting, 1)->toArray(),
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    /**
     * @return iterable<string, array{array<string, mixed>, string}>
     */
    public static function impossibleMarks(): iterable
    {
        yield 'a criterion of another rubric' => [['z' => ['points' => '1']], 'z: is not a criterion'];
        yield 'an unknown level' => [['a' => ['level' => 'l9']], 'a.level'];
        yield 'points outside the range' => [['a' => ['level' => 'l2', 'points' => '4']], 'must lie from 5 to 7'];
        yield 'own points without a reason' => [['b' => ['points' => '3'], 'a' => ['points' => '3']], 'a.reason'];
        yield 'off the step' => [['b' => ['points' => '3.3']], 'steps of 0.5'];
        yield 'a step done twice' => [['c' => ['done' => ['s1', 's1']]], 'twice'];
        yield 'not applicable on a required criterion' => [['b' => ['not_applicable' => true]], 'only an optional'];
        yield 'a float' => [['b' => ['points' => 3.5]], 'must be a number'];
        yield 'an exponent' => [['b' => ['points' => '1e1']], 'must be a number'];
        yield 'points on a comment' => [['d' => ['points' => '1']], 'd: takes a comment'];
    }

    /**
     * @param  array<string, mixed>  $marks
     */
    #[DataProvider('impossibleMarks')]
    public function test_marks_a_criterion_cannot_have_are_refused_by_place(array $marks, string $says): void
    {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage($says);
        Scorer::score(Rubric::fromArray(self::document()), $marks);
    }

    public function test_weights_at_99_5_are_refused_and_the_difference_named(): void
    {
        $document = self::document();
        $document['criteria'][0]['weight'] = '39.5';

        $this->expectExceptionMessage('the weights total 99.5 %, 0.5 short of 100');
        Rubric::fromArray($document);
    }

    public function test_every_fault_is_named_by_its_place(): void
    {
        try {
            Rubric::fromArray(['title' => '', 'weighting' => 'percent', 'levels' => [
                ['id' => 'x', 'points' => '33,33'], ['id' => 'x', 'points' => '٤٠'],
            ], 'criteria' => [
                ['id' => 'a', 'title' => 'Same', 'weight' => '-5', 'kind' => 'levels'],
                ['id' => 'a', 'title' => 'same', 'weight' => '1e2', 'kind' => 'dance'],
            ]]);
            self::fail('A rubric full of faults was taken.');
        } catch (InvalidInput $e) {
            $places = array_map(fn ($fault) => $fault->place, $e->faults);
            foreach (
                [
                    'title', 'levels[0].points', 'levels[1].points', 'levels[1].id', 'criteria[0].weight',
                    'criteria[1].kind', 'criteria[1].id', 'criteria[1].title',
                ] as $place
            ) {
                self::assertContains($place, $places);
            }
        }
    }

    public function test_too_many_criteria_are_refused(): void
    {
        $this->expectExceptionMessage('has 200 entries; at most 100');
        Rubric::fromArray(['title' => 'Huge', 'criteria' => array_fill(0, 200, ['id' => 'a'])]);
    }

    public function test_the_pin_stands_on_levels_and_half_way_between_them(): void
    {
        $criterion = Rubric::fromArray(['title' => 'R', 'levels' => [
            ['id' => 'l1', 'title' => 'Low', 'points' => '0'], ['id' => 'l2', 'title' => 'Mid', 'points' => '5'],
            ['id' => 'l3', 'title' => 'High', 'points' => '8'],
        ],
            'criteria' => [['id' => 'a', 'title' => 'A', 'weight' => '100', 'unused' => []]]])->criteria[0];
        self::assertInstanceOf(LevelCriterion::class, $criterion);

        $stops = RailStop::of($criterion);
        self::assertSame(
            ['0', '2.5', '5', '6.5', '8'], array_map(fn (RailStop $stop) => Figure::plain($stop->points), $stops),
        );
        foreach ($stops as $stop) {
            $choice = RailStop::mark($criterion, $stop->key);
            self::assertTrue($stop->holds($choice));
            self::assertTrue($criterion->points($choice)?->isEqualTo($stop->points));
        }
        $this->expectException(InvalidInput::class);
        RailStop::mark($criterion, 'l1~l3');
    }

    public function test_an_unused_cell_makes_its_neighbours_neighbours(): void
    {
        $criterion = Rubric::fromArray(['title' => 'R', 'levels' => [
            ['id' => 'l1', 'points' => '0'], ['id' => 'l2', 'points' => '5'], ['id' => 'l3', 'points' => '8'],
        ],
            'criteria' => [['id' => 'a', 'title' => 'A', 'weight' => '100', 'unused' => ['l2']]]])->criteria[0];

        self::assertEquals(
            BigDecimal::of('3'), $criterion->points(new CriterionMark(between: ['l1', 'l3'], points: '3')),
        );
        $this->expectExceptionMessage('not used');
        $criterion->points(new CriterionMark(level: 'l2'));
    }

    public function test_spreading_makes_the_weights_exact_whatever_they_were(): void
    {
        mt_srand(20261123);
        for ($round = 0; $round < 300; $round++) {
            $weights = [];
            for ($i = mt_rand(1, 12); $i > 0; $i--) {
                $weights[] = BigDecimal::ofUnscaledValue(mt_rand(0, 2000), 2);
            }
            $spread = WeightBalance::spread($weights);
            self::assertTrue(
                $spread === $weights || WeightBalance::of($spread)->isExact(),
                implode(' ', array_map(strval(...), $weights)),
            );
        }
        self::assertSame(
            ['33.34', '33.33', '33.33'],
            array_map(
                strval(...), WeightBalance::spread([BigDecimal::of('0'), BigDecimal::of('0'), BigDecimal::of('0')]),
            ),
        );
        self::assertSame(
            ['60', '20', '20'],
            array_map(
                Figure::plain(...),
                WeightBalance::spread([BigDecimal::of('60'), BigDecimal::of('0'), BigDecimal::of('0')]),
            ),
        );
    }

    /**
     * Contributions and totals of random rubrics against sums of fractions kept as whole numbers (GMP-free, by hand).
     */
    public function test_random_rubrics_against_fractions_worked_here(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            $n = mt_rand(1, 6);
            $cuts = array_fill(0, $n, 1);
            for ($i = 10000 - $n; $i > 0; $i--) {
                $cuts[mt_rand(0, $n - 1)]++;
            }
            $criteria = [];
            $marks = [];
            $numerator = 0;
            $denominator = 1;
            foreach ($cuts as $i => $hundredths) {
                $max = mt_rand(1, 12);
                $points = mt_rand(0, $max);
                $criteria[] = [
                    'id' => "c{$i}", 'weight' => sprintf('%d.%02d', intdiv($hundredths, 100), $hundredths % 100),
                    'kind' => 'scale', 'max' => (string) $max,
                ];
                $marks["c{$i}"] = ['points' => (string) $points];
                $numerator = $numerator * $max + $hundredths * $points * $denominator;
                $denominator *= $max;
            }
            // total = numerator ÷ denominator hundredths; half up to one decimal is to the nearest ten hundredths.
            $tenths = intdiv(2 * $numerator + 10 * $denominator, 20 * $denominator);
            $score = Scorer::score(Rubric::fromArray(['title' => 'Random', 'criteria' => $criteria]), $marks);
            self::assertSame(sprintf('%d.%d', intdiv($tenths, 10), $tenths % 10), (string) $score->total);
        }
    }
}
