<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\OpenMark;
use YoungHarbor\Core\Marking\Panel;
use YoungHarbor\Core\Marking\Rules\RuleName;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SeatMark;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\SettledMark;
use YoungHarbor\Core\Marking\WhyOpen;
use YoungHarbor\Core\Marks\BandScale;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Marks\Lateness;
use YoungHarbor\Core\Marks\LateRule;
use YoungHarbor\Core\Marks\Length;
use YoungHarbor\Core\Marks\LengthRule;
use YoungHarbor\Core\Marks\MarkRules;
use YoungHarbor\Core\Overlap\PartsOfLength;
use YoungHarbor\Core\Text\Words;

final class MarksTest extends TestCase
{
    /** Classes: 70, 60, 50, 40. Common practice, no source. */
    private static function classes(): BandScale
    {
        return BandScale::fromArray(['name' => 'Degree classes', 'bands' => [
            ['name' => 'Fail', 'from' => '0'], ['name' => 'Third', 'from' => '40'],
            ['name' => 'Lower second', 'from' => '50'],
            ['name' => 'Upper second', 'from' => '60'], ['name' => 'First', 'from' => '70'],
        ]]);
    }

    private static function settled(
        string $first, string $second, RuleName $rule = RuleName::Mean,
    ): SettledMark|OpenMark {
        $panel = Panel::of(
            SeatMark::done(Seat::First, BigDecimal::of($first)), SeatMark::done(Seat::Second, BigDecimal::of($second)),
        );

        return $panel->settle(new Scheme(SecondMarks::Every, $rule, BigDecimal::of('5'), BigDecimal::of('40')));
    }

    #[DataProvider('bands')]
    public function test_the_band_is_the_highest_one_reached(string $mark, string $band): void
    {
        self::assertSame($band, self::classes()->bandFor(BigDecimal::of($mark))->name);
    }

    /**
     * @return list<array{string, string}>
     */
    public static function bands(): array
    {
        return [
            ['0', 'Fail'], ['39.9', 'Fail'], ['40', 'Third'], ['69.5', 'Upper second'], ['70.0', 'First'],
            ['100', 'First'],
        ];
    }

    public function test_a_band_says_which_marks_it_covers(): void
    {
        $scale = self::classes();
        self::assertSame('60 to 69.9', $scale->span($scale->bandFor(BigDecimal::of('65')), 1));
        self::assertSame('70 to 100', $scale->span($scale->bandFor(BigDecimal::of('75')), 1));
    }

    public function test_bands_out_of_order_are_refused(): void
    {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('bands[1].from: must be above');
        BandScale::fromArray(
            ['name' => 'Wrong', 'bands' => [['name' => 'A', 'from' => '0'], ['name' => 'B', 'from' => '0']]]
        );
    }

    public function test_marks_within_the_tolerance_settle_by_the_rule(): void
    {
        $settle = function (RuleName $rule, string $first, string $second): ?string {
            $settled = self::settled($first, $second, $rule);

            return $settled instanceof SettledMark ? Figure::exact($settled->mark) : null;
        };
        self::assertSame('62.25', $settle(RuleName::Mean, '60.0', '64.5'));
        self::assertSame('60', $settle(RuleName::First, '60.0', '64.5'));
        self::assertSame('64.5', $settle(RuleName::Higher, '60.0', '64.5'));
        self::assertSame('62.5', $settle(RuleName::Mean, '60.0', '65.0'), 'the tolerance itself is within');
        self::assertNull($settle(RuleName::Mean, '60.0', '65.1'));
    }

    public function test_nothing_settles_by_itself_across_the_pass_line(): void
    {
        $open = self::settled('39.9', '40.0');
        self::assertInstanceOf(OpenMark::class, $open);
        self::assertSame([WhyOpen::AcrossPassLine, '40'], [$open->why, (string) $open->limit]);
        self::assertInstanceOf(SettledMark::class, self::settled('38', '39.9'));
    }

    public function test_the_mark_is_rounded_once_and_every_step_is_in_the_working(): void
    {
        $settled = self::settled('69.8', '70.1');
        self::assertInstanceOf(SettledMark::class, $settled);
        $final = FinalMark::of($settled, self::classes(), 1);

        // (69.8 + 70.1) ÷ 2 = 69.95, which rounds half up to 70.0: a First.
        self::assertSame('70.0', (string) $final->mark);
        self::assertSame('First', $final->band->name);
        self::assertSame(
            ['First mark', 'Second mark', 'Settled', 'Result rounded', 'Band'],
            array_column($final->working->toArray(), 'what'),
        );
        self::assertSame(
            ['69.8', '70.1', '69.95', '70.0', 'First'], array_column($final->working->toArray(), 'result'),
        );
    }

