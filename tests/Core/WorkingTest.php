<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;
use YoungHarbor\Core\Rubric\ScoreWorking;
use YoungHarbor\Core\Rubric\Weighting;

final class WorkingTest extends TestCase
{
    public function test_a_cut_figure_says_that_it_is_cut(): void
    {
        self::assertSame('28.5714…', Figure::shown(BigRational::of('200/7')));
        self::assertSame('26.25', Figure::shown(BigRational::of('105/4')));
        self::assertSame('0', Figure::plain(BigDecimal::of('0.00')));
        self::assertSame('28.571428', Figure::cut(BigRational::of('200/7')));
    }

    public function test_the_lines_of_a_working_lead_from_points_to_total(): void
    {
        $rubric = Rubric::fromArray(['title' => 'R', 'decimals' => 0, 'criteria' => [
            ['id' => 'a', 'title' => 'A', 'weight' => '33.33', 'kind' => 'scale', 'max' => '3', 'optional' => true],
            ['id' => 'b', 'title' => 'B', 'weight' => '66.67', 'kind' => 'scale', 'max' => '4'],
        ]]);
        $lines = ScoreWorking::of(
            Scorer::score($rubric, ['a' => ['points' => '2'], 'b' => []]), Weighting::Percent, 0,
        )->toArray();

        self::assertSame([
            ['what' => 'A', 'how' => '2 of 3 × 33.33 %', 'result' => '22.22'],
            ['what' => 'B', 'how' => 'not yet marked', 'result' => '0'],
            ['what' => 'Total', 'how' => 'sum 22.22, rounded half up to 0 decimals', 'result' => '22 of 100'],
        ], $lines);
    }

    public function test_levels_that_stop_short_of_100_say_what_they_count_as(): void
    {
        $of = fn (string $most): string => ScoreWorking::of(
            Scorer::score(
                Rubric::fromArray(
                    [
                        'title' => 'R',
                        'levels' => [
                            ['id' => 'l', 'title' => 'Low', 'points' => '35'],
                            ['id' => 'h', 'title' => 'High', 'points' => $most],
                        ],
                        'criteria' => [['id' => 'a', 'title' => 'A', 'weight' => '100']],
                    ]
                ),
                ['a' => ['level' => 'l']],
            ),
            Weighting::Percent, 1,
        )->toArray()[0]['how'];
        self::assertSame(
            ['35 of 85 (85 counts as 100 %) × 100 %', '35 of 100 × 100 %', '35 of 40 × 100 %'],
            [$of('85'), $of('100'), $of('40')],
        );
        self::assertSame(
            'sum 41.1764…, rounded half up to 1 decimal',
            ScoreWorking::of(
                Scorer::score(
                    Rubric::fromArray(
                        [
                            'title' => 'R',
                            'levels' => [
                                ['id' => 'l', 'title' => 'Low', 'points' => '35'],
                                ['id' => 'h', 'title' => 'High', 'points' => '85'],
                            ],
                            'criteria' => [['id' => 'a', 'title' => 'A', 'weight' => '100']],
                        ]
                    ),
                    ['a' => ['level' => 'l']],
                ),
                Weighting::Percent, 1,
            )->toArray()[1]['how'],
        );
    }

    public function test_points_weighting_adds_points_and_drops_what_does_not_apply(): void
    {
        $rubric = Rubric::fromArray(['title' => 'R', 'weighting' => 'points', 'decimals' => 1, 'criteria' => [
            ['id' => 'a', 'kind' => 'scale', 'max' => '12', 'step' => '0.5', 'optional' => true],
            [
                'id' => 'b', 'kind' => 'checklist',
                'items' => [
                    ['id' => 's', 'title' => 'step', 'points' => '3'],
                    ['id' => 't', 'title' => 'step', 'points' => '5'],
                ],
            ],
        ]]);
        $score = Scorer::score(
            $rubric, ['a' => ['points' => '7.5'], 'b' => ['done' => ['s'], 'partly' => ['t' => '1.5']]],
        );
        self::assertSame(['12.0', '20'], [(string) $score->total, Figure::plain($score->outOf)]);

        $without = Scorer::score($rubric, ['a' => ['not_applicable' => true], 'b' => ['done' => ['s']]]);
        self::assertSame(['3.0', '8'], [(string) $without->total, Figure::plain($without->outOf)]);
    }

