<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Formats\FinalMarkJson;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * From a settled mark to the one that goes out, against integers that share no code with it.
 */
final class FinalStepsTest extends TestCase
{
    public function test_each_step_that_did_something_is_a_line(): void
    {
        $asked = [
            'decimals' => 0, 'max' => '100', 'settled' => '58.25', 'scaling' => ['add' => '2'],
            'late' => ['off' => '10', 'floor' => '40'], 'over_length' => ['off' => '2'], 'cap' => '40',
            'adjust' => ['by' => '3', 'reason' => 'A member who did more.'],
            'bands' => [['title' => 'Fail', 'from' => '0'], ['title' => 'Third', 'from' => '40']],
        ];
        $answer = FinalMarkJson::answer($asked);
        self::assertSame(['43', 'Third'], [$answer['mark'], $answer['band']]);
        self::assertSame(
            [
                'settled' => '58.25', 'scaling' => '60.25', 'late' => '50.25', 'over_length' => '48.25', 'cap' => '40',
                'adjust' => '43',
            ],
            array_column($answer['working'], 'value', 'step'),
        );
        self::assertSame(
            [['step' => 'settled', 'value' => '50']], FinalMarkJson::answer(['settled' => '50'])['working'],
            'what was not asked for, or changes nothing, has no line',
        );
        self::assertSame('58.3', FinalMarkJson::answer(['settled' => '175/3', 'decimals' => 1])['mark']);
        self::assertSame('58.5', FinalMarkJson::answer(['settled' => '58.45', 'decimals' => 1])['mark'], 'half up');
    }

    public function test_lateness_neither_lowers_below_its_floor_nor_raises_to_it(): void
    {
        $late = fn (string $settled): string => FinalMarkJson::answer([
            'settled' => $settled, 'late' => ['off' => '10', 'floor' => '40'],
        ])['mark'];
        self::assertSame(['60', '40', '40', '35', '0'], array_map($late, ['70', '45', '40', '35', '0']));
    }

    public function test_a_map_goes_from_point_to_point_and_must_cover_the_mark(): void
    {
        $map = ['map' => [['0', '10'], ['50', '60'], ['100', '100']]];
        self::assertSame('80', FinalMarkJson::answer(['settled' => '75', 'scaling' => $map])['mark']);
        $this->expectExceptionMessage('scaling.map: does not cover the settled mark');
        FinalMarkJson::answer(['settled' => '75', 'scaling' => ['map' => [['0', '10'], ['50', '60']]]]);
    }

    public function test_random_histories_equal_a_second_working_in_integers(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(18));
        for ($round = 0; $round < 400; $round++) {
            $has = fn (): bool => $random->getInt(0, 1) === 1;
            $whole = fn (int $from, int $to): int => $random->getInt($from, $to);
            $decimal = fn (int $hundredths): string => sprintf(
                '%s%d.%02d', $hundredths < 0 ? '-' : '', intdiv(abs($hundredths), 100), abs($hundredths) % 100,
            );
            // Everything in millionths: hundredths times hundredths of a scaling times hundredths of a factor.
            $settled = $whole(0, 10_000);
            $mark = $settled * 10_000;
            $asked = ['settled' => $decimal($settled), 'decimals' => $whole(0, 2)];
            if ($has()) {
                [$constant, $factor] = [$whole(-1500, 1500), $has() ? 100 : $whole(50, 150)];
                $asked['scaling'] = $factor === 100
                    ? ['add' => $decimal($constant)]
                    : ['linear' => [$decimal($constant), $decimal($factor)]];
                $mark = max(0, min(100_000_000, $constant * 10_000 + $settled * $factor * 100));
            }
            if ($has()) {
                $factor = $whole(0, 150);
                $asked['factor'] = $decimal($factor);
                $mark = intdiv($mark * $factor, 100);
            }
            if ($has()) {
                [$off, $floor] = [$whole(0, 3000), $whole(0, 5000)];
                $asked['late'] = ['off' => $decimal($off), 'floor' => $decimal($floor)];
                $mark = max($mark - $off * 10_000, 0, min($mark, $floor * 10_000));
            }
            if ($has()) {
                $off = $whole(0, 1500);
                $asked['over_length'] = ['off' => $decimal($off)];
                $mark = max($mark - $off * 10_000, 0);
            }
            if ($has()) {
                $asked['cap'] = $decimal($cap = $whole(3000, 8000));
                $mark = min($mark, $cap * 10_000);
            }
            if ($has()) {
                $asked['adjust'] = ['by' => $decimal($by = $whole(-2000, 2000)), 'reason' => 'x'];
                $mark += $by * 10_000;
            }
            $mark = max(0, min(100_000_000, $mark));
            $step = 10 ** (6 - $asked['decimals']);
            $rounded = intdiv($mark + intdiv($step, 2), $step) * $step;
            self::assertSame(
                number_format($rounded / 1e6, $asked['decimals'], '.', ''), FinalMarkJson::answer($asked)['mark'],
                (string) json_encode($asked),
            );
        }
    }

    public function test_faults_are_told_each_with_its_place(): void
    {
        try {
            FinalMarkJson::answer([
                'settled' => '101', 'late' => ['of' => '3'], 'scaling' => ['add' => '1', 'linear' => ['1', '1']],
                'bands' => [['title' => 'A', 'from' => '5']], 'max' => '0', 'foo' => 1, 'cap' => 40,
            ]);
            self::fail('Faults are told.');
        } catch (InvalidInput $e) {
            $said = array_map(strval(...), $e->faults);
            foreach (['foo: is not known', 'max: must be above 0', 'late.of: is not known', 'late.off: is missing',
                'scaling: must be one of add, linear and map', 'bands[0].from: the lowest band must begin at 0'] as $fault) {
                self::assertContains($fault, $said);
            }
        }
    }
}