    /** Lateness worked by hand; rules of this form are common practice, no source. */
    #[DataProvider('lateness')]
    public function test_what_lateness_costs(array $rule, string $mark, int $seconds, string $left): void
    {
        $rule = LateRule::fromArray($rule + ['take' => 'points', 'amount' => '5', 'per' => 'day']);

        self::assertSame($left, Figure::cut($rule->apply(BigRational::of($mark), self::late($seconds))));
    }

    /** Work that came in so many seconds after a due time, far from any change of the clocks. */
    private static function late(int $seconds): Lateness
    {
        $due = new DateTimeImmutable('2027-01-12T12:00:00Z');

        return Lateness::between($due, $due->modify("+{$seconds} seconds"), new DateTimeZone('UTC'));
    }

    /** @return iterable<string, array{array<string, mixed>, string, int, string}> */
    public static function lateness(): iterable
    {
        yield 'in time' => [[], '62', 0, '62'];
        yield 'a second late is a started day' => [[], '62', 1, '57'];
        yield 'a day to the second' => [[], '62', 86400, '57'];
        yield 'a day and a second' => [[], '62', 86401, '52'];
        yield 'inside the grace' => [['grace_minutes' => 30], '62', 1800, '62'];
        yield 'after the grace, counted from the due time' => [['grace_minutes' => 30], '62', 1801, '57'];
        yield 'percent of the mark' => [['take' => 'percent', 'amount' => '10', 'per' => 'hour'], '62', 7201, '43.4'];
        yield 'not below the floor' => [['floor' => '40'], '43', 86400 * 9, '40'];
        yield 'a mark below the floor stays' => [['floor' => '40'], '31', 86400, '31'];
        yield 'never below nothing' => [[], '12', 86400 * 9, '0'];
    }

