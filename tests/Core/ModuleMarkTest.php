<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Release\ModuleMarkJson;
use YoungHarbor\Core\Release\ModulePlan;

/**
 * Module marks: weights, best of several, exemption, resits, what must be passed, one rounding.
 */
final class ModuleMarkTest extends TestCase
{
    /**
     * @param  array<string, mixed>  ...$parts
     * @return array<string, mixed>
     */
    private function mark(array ...$parts): array
    {
        return ModuleMarkJson::answer(['decimals' => 1, 'pass' => '40', 'parts' => $parts]);
    }

    /**
     * @param  array<string, mixed>  ...$parts
     * @return list<string>
     */
    private function faults(array ...$parts): array
    {
        try {
            $this->mark(...$parts);
        } catch (InvalidInput $e) {
            return array_map(fn (Fault $fault) => (string) $fault, $e->faults);
        }
        self::fail('taken without a fault');
    }

    public function test_parts_are_weighed_the_best_of_a_list_counts_and_a_part_that_must_be_passed_decides(): void
    {
        // Worked by hand: 58.4 × 0.6 + 37 × 0.25 + (70 + 55) ÷ 2 × 0.15 = 35.04 + 9.25 + 9.375 = 53.665.
        $found = $this->mark(
            ['id' => 'essay', 'weight' => '60', 'mark' => '58.4'],
            ['id' => 'exam', 'weight' => '25', 'mark' => '37', 'must_pass' => '40'],
            ['id' => 'weekly', 'weight' => '15', 'best' => 2, 'of' => [
                ['id' => 'w1', 'mark' => '70'], ['id' => 'w2', 'mark' => null], ['id' => 'w3', 'mark' => '55'],
            ]],
        );
        self::assertSame(
            ['53.7', false, true, [], ['exam']],
            [$found['mark'], $found['passed'], $found['complete'], $found['missing'], $found['not_passed']],
        );
        self::assertSame([
            ['part' => 'essay', 'mark' => '58.4', 'weight' => '60', 'share' => '35.04'],
            ['part' => 'exam', 'mark' => '37', 'weight' => '25', 'share' => '9.25'],
            ['part' => 'weekly', 'mark' => '62.5', 'weight' => '15', 'share' => '9.375'],
            ['step' => 'rounded', 'value' => '53.7'],
        ], $found['working']);
    }

    public function test_what_is_missing_counts_as_nothing_and_is_said(): void
    {
        $list = fn (?string ...$marks): array => [
            'id' => 'list', 'weight' => '50', 'best' => 2,
            'of' => array_map(fn (?string $mark) => ['id' => 'x', 'mark' => $mark], $marks),
        ];
        $found = $this->mark($list('60', null, null), ['id' => 'essay', 'weight' => '50', 'mark' => null]);
        self::assertSame(['15.0', false, ['list', 'essay']], [$found['mark'], $found['complete'], $found['missing']]);
        $found = $this->mark($list('60', '50', null), ['id' => 'essay', 'weight' => '50', 'mark' => '0']);
        self::assertSame(['27.5', true, []], [$found['mark'], $found['complete'], $found['missing']]);
    }

    public function test_what_is_exempt_drops_out_and_the_rest_weighs_more(): void
    {
        $found = $this->mark(
            ['id' => 'a', 'weight' => '40', 'mark' => '50'], ['id' => 'b', 'weight' => '20', 'mark' => '65'],
            ['id' => 'c', 'weight' => '40', 'mark' => '10', 'exempt' => true, 'must_pass' => '40'],
        );
        // (50 × 40 + 65 × 20) ÷ 60 = 55
        self::assertSame(['55.0', true, []], [$found['mark'], $found['passed'], $found['not_passed']]);
        self::assertSame('66.666666', $found['working'][0]['weight']);
        $found = $this->mark(['id' => 'a', 'weight' => '40', 'mark' => '50'], [
            'id' => 'b', 'weight' => '60', 'best' => 1, 'of' => [
                ['id' => 'x', 'mark' => '90', 'exempt' => true], ['id' => 'y', 'mark' => '40'],
            ],
        ]);
        self::assertSame('44.0', $found['mark']);
        $found = $this->mark(['id' => 'a', 'weight' => '40', 'mark' => '50'], [
            'id' => 'b', 'weight' => '60', 'best' => 2, 'of' => [
                ['id' => 'x', 'mark' => '90', 'exempt' => true], ['id' => 'y', 'exempt' => true],
            ],
        ]);
        self::assertSame('50.0', $found['mark'], 'all of a list exempt: the part is');
    }