    public function test_half_a_tenth_rounds_up_and_only_once(): void
    {
        // 50 × 0.909 + 50 × 0.91 = 90.95, which rounds up to 91.0; rounding each part first would give 90.9 or 91.0 by
        // luck.
        $rubric = Rubric::fromArray(['title' => 'R', 'criteria' => [
            ['id' => 'a', 'weight' => '50', 'kind' => 'scale', 'max' => '1', 'step' => '0.001'],
            ['id' => 'b', 'weight' => '50', 'kind' => 'scale', 'max' => '1', 'step' => '0.001'],
        ]]);
        self::assertSame(
            '91.0',
            (string) Scorer::score($rubric, ['a' => ['points' => '0.909'], 'b' => ['points' => '0.910']])->total,
        );
        self::assertSame(
            '90.9',
            (string) Scorer::score($rubric, ['a' => ['points' => '0.908'], 'b' => ['points' => '0.910']])->total,
        );
    }

    #[DataProvider('numbers')]
    public function test_only_plain_decimals_are_numbers(mixed $written, ?string $read): void
    {
        $number = Document::parse($written);
        self::assertSame($read, $number === null ? null : (string) $number);
    }

    /**
     * @return list<array{mixed, string|null}>
     */
    public static function numbers(): array
    {
        return [
            ['12', '12'], ['0.5', '0.5'], ['100.000001', '100.000001'], ['007', '7'],
            ['', null], ['.5', null], ['5.', null], ['-1', null], ['+1', null], ['1e2', null], ['33,33', null],
            ['٤٠', null],
            ['1234567', null], ['0.1234567', null], [' 1', null], ["1\n", null], [12, null], [1.5, null], [null, null],
            [['1'], null],
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     */
    #[DataProvider('unusable')]
    public function test_rubrics_that_cannot_give_a_mark_are_refused(array $document, string $says): void
    {
        $this->expectExceptionMessage($says);
        Rubric::fromArray($document + ['title' => 'R']);
    }

    /**
     * @return iterable<string, array{array<string, mixed>, string}>
     */
    public static function unusable(): iterable
    {
        $one = fn (array $criterion): array => [
            'criteria' => [$criterion + ['id' => 'a', 'title' => 'A', 'weight' => '100']],
        ];
        yield 'no criterion' => [['criteria' => []], 'there is no criterion yet'];
        yield 'criteria that are no list' => [['criteria' => 'many'], 'criteria: must be a list'];
        yield 'a criterion that is no object' => [['criteria' => ['x']], 'criteria[0]: must be an object'];
        yield 'no level' => [$one(['kind' => 'levels', 'levels' => []]), 'has no level that can be chosen'];
        yield 'only levels of nothing' => [
            $one(['levels' => [['id' => 'l', 'points' => '0']]]), 'cannot give any points',
        ];
        yield 'a range that falls' => [
            $one(['levels' => [['id' => 'l', 'points' => '5', 'upto' => '4']]]), 'levels[0].upto: must be above',
        ];
        yield 'own points on a range' => [
            $one(['overrides' => ['l' => '3'], 'levels' => [['id' => 'l', 'points' => '5', 'upto' => '7']]]),
            'a level with a range of points cannot have its own',
        ];
        yield 'an override of no level' => [
            $one(['overrides' => ['z' => '3'], 'levels' => [['id' => 'l', 'points' => '5']]]),
            'names a level that does not exist: z',
        ];
        yield 'a scale upside down' => [
            $one(['kind' => 'scale', 'min' => '5', 'max' => '5']), 'must be above the minimum',
        ];
        yield 'a step of nothing' => [$one(['kind' => 'scale', 'max' => '5', 'step' => '0']), 'step: must be above 0'];
        yield 'a title of 10,000 characters' => [
            ['title' => str_repeat('x', 10_000)] + $one(['kind' => 'scale', 'max' => '5']),
            'has 10000 characters; at most 200',
        ];
        yield 'text that is not UTF-8' => [
            ['title' => "caf\xE9"] + $one(['kind' => 'scale', 'max' => '5']), 'not valid UTF-8',
        ];
        yield 'too many levels' => [
            $one(['levels' => array_fill(0, 20, ['id' => 'l', 'points' => '1'])]), 'has 20 entries; at most 12',
        ];
        yield 'odd decimals' => [
            ['decimals' => 9] + $one(['kind' => 'scale', 'max' => '5']), 'decimals: must be a whole number from 0 to 3',
        ];
        yield 'an unknown weighting' => [
            ['weighting' => 'moon'] + $one(['kind' => 'scale', 'max' => '5']), 'weighting: must be',
        ];
    }

    public function test_a_set_in_which_nothing_applies_is_refused(): void
    {
        $rubric = Rubric::fromArray(
            [
                'title' => 'R',
                'criteria' => [['id' => 'a', 'weight' => '100', 'kind' => 'scale', 'max' => '5', 'optional' => true]],
            ]
        );
        $this->expectExceptionMessage('no criterion applies');
        Scorer::score($rubric, ['a' => ['not_applicable' => true]]);
    }
}