    #[DataProvider('lengths')]
    public function test_what_over_length_costs(array $rule, int $words, string $left): void
    {
        self::assertSame(
            $left,
            Figure::cut(
                LengthRule::fromArray(
                    $rule + ['limit' => 1000, 'amount' => '3', 'step' => 10, 'grace' => 10]
                )->apply(BigRational::of(60), new Length($words))
            ),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, int, string}> */
    public static function lengths(): iterable
    {
        yield 'at the limit' => [[], 1000, '60'];
        yield 'at the end of the grace' => [[], 1100, '60'];
        yield 'one word beyond it: two started tenths over the limit' => [[], 1101, '54'];
        yield 'twice the limit' => [[], 2000, '30'];
        yield 'no grace' => [['grace' => 0], 1001, '57'];
        yield 'a limit that only says so' => [['amount' => '0'], 5000, '60'];
        yield 'never below nothing' => [['amount' => '50'], 3000, '0'];
    }

    public function test_a_pass_that_lateness_takes_away_is_told(): void
    {
        $of = fn (string $agreed, string $result): bool => Scheme::usual()->losesThePass(
            BigDecimal::of($agreed), BigDecimal::of($result),
        );
        self::assertSame(
            [true, false, false, false], [$of('42', '37'), $of('42', '40'), $of('39', '34'), $of('70', '65')],
        );
    }

    public function test_hidden_words_never_count_and_quotations_and_bibliography_as_the_assignment_has_it(): void
    {
        $length = new Length(465, 130, 45, 60);
        foreach (
            [
                [[], 335, '335 words (465, less 130 hidden)'],
                [['quotations' => false], 290, '290 words (465, less 130 hidden, 45 quoted)'],
                [
                    ['quotations' => false, 'bibliography' => false], 230,
                    '230 words (465, less 130 hidden, 45 quoted, 60 in the bibliography)',
                ],
            ] as [$rule, $counted, $words]
        ) {
            $rule = LengthRule::fromArray($rule + ['limit' => 300, 'amount' => '2', 'step' => 10, 'grace' => 0]);
            self::assertSame([$counted, $words], [$rule->counted($length), $rule->countedInWords($length)]);
        }
        self::assertSame(
            '230 words (465, less 130 hidden, 45 quoted, 60 in the bibliography) of 300: 0 started 10 % × 2 marks',
            $rule->working($length),
        );
        self::assertSame(
            '300 words, quotations and the bibliography not counted; beyond that 2 marks off for each started 10 % over the limit',
            $rule->sentence(),
        );
        self::assertSame('900 words', LengthRule::fromArray(['limit' => 900])->sentence());
        self::assertSame(
            '900 words', LengthRule::fromArray(['limit' => 900])->countedInWords(new Length(900, 0, 45, 60)),
        );
    }

    public function test_parts_of_a_length_hold_no_word_twice(): void
    {
        $words = Words::of(
            "The pans “were let by the year” and no one asked. White words here too. They went on.\n\nBibliography\n\nSalt, A. (1901). “On pans”. Quay Press."
        );
        self::assertSame(
            ['hidden' => 4, 'bibliography' => 8, 'quotations' => 5],
            PartsOfLength::of($words, ['White words here too.']),
        );
        self::assertSame(
            ['hidden' => 9, 'bibliography' => 8, 'quotations' => 2],
            PartsOfLength::of($words, ['by the year” and no one', 'asked by nobody']),
            'what cannot be found in the text is counted all the same',
        );
    }

    public function test_lateness_then_length_then_the_cap_and_one_rounding_at_the_end(): void
    {
        $settled = self::settled('67.5', '68.2');
        self::assertInstanceOf(SettledMark::class, $settled);
        $rules = new MarkRules(
            LateRule::fromArray(['take' => 'percent', 'amount' => '5', 'per' => 'day']),
            LengthRule::fromArray(['limit' => 900, 'amount' => '2', 'step' => 10, 'grace' => 5]),
            BigDecimal::of('60'),
        );
        // 67.85 − 5 % = 64.4575; 1000 words of 900 are 2 started tenths: 60.4575; capped: 60.
        $final = FinalMark::of($settled, self::classes(), 1, $rules, self::late(3600), new Length(1000));
        self::assertSame(['60.0', 'Upper second'], [(string) $final->mark, $final->band->name]);
        $lines = array_column($final->working->toArray(), 'result', 'what');
        self::assertSame(['64.4575', '60.4575', '60'], [$lines['Late'], $lines['Over length'], $lines['Capped']]);

        $late = FinalMark::of(
            $settled, self::classes(), 1,
            new MarkRules(LateRule::fromArray(['take' => 'percent', 'amount' => '5', 'per' => 'day'])),
            self::late(3600),
        );
        self::assertSame('64.5', (string) $late->mark, '64.4575 is rounded once, half up');
        self::assertSame(
            '60.0',
            (string) FinalMark::of($settled, self::classes(), 1, $rules, null, new Length(1030, 130, 60, 40))->mark,
            'in time and short enough, only the cap lowers it',
        );
    }

    public function test_a_rule_that_makes_no_sense_is_refused(): void
    {
        foreach (
            [
                ['take' => 'all', 'amount' => '5', 'per' => 'day'],
                ['take' => 'points', 'amount' => '0', 'per' => 'day'],
                ['take' => 'points', 'amount' => '-5', 'per' => 'day'],
                ['take' => 'points', 'amount' => '5', 'per' => 'week'],
                ['take' => 'points', 'amount' => '5', 'per' => 'day', 'grace_minutes' => '1e2'],
                ['take' => 'points', 'amount' => '5', 'per' => 'day', 'cut_off' => -1],
                ['take' => 'points', 'amount' => '5', 'per' => 'day', 'weekends' => 'no'],
            ] as $bad
        ) {
            try {
                LateRule::fromArray($bad);
                self::fail(json_encode($bad, JSON_THROW_ON_ERROR));
            } catch (InvalidInput $e) {
                self::assertNotSame([], $e->faults);
            }
        }
        $this->expectExceptionMessage('limit: must be a whole number');
        LengthRule::fromArray(['limit' => 0]);
    }

    /** Boundary rules as stated on the page: 69.5 is not 70 as it stands, and reaches it when whole marks count. */
    public function test_the_boundary_rule_is_applied_in_one_place(): void
    {
        $whole = BandScale::fromArray(
            [
                'boundary' => 'whole-marks', 'name' => 'Classes',
                'bands' => [
                    ['name' => 'Fail', 'from' => '0'], ['name' => 'Third', 'from' => '40'],
                    ['name' => 'First', 'from' => '70'],
                ],
            ]
        );
        self::assertSame(
            ['First', 'Third', 'Third', 'Fail'],
            array_map(
                fn (string $mark) => $whole->bandFor(BigDecimal::of($mark))->name, ['69.5', '69.49', '39.5', '39.4'],
            ),
        );
        self::assertSame('39.5 to 69.4', $whole->span($whole->bands[1], 1));
        self::assertSame('40 to 69', $whole->span($whole->bands[1], 0));
        self::assertSame('0 to 39.4', $whole->span($whole->bands[0], 1));
    }

    public function test_bands_and_marks_turn_into_each_other(): void
    {
        foreach ((require __DIR__.'/../../config/harbor.bands.php') as $document) {
            $scale = BandScale::fromArray($document);
            foreach ($scale->bands as $band) {
                if ($band->value !== null) {
                    self::assertSame(
                        $band->name, $scale->bandFor($scale->markFor($band->name))->name,
                        "{$scale->name}: there and back",
                    );
                }
                self::assertSame($band->name, $scale->bandFor($band->from)->name);
            }
        }
        $this->expectExceptionMessage('"B9" is not a band');
        self::classes()->markFor('B9');
    }

    public function test_a_band_stands_for_a_mark_inside_it(): void
    {
        $this->expectExceptionMessage('bands[1].value: the number a band stands for must lie in it; 30 is in "Fail"');
        BandScale::fromArray(
            [
                'name' => 'X',
                'bands' => [['name' => 'Fail', 'from' => '0'], ['name' => 'Pass', 'from' => '40', 'value' => '30']],
            ]
        );
    }
}
