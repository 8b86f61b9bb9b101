<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Allocation\EvenPlan;
use YoungHarbor\Core\Input\InvalidInput;

final class AllocationTest extends TestCase
{
    public function test_loads_are_even_and_nobody_marks_a_script_twice(): void
    {
        for ($markers = 2; $markers <= 7; $markers++) {
            for ($scripts = 0; $scripts <= 40; $scripts += 3) {
                $plan = EvenPlan::make(self::ids('s', $scripts), self::ids('m', $markers), true, $scripts + $markers);
                self::assertCount($scripts, $plan->pairings);
                foreach ($plan->pairings as $pairing) {
                    self::assertNotSame($pairing->first, $pairing->second);
                }
                foreach (['first', 'second'] as $part) {
                    $loads = array_map(fn (array $load) => $load[$part], $plan->loads()) + array_fill_keys(self::ids('m', $markers), 0);
                    self::assertLessThanOrEqual(1, max($loads) - min($loads), "{$part} marks of {$scripts} scripts over {$markers} markers");
                }
            }
        }
    }

    public function test_every_pair_of_markers_is_mixed(): void
    {
        $pairs = [];
        foreach (EvenPlan::make(self::ids('s', 48), self::ids('m', 4), true, 4417)->pairings as $pairing) {
            $pairs["{$pairing->first} {$pairing->second}"] = ($pairs["{$pairing->first} {$pairing->second}"] ?? 0) + 1;
        }
        self::assertCount(12, $pairs, 'each of the twelve ordered pairs occurs');
    }

    public function test_the_same_seed_gives_the_same_plan_and_another_one_another(): void
    {
        $plan = fn (int $seed) => EvenPlan::make(self::ids('s', 23), self::ids('m', 4), true, $seed)->pairings;
        self::assertEquals($plan(1), $plan(1));
        self::assertNotEquals($plan(1), $plan(2));
    }

    public function test_late_scripts_go_to_those_who_have_fewest(): void
    {
        $plan = EvenPlan::make(['late'], ['m1', 'm2', 'm3'], true, 9, ['m1' => 5, 'm2' => 4, 'm3' => 5], ['m1' => 4, 'm2' => 5, 'm3' => 5]);
        self::assertSame(['m2', 'm1'], [$plan->pairings[0]->first, $plan->pairings[0]->second]);
    }

    public function test_second_marking_with_one_marker_is_refused(): void
    {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('at least two markers');
        EvenPlan::make(['s'], ['m'], true, 1);
    }

    /**
     * @return list<string>
     */
    private static function ids(string $letter, int $count): array
    {
        return array_map(fn (int $i) => $letter.$i, $count === 0 ? [] : range(1, $count));
    }
}
