<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\SettledMark;
use YoungHarbor\Core\Marks\Adjustment;
use YoungHarbor\Core\Marks\BandScale;
use YoungHarbor\Core\Marks\Correction;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Marks\Lateness;
use YoungHarbor\Core\Marks\LateRule;
use YoungHarbor\Core\Marks\MarkRules;
use YoungHarbor\Core\Marks\Scaling;

/**
 * Marks as they are released, from a settled mark over corrections, lateness, a cap and an adjustment, against integers
 * that share no code with it.
 */
final class MarkHistoriesTest extends TestCase
{
    /** A whole mark in the integers of the second working: thirds, hundredths and percents of them are whole. */
    private const UNIT = 30_000;

    private function scale(): BandScale
    {
        return BandScale::fromArray((require __DIR__.'/../../config/harbor.bands.php')['classes']);
    }

    private function late(int $days): Lateness
    {
        $due = new DateTimeImmutable('2026-11-02 12:00:00', new DateTimeZone('UTC'));

        return Lateness::between($due, $due->modify('+'.(24 * $days - 1).' hours'), new DateTimeZone('UTC'), [], false);
    }

    public function test_random_histories_equal_a_second_working_in_integers(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(1827));
        for ($round = 0; $round < 300; $round++) {
            $has = fn (): bool => $random->getInt(0, 1) === 1;
            $thirds = $random->getInt(0, 300);
            $mark = $thirds * 10_000;
            $corrections = [];
            $late = $cap = $adjustment = null;
            $lateness = Lateness::none();
            if ($has()) {
                $hundredths = $random->getInt(-900, 900);
                $corrections = [
                    new Correction(Scaling::add(BigDecimal::ofUnscaledValue($hundredths, 2)), 'Corrected', 'x'),
                ];
                $mark = max(0, min(100 * self::UNIT, $mark + 300 * $hundredths));
            }
            if ($has()) {
                [$days, $floor, $isPercent] = [$random->getInt(1, 6), $random->getInt(0, 1) * 40, $has()];
                $amount = $random->getInt(1, 12);
                $late = LateRule::fromArray([
                    'take' => $isPercent ? 'percent' : 'points', 'amount' => (string) $amount, 'per' => 'day',
                    'floor' => (string) $floor,
                ]);
                $lateness = $this->late($days);
                $off = $isPercent ? intdiv($mark * $amount * $days, 100) : $amount * $days * self::UNIT;
                $mark = $mark <= $floor * self::UNIT ? $mark : max($floor * self::UNIT, $mark - $off, 0);
            }
            if ($has()) {
                $cap = $random->getInt(30, 60);
                $mark = min($mark, $cap * self::UNIT);
            }
            if ($has()) {
                $tenths = $random->getInt(1, 200) * ($has() ? 1 : -1);
                $adjustment = Adjustment::of((string) BigDecimal::ofUnscaledValue($tenths, 1));
                $mark = max(0, min(100 * self::UNIT, $mark + 3000 * $tenths));
            }
            $decimals = $random->getInt(0, 2);
            $final = FinalMark::of(
                new SettledMark(BigRational::nd($thirds, 3), SettledBy::Rule, new Working([])), $this->scale(),
                $decimals,
                new MarkRules($late, null, $cap === null ? null : BigDecimal::of($cap), $corrections, $adjustment),
                $lateness,
            );
            $rounded = intdiv(2 * $mark * 10 ** $decimals + self::UNIT, 2 * self::UNIT);
            self::assertSame(
                (string) BigDecimal::ofUnscaledValue($rounded, $decimals), (string) $final->mark, "history {$round}",
            );
            self::assertSame($this->bandAt($rounded / 10 ** $decimals), $final->band->name, "history {$round}");
        }
    }

    /** The band by looking through the boundaries of the scale as they are written. */
    private function bandAt(float $mark): string
    {
        $bands = (require __DIR__.'/../../config/harbor.bands.php')['classes']['bands'];
        usort($bands, fn (array $a, array $b) => (float) $b['from'] <=> (float) $a['from']);
        foreach ($bands as $band) {
            if ($mark >= (float) $band['from']) {
                return (string) ($band['name'] ?? $band['title']);
            }
        }
        self::fail('no band');
    }

    public function test_half_of_the_last_decimal_decides_at_every_boundary(): void
    {
        foreach ($this->scale()->boundaries() as $boundary) {
            if ($boundary->isZero()) {
                continue;
            }
            $at = fn (string $beside): FinalMark => FinalMark::of(
                new SettledMark($boundary->plus($beside)->toBigRational(), SettledBy::Rule, new Working([])),
                $this->scale(), 1,
            );
            $below = $at('-0.051');
            self::assertSame((string) $boundary->minus('0.1')->toScale(1), (string) $below->mark);
            self::assertNotSame($below->band->name, $at('-0.05')->band->name, "half up, {$boundary}");
            self::assertSame((string) $boundary->toScale(1), (string) $at('-0.05')->mark);
            self::assertSame((string) $boundary->toScale(1), (string) $at('0.049')->mark);
            self::assertSame((string) $boundary->plus('0.1')->toScale(1), (string) $at('0.05')->mark);
        }
    }

    public function test_an_adjustment_is_refused_in_words_and_leaves_a_line_where_it_did_something(): void
    {
        foreach (['0', 'x', '', '100.5', '1.25', '−101'] as $wrong) {
            try {
                Adjustment::of($wrong);
                self::fail("“{$wrong}” was taken");
            } catch (InvalidInput) {
                self::assertTrue(true);
            }
        }
        $of = fn (int $mark, string $by): FinalMark => FinalMark::of(
            new SettledMark(BigRational::of($mark), SettledBy::Rule, new Working([])), $this->scale(), 0,
            new MarkRules(adjustment: Adjustment::of($by)),
        );
        self::assertSame(
            ['100', '0', '53'],
            [(string) $of(98, '+5')->mark, (string) $of(3, '−5')->mark, (string) $of(50, '3')->mark],
        );
        self::assertSame('Adjusted', $of(50, '3')->working->toArray()[0]['what']);
        self::assertSame('Band', $of(100, '3')->working->toArray()[0]['what'], 'what changed nothing has no line');
    }
}