    public function test_a_resit_counts_up_to_its_cap_where_that_is_more(): void
    {
        $of = fn (?string $mark, ?string $resit): array => $this->mark(
            [
                'id' => 'a', 'weight' => '100', 'mark' => $mark, 'must_pass' => '40',
                'resit' => ['mark' => $resit, 'cap' => '40'],
            ],
        );
        foreach (
            [
                ['37', '55', '40.0', true], ['37', '38', '38.0', false], ['45', '55', '45.0', true],
                ['37', null, '37.0', false], [null, '55', '40.0', true],
            ] as [$mark, $resit, $counts, $passed]
        ) {
            $found = $of($mark, $resit);
            self::assertSame([$counts, $passed, true], [$found['mark'], $found['passed'], $found['complete']]);
        }
        self::assertSame(['a'], $of(null, null)['missing']);
    }

    public function test_a_part_may_weigh_nothing_and_yet_have_to_be_passed(): void
    {
        $safety = fn (string $mark): array => $this->mark(
            ['id' => 'a', 'weight' => '100', 'mark' => '70'],
            ['id' => 'safety', 'weight' => '0', 'mark' => $mark, 'must_pass' => '80'],
        );
        self::assertSame(['70.0', false], [$safety('79.9')['mark'], $safety('79.9')['passed']]);
        self::assertTrue($safety('80')['passed']);
    }

    public function test_what_cannot_be_is_refused_with_its_place(): void
    {
        $a = ['id' => 'a', 'weight' => '59.5', 'mark' => '50'];
        self::assertSame(['parts: the weights total 99.5: 0.5 short of 100'], $this->faults(
            $a, ['id' => 'b', 'weight' => '40', 'mark' => '50'],
        ));
        self::assertSame(
            ['parts[1].best: 3 of 2 is more than there are'], $this->faults(
                $a, ['id' => 'b', 'weight' => '40.5', 'best' => 3, 'of' => [['id' => 'x'], ['id' => 'y']]],
            ),
        );
        self::assertSame(['parts[1].best: 2 of 1: exemption leaves fewer than count'], $this->faults(
            $a,
            ['id' => 'b', 'weight' => '40.5', 'best' => 2, 'of' => [['id' => 'x', 'exempt' => true], ['id' => 'y']]],
        ));
        self::assertSame(['parts: every part that weighs is exempt: there is no mark'], $this->faults(
            ['id' => 'a', 'weight' => '100', 'mark' => '50', 'exempt' => true],
            ['id' => 'b', 'weight' => '0', 'mark' => '50', 'must_pass' => '40'],
        ));
        foreach (
            [
                [['mark' => '101'], 'parts[0].mark'], [['mark' => 50], 'parts[0].mark'],
                [['weight' => '-1'], 'parts[0].weight'],
                [['best' => 1], 'parts[0].mark'], [['wieght' => '1'], 'parts[0].wieght'], [['id' => ''], 'parts[0].id'],
                [['resit' => ['mark' => 'x']], 'parts[0].resit.mark'], [['weight' => '0'], 'parts[0].weight'],
            ] as [$change, $place]
        ) {
            $faults = $this->faults([...['id' => 'a', 'weight' => '100', 'mark' => '50'], ...$change]);
            self::assertStringStartsWith("{$place}:", $faults[0]);
        }
        self::assertSame(['parts[1].id: stands twice: "a"'], $this->faults(
            ['id' => 'a', 'weight' => '50', 'mark' => '1'], ['id' => 'a', 'weight' => '50', 'mark' => '1'],
        ));
        self::assertStringContainsString('there is no part', $this->faults()[0]);
    }

