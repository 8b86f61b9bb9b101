<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\BandScale;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Moderation\Settlement;
use YoungHarbor\Core\Moderation\SettleRule;

final class MarksTest extends TestCase
{
    /** Classes: 70, 60, 50, 40. Common practice, no source. */
    private static function classes(): BandScale
    {
        return BandScale::fromArray(['name' => 'Degree classes', 'bands' => [
            ['name' => 'Fail', 'from' => '0'], ['name' => 'Third', 'from' => '40'], ['name' => 'Lower second', 'from' => '50'],
            ['name' => 'Upper second', 'from' => '60'], ['name' => 'First', 'from' => '70'],
        ]]);
    }

    private static function rule(SettleRule $rule = SettleRule::Mean): Settlement
    {
        return new Settlement($rule, BigDecimal::of('5'), BigDecimal::of('40'));
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
        return [['0', 'Fail'], ['39.9', 'Fail'], ['40', 'Third'], ['69.5', 'Upper second'], ['70.0', 'First'], ['100', 'First']];
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
        BandScale::fromArray(['name' => 'Wrong', 'bands' => [['name' => 'A', 'from' => '0'], ['name' => 'B', 'from' => '0']]]);
    }

    public function test_marks_within_the_tolerance_settle_by_the_rule(): void
    {
        $settle = fn (SettleRule $rule, string $first, string $second): ?string => ($settled = self::rule($rule)->byRule(BigDecimal::of($first), BigDecimal::of($second))) === null ? null : (string) $settled->mark->stripTrailingZeros();

        self::assertSame('62.25', $settle(SettleRule::Mean, '60.0', '64.5'));
        self::assertSame('60', $settle(SettleRule::First, '60.0', '64.5'));
        self::assertSame('64.5', $settle(SettleRule::Higher, '60.0', '64.5'));
        self::assertSame('62.5', $settle(SettleRule::Mean, '60.0', '65.0'), 'the tolerance itself is within');
        self::assertNull($settle(SettleRule::Mean, '60.0', '65.1'));
    }

    public function test_nothing_settles_by_itself_across_the_pass_line(): void
    {
        $rule = self::rule();
        self::assertNull($rule->byRule(BigDecimal::of('39.9'), BigDecimal::of('40.0')));
        self::assertSame('on different sides of the pass line at 40', $rule->obstacle(BigDecimal::of('39.9'), BigDecimal::of('40.0')));
        self::assertNotNull($rule->byRule(BigDecimal::of('38'), BigDecimal::of('39.9')));
    }

    public function test_the_mark_is_rounded_once_and_every_step_is_in_the_working(): void
    {
        $settled = self::rule()->byRule(BigDecimal::of('69.8'), BigDecimal::of('70.1'));
        self::assertNotNull($settled);
        $final = FinalMark::of($settled, self::classes(), 1);

        // (69.8 + 70.1) ÷ 2 = 69.95, which rounds half up to 70.0: a First.
        self::assertSame('70.0', (string) $final->mark);
        self::assertSame('First', $final->band->name);
        self::assertSame(['First mark', 'Second mark', 'Settled', 'Rounded', 'Band'], array_column($final->working->toArray(), 'what'));
        self::assertSame(['69.8', '70.1', '69.95', '70.0', 'First'], array_column($final->working->toArray(), 'result'));
    }
}
