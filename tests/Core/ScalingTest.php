<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\ScaledMarks;
use YoungHarbor\Core\Marks\Scaling;

/**
 * Moving marks together: exact, clipped, and their order kept or said not to be.
 */
final class ScalingTest extends TestCase
{
    private static function d(string $number): BigDecimal
    {
        return BigDecimal::of($number);
    }

    private static function map(string ...$points): Scaling
    {
        return Scaling::map(array_map(
            fn (string $point) => array_map(self::d(...), explode(' ', $point)), array_values($points),
        ));
    }

    public function test_each_kind_is_exact(): void
    {
        $shown = fn (Scaling $scaling, string $mark) => Figure::exact($scaling->clipped(self::d($mark)));
        self::assertSame('41', $shown(Scaling::add(self::d('2')), '39'));
        self::assertSame('37.5', $shown(Scaling::add(self::d('-1.5')), '39'));
        self::assertSame('38.1', $shown(Scaling::linear(self::d('3'), self::d('0.9')), '39'));
        // From 40 at 42 to 100 at 100: 42 + 59 × 58 ÷ 60.
        self::assertSame('2971/30', $shown(self::map('0 0', '40 42', '100 100'), '99'));
        self::assertSame('42', $shown(self::map('0 0', '40 42', '100 100'), '40'));
        self::assertSame('100', $shown(Scaling::add(self::d('5')), '99'));
        self::assertSame('0', $shown(Scaling::add(self::d('-50')), '39'));
    }

    public function test_order_is_kept_unless_clipping_makes_different_marks_equal(): void
    {
        $marks = ['a' => self::d('97'), 'b' => self::d('99'), 'c' => self::d('40'), 'd' => self::d('40.0')];
        self::assertTrue(ScaledMarks::of($marks, Scaling::add(self::d('1')))->isOrderKept());
        $clipped = ScaledMarks::of($marks, Scaling::add(self::d('5')));
        self::assertFalse($clipped->isOrderKept(), '97 and 99 both come to 100');
        self::assertSame([true, true, false], [
            $clipped->marks['a']['clipped'], $clipped->marks['b']['clipped'], $clipped->marks['c']['clipped'],
        ]);
        mt_srand(3);
        for ($round = 0; $round < 300; $round++) {
            $marks = [];
            for ($n = 0; $n < 12; $n++) {
                $marks["s{$n}"] = self::d((string) (mt_rand(0, 1000) / 10));
            }
            $factor = mt_rand(1, 30) / 10;
            $scaled = ScaledMarks::of(
                $marks, Scaling::linear(self::d((string) mt_rand(-20, 20)), self::d((string) $factor)),
            );
            $kept = true;
            foreach ($scaled->marks as $one) {
                foreach ($scaled->marks as $other) {
                    $kept = $kept && ! ($one['before']->isLessThan($other['before'])
                        && ! $one['after']->isLessThan($other['after']));
                }
            }
            self::assertSame($kept, $scaled->isOrderKept());
        }
    }

    public function test_what_would_turn_marks_round_or_leaves_some_out_is_refused(): void
    {
        foreach ([
            fn () => Scaling::linear(self::d('3'), self::d('0')),
            fn () => Scaling::linear(self::d('90'), self::d('-1')),
            fn () => self::map('0 0'), fn () => self::map('0 0', '0 5'), fn () => self::map('0 5', '50 5'),
            fn () => ScaledMarks::of(['a' => self::d('30'), 'b' => self::d('80')], self::map('40 42', '70 70')),
        ] as $bad) {
            try {
                $bad();
                self::fail('It is refused.');
            } catch (InvalidInput $e) {
                self::assertNotSame([], $e->faults);
            }
        }
    }
}