    /** A second way: whole numbers alone, everything over one denominator, written for this check. */
    public function test_300_random_modules_equal_a_second_way_of_working_them_out(): void
    {
        $dice = new Randomizer(new Mt19937(19));
        for ($n = 0; $n < 300; $n++) {
            $decimals = $dice->getInt(0, 2);
            $count = $dice->getInt(1, 6);
            $cuts = array_map(fn () => $dice->getInt(1, 999), range(1, $count));
            $tenths = [];
            for ($i = 0, $left = 1000, $all = array_sum($cuts); $i < $count; $i++) {
                $tenths[$i] = $i === $count - 1 ? $left : min($left, intdiv($cuts[$i] * 1000, $all));
                $left -= $tenths[$i];
            }
            $parts = [];
            $num = $den = 0; // num ÷ (den × 60 × 10): tenths of marks, lists up to 5 long (60 divides by 1 to 5)
            $failed = false;
            $anyWeighs = false;
            foreach ($tenths as $i => $weight) {
                $must = $weight === 0 || $dice->getInt(0, 3) === 0 ? $dice->getInt(0, 1000) : null;
                $exempt = $dice->getInt(0, 5) === 0;
                $length = $dice->getInt(1, 5);
                $best = $dice->getInt(1, $length);
                $given = array_map(
                    fn () => $dice->getInt(0, 6) === 0 ? null : $dice->getInt(0, 1000), range(1, $length),
                );
                $resit = $dice->getInt(0, 3) === 0 ? [$dice->getInt(0, 1000), $dice->getInt(300, 600)] : null;
                $show = fn (?int $tenth): ?string => $tenth === null ? null : intdiv($tenth, 10).'.'.($tenth % 10);
                $parts[] = [
                    'id' => "p{$i}", 'weight' => $show($weight), 'exempt' => $exempt, 'best' => $best,
                    'of' => array_map(fn (?int $mark) => ['id' => 'x', 'mark' => $show($mark)], $given),
                    ...($must === null ? [] : ['must_pass' => $show($must)]),
                    ...($resit === null ? [] : ['resit' => ['mark' => $show($resit[0]), 'cap' => $show($resit[1])]]),
                ];
                if ($exempt) {
                    continue;
                }
                $anyWeighs = $anyWeighs || $weight > 0;
                $sorted = array_map(intval(...), $given);
                rsort($sorted);
                $sixtieths = array_sum(array_slice($sorted, 0, $best)) * intdiv(60, $best);
                $resit === null || $sixtieths = max($sixtieths, min($resit[0], $resit[1]) * 60);
                $num += $sixtieths * $weight;
                $den += $weight;
                $failed = $failed || ($must !== null && $sixtieths < $must * 60);
            }
            if (! $anyWeighs) {
                self::assertStringContainsString('exempt', $this->faults(...$parts)[0]);

                continue;
            }
            $found = ModuleMarkJson::answer(['decimals' => $decimals, 'pass' => '40', 'parts' => $parts]);
            $scale = 10 ** $decimals;
            $below = $den * 600;
            $units = intdiv(2 * $num * $scale + $below, 2 * $below);
            $expected = $decimals === 0
                ? (string) $units
                : sprintf("%d.%0{$decimals}d", intdiv($units, $scale), $units % $scale);
            self::assertSame(
                [$expected, $units >= 40 * $scale && ! $failed], [$found['mark'], $found['passed']], (string) $n,
            );
        }
    }

    public function test_what_is_still_needed_is_the_least_mark_that_reaches_it_by_trying_every_mark(): void
    {
        $dice = new Randomizer(new Mt19937(7));
        for ($n = 0; $n < 60; $n++) {
            $weight = $dice->getInt(10, 60);
            $plan = ModulePlan::fromArray(['decimals' => $n % 2, 'parts' => [
                ['id' => 'p1', 'weight' => (string) $weight, 'of' => ['a']],
                ['id' => 'p2', 'weight' => (string) (100 - $weight), 'best' => 2, 'of' => ['b', 'c', 'd']],
            ]]);
            $marks = [];
            foreach (['a', 'b', 'c', 'd'] as $id) {
                $dice->getInt(0, 1) === 1 && $marks[$id] = BigDecimal::ofUnscaledValue($dice->getInt(0, 1000), 1);
            }
            $exempt = $dice->getInt(0, 3) === 0 ? ['d' => true] : [];
            $target = BigDecimal::of($dice->getInt(30, 80));
            $needed = $plan->needed($marks, $exempt, $target);
            $open = array_values(array_diff(['a', 'b', 'c', 'd'], array_keys($marks), array_keys($exempt)));
            if ($open === []) {
                self::assertNull($needed);

                continue;
            }
            self::assertNotNull($needed);
            self::assertSame($open, $needed->open);
            $least = null;
            for ($units = 0; $units <= 100 * 10 ** ($n % 2) && $least === null; $units++) {
                $try = BigDecimal::ofUnscaledValue($units, $n % 2);
                $mark = $plan->mark($marks + array_fill_keys($open, $try), $exempt)->mark;
                $least = $mark->isGreaterThanOrEqualTo($target) ? $try : null;
            }
            self::assertSame(
                $least === null ? null : (string) $least, $needed->mark === null ? null : (string) $needed->mark,
            );
        }
    }

    public function test_a_plan_says_what_is_wrong_with_it_and_reads_back_what_it_wrote(): void
    {
        $document = ['decimals' => 1, 'pass' => '40', 'borderline' => '2', 'bands' => [
            'name' => 'Classes', 'boundary' => 'whole-marks',
            'bands' => [
                ['name' => 'Fail', 'from' => '0'], ['name' => 'Pass', 'from' => '40'],
                ['name' => 'First', 'from' => '70'],
            ],
        ], 'parts' => [
            [
                'id' => 'p1', 'title' => 'Essay', 'weight' => '60.5', 'must_pass' => '40', 'of' => ['a'],
                'resit' => ['of' => 'r', 'cap' => '40'],
            ],
            ['id' => 'p2', 'title' => 'Weekly', 'weight' => '39.5', 'best' => 2, 'of' => ['b', 'c', 'd']],
        ]];
        $plan = ModulePlan::fromArray($document);
        self::assertSame($document, $plan->toArray());
        self::assertSame(['a', 'r', 'b', 'c', 'd'], $plan->uses());
        self::assertSame([], ModulePlan::usual()->parts);
        $faults = function (array $change) use ($document): array {
            try {
                ModulePlan::fromArray(array_replace_recursive($document, $change));
            } catch (InvalidInput $e) {
                return array_map(strval(...), $e->faults);
            }
            self::fail('taken');
        };
        self::assertSame(
            ['parts: the weights total 99.5: 0.5 short of 100'], $faults(['parts' => [['weight' => '60']]]),
        );
        self::assertSame(
            ['parts[1]: takes an assignment that another part, or this one, takes too'],
            $faults(['parts' => [1 => ['of' => ['a']]]]),
        );
        self::assertSame(['parts[1].best: 4 of 3 is more than there are'], $faults(['parts' => [1 => ['best' => 4]]]));
        self::assertStringContainsString('must be a number from 0 to 20', $faults(['borderline' => '21'])[0]);
    }

    public function test_what_lies_just_below_a_boundary_is_borderline_by_the_rule(): void
    {
        $plan = fn (string $rule, string $within): ModulePlan => ModulePlan::fromArray([
            'decimals' => 1, 'pass' => '40', 'borderline' => $within, 'bands' => [
                'name' => 'x', 'boundary' => $rule,
                'bands' => [
                    ['name' => 'Fail', 'from' => '0'], ['name' => 'Pass', 'from' => '40'],
                    ['name' => 'First', 'from' => '70'],
                ],
            ],
        ]);
        $just = fn (
            string $mark, string $rule = 'as-it-stands', string $within = '2',
        ): ?string => ($found = $plan($rule, $within)
            ->justBelow(BigDecimal::of($mark))) === null ? null : (string) $found;
        self::assertSame([null, '40', '40', null, null, '70', '70', null], array_map(
            $just, ['37.9', '38.0', '39.9', '40.0', '67.9', '68.0', '69.9', '70.0'],
        ));
        self::assertSame('70', $just('69.4', 'whole-marks'));
        self::assertNull($just('69.5', 'whole-marks'), 'it is in the band already');
        self::assertNull($just('69.9', 'as-it-stands', '0'));
    }
}
