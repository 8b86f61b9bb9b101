<?php

declare(strict_types=1);

namespace Tests\Core;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\DraftShape;
use YoungHarbor\Core\Rubric\PlaceName;
use YoungHarbor\Core\Rubric\WeightBalance;

final class DraftTest extends TestCase
{
    public function test_whatever_is_typed_is_kept_as_it_was_typed(): void
    {
        $draft = Draft::blank('Essay')->withForm(
            [
                'title' => 'Essay, year 2',
                'criteria' => [
                    'c1' => [
                        'title' => 'Argument', 'weight' => '33,33', 'descriptors' => ['l1' => '<script>x</script>'],
                    ],
                ],
                'levels' => ['l2' => ['points' => '1e2']],
            ]
        );

        self::assertSame('33,33', $draft->criteria()[0]['weight']);
        self::assertSame('1e2', $draft->levels()[1]['points']);
        self::assertSame('<script>x</script>', $draft->criteria()[0]['descriptors']['l1']);
        $places = array_map(fn ($fault) => $fault->place, $draft->faults());
        self::assertContains('criteria[0].weight', $places);
        self::assertContains('levels[1].points', $places);
    }

    public function test_criteria_and_levels_are_added_moved_duplicated_and_removed(): void
    {
        $draft = $this->shaped(Draft::blank('R'), 'add-criterion', 'add-criterion', 'add-level');
        self::assertSame(['c1', 'c2', 'c3'], array_column($draft->criteria(), 'id'));
        self::assertSame('l5', $draft->levels()[4]['id']);

        $draft = $this->shaped(
            $draft, 'criterion-up:c3', 'duplicate-criterion:c3', 'remove-criterion:c1', 'remove-level:l2',
            'level-left:l5',
        );
        self::assertSame(['c3', 'c4', 'c2'], array_column($draft->criteria(), 'id'));
        self::assertSame(['l1', 'l3', 'l5', 'l4'], array_column($draft->levels(), 'id'));
        self::assertSame(
            ['c3', 'c4', 'c2'], array_column($this->shaped($draft, 'criterion-up:c3')->criteria(), 'id'),
            'the first stays first',
        );
        self::assertSame(
            ['c4', 'c2', 'c3'], array_column($this->shaped($draft, 'place-criterion:c3:99')->criteria(), 'id'),
        );
        self::assertSame(
            ['c2', 'c3', 'c4'], array_column($this->shaped($draft, 'place-criterion:c2:0')->criteria(), 'id'),
        );
        self::assertSame(
            ['c3', 'c5', 'c4', 'c2'], array_column($this->shaped($draft, 'add-criterion:c3')->criteria(), 'id'),
            'a new one stands below the one it was asked for at',
        );
    }

    public function test_the_last_criterion_and_the_last_level_stay(): void
    {
        $draft = $this->shaped(
            Draft::blank('R'), 'remove-criterion:c1', 'remove-level:l1', 'remove-level:l2', 'remove-level:l3',
            'remove-level:l4',
        );

        self::assertSame(['c1'], array_column($draft->criteria(), 'id'));
        self::assertSame(['l4'], array_column($draft->levels(), 'id'));
    }

    public function test_a_rubric_grows_to_its_limits_and_no_further(): void
    {
        $draft = Draft::blank('R');
        for ($i = 0; $i < 200; $i++) {
            $draft = $this->shaped($draft, 'add-criterion', 'add-level');
        }
        self::assertCount(100, $draft->criteria());
        self::assertCount(12, $draft->levels());
    }

    public function test_removing_a_level_leaves_nothing_of_it_behind(): void
    {
        $draft = Draft::blank('R')->set('criteria.c1.unused.l2', '1')->set('criteria.c1.descriptors.l2', 'gone')
            ->set('criteria.c1.overrides.l2', '3');

        self::assertStringNotContainsString(
            'l2', json_encode($this->shaped($draft, 'remove-level:l2')->document, JSON_THROW_ON_ERROR),
        );
    }

    public function test_a_level_is_duplicated_with_its_cells_and_placed(): void
    {
        $draft = $this->shaped(
            Draft::blank('R')->set('criteria.c1.descriptors.l2', 'words')->set('criteria.c1.unused.l3', '1'),
            'duplicate-level:l2', 'duplicate-level:l3', 'place-level:l5:0',
        );

        self::assertSame(['l5', 'l1', 'l2', 'l3', 'l6', 'l4'], array_column($draft->levels(), 'id'));
        self::assertSame(
            ['Partly (copy)', 'words', '1'],
            [
                $draft->get('levels.l5.title'), $draft->get('criteria.c1.descriptors.l5'),
                $draft->get('criteria.c1.unused.l6'),
            ],
        );
    }

    public function test_weights_have_two_decimals_at_most(): void
    {
        $draft = Draft::holistic('R')->set('criteria.c1.weight', '99.999');
        self::assertContains(
            'criteria[0].weight: has more than two decimals', array_map(strval(...), $draft->faults()),
        );
        self::assertSame([], Draft::holistic('R')->set('criteria.c1.weight', '100.000')->faults());
    }

    public function test_a_criterion_takes_levels_of_its_own_and_gives_them_back(): void
    {
        $draft = $this->shaped(
            Draft::blank('R')->set('criteria.c1.descriptors.l2', 'kept'), 'own-levels:c1', 'add-own-level:c1',
            'remove-own-level:c1:l3', 'own-level-left:c1:l5',
        )
            ->set('criteria.c1.levels.l5.title', 'Nearly')->set('criteria.c1.levels.l5.points', '8 to 9');

        self::assertSame(['l1', 'l2', 'l5', 'l4'], array_column($draft->levelsOf($draft->criteria()[0]), 'id'));
        self::assertSame('8–9', $draft->get('criteria.c1.levels.l5.points'));
        self::assertCount(4, $draft->levels(), 'the levels of the rubric stay as they were');
        $back = $this->shaped($draft, 'shared-levels:c1');
        self::assertSame('kept', $back->get('criteria.c1.descriptors.l2'));
        self::assertArrayNotHasKey('levels', $back->criteria()[0]);
    }

    public function test_changing_the_kind_loses_nothing(): void
    {
        $draft = Draft::blank('R')->set('criteria.c1.descriptors.l2', 'kept')->set('criteria.c1.kind', 'checklist');
        $draft = $this->shaped($draft, 'add-item:c1')->set('criteria.c1.items.s1.title', 'Gloves on')
            ->set('criteria.c1.items.s2.points', '2.5');
        self::assertSame(['1', '2.5'], array_column($draft->criteria()[0]['items'], 'points'));
        $draft = $draft->set('criteria.c1.kind', 'scale');
        self::assertSame(
            ['0', '10', '1'],
            [$draft->get('criteria.c1.min'), $draft->get('criteria.c1.max'), $draft->get('criteria.c1.step')],
        );
        $draft = $draft->set('criteria.c1.kind', 'nonsense')->set('criteria.c1.kind', 'levels');

        self::assertSame('kept', $draft->get('criteria.c1.descriptors.l2'));
        self::assertSame('Gloves on', $draft->get('criteria.c1.items.s1.title'));
    }

    public function test_every_field_reads_as_it_was_written_and_no_other_place_takes_anything(): void
    {
        $draft = Draft::blank('R')->set('criteria.c1.title', 'Argument');
        foreach (array_keys($draft->fields()) as $place) {
            $value = str_contains($place, 'unused') || preg_match('/optional|pinned|points_shown/', $place) === 1
                ? '1'
                : (str_ends_with($place, 'kind') ? 'scale' : (str_ends_with($place, 'weighting') ? 'points' : '7'));
            self::assertSame($value, $draft->set($place, $value)->get($place), $place);
        }
        foreach (
            [
                'decimals', 'levels', 'levels.l9.title', 'levels.l1.id', 'criteria.c1', 'criteria.c1.id',
                'criteria.c9.title', 'criteria.c1.levels.l1.title', 'criteria.c1.descriptors.l1.x', 'criteria',
                'weighting',
            ] as $place
        ) {
            self::assertSame($draft->document, $draft->set($place, 'zzz')->document, $place);
        }
    }

    public function test_two_people_who_write_in_different_places_both_keep_their_words(): void
    {
        $seen = Draft::blank('R')->set('criteria.c1.title', 'Argument');
        $theirs = $seen->set('criteria.c1.purpose', 'Theirs')->set('criteria.c1.title', 'Their title');

        [$merged, $clashes] = $theirs->merge([
            ['place' => 'criteria.c1.weight', 'was' => '0', 'to' => '40'],
            ['place' => 'criteria.c1.title', 'was' => 'Argument', 'to' => 'My title'],
        ]);
        self::assertSame(
            ['40', 'Theirs', 'Their title'],
            [
                $merged->get('criteria.c1.weight'), $merged->get('criteria.c1.purpose'),
                $merged->get('criteria.c1.title'),
            ],
        );
        self::assertSame(['criteria.c1.title'], array_column($clashes, 'place'));
        self::assertSame('criterion “Their title”, title', PlaceName::of($merged, 'criteria.c1.title'));
        self::assertSame(
            'criterion “Their title”, descriptor at level “Well”', PlaceName::of($merged, 'criteria.c1.descriptors.l3'),
        );
        self::assertSame(
            [], $theirs->merge([['place' => 'criteria.c1.title', 'was' => 'Argument', 'to' => 'Their title']])[1],
            'both wrote the same',
        );
    }

    public function test_the_rest_is_spread_over_weights_that_are_not_pinned(): void
    {
        $draft = $this->shaped(Draft::blank('R'), 'add-criterion', 'add-criterion', 'add-criterion')
            ->withForm(
                [
                    'criteria' => [
                        'c1' => ['weight' => '40', 'pinned' => '1'], 'c2' => ['weight' => '10'],
                        'c3' => ['weight' => '20'], 'c4' => ['kind' => 'comment', 'weight' => '0'],
                    ],
                ]
            );
        $weights = fn (Draft $d) => array_column($d->criteria(), 'weight');

        self::assertSame(['40', '25', '35', '0'], $weights($this->shaped($draft, 'spread')));
        self::assertSame(['40', '20', '40', '0'], $weights($this->shaped($draft, 'spread-in-proportion')));
        $thirds = $draft->set('criteria.c1.weight', '0')->set('criteria.c1.pinned', '')->set('criteria.c2.weight', '0')
            ->set('criteria.c3.weight', '0');
        self::assertSame(['33.34', '33.33', '33.33', '0'], $weights($this->shaped($thirds, 'spread')));
        self::assertSame(
            $weights($thirds), $weights($this->shaped($thirds, 'spread-in-proportion')),
            'nothing is in proportion to nothing',
        );
        $over = $draft->set('criteria.c1.weight', '100');
        self::assertSame(
            ['100', '10', '20', '0'], $weights($this->shaped($over, 'spread')), 'nothing is left for the others',
        );
    }

    public function test_spreading_in_proportion_always_comes_to_exactly_100(): void
    {
        mt_srand(7);
        $changed = 0;
        for ($i = 0; $i < 300; $i++) {
            $weights = array_map(
                fn () => BigDecimal::of(mt_rand(1, 9000))->exactlyDividedBy(100), range(1, mt_rand(2, 12)),
            );
            foreach (
                [
                    WeightBalance::scale($weights, array_keys($weights)),
                    WeightBalance::spread($weights, array_keys($weights)),
                ] as $spread
            ) {
                // The weights stay as they are when one would fall to nothing.
                if ($spread !== $weights) {
                    self::assertTrue(WeightBalance::of($spread)->isExact());
                    $changed++;
                }
            }
        }
        self::assertGreaterThan(300, $changed);
    }

    public function test_differences_name_the_place_and_both_sides(): void
    {
        $mine = Draft::blank('R')->withForm(['criteria' => ['c1' => ['title' => 'Mine']]]);
        $theirs = Draft::blank('R')->withForm(['criteria' => ['c1' => ['title' => 'Theirs']]]);

        self::assertSame(['criteria.c1.title' => ['Mine', 'Theirs']], $mine->differences($theirs));
    }

    public function test_a_holistic_rubric_wants_nothing_but_its_descriptors(): void
    {
        self::assertSame([], Draft::holistic('As a whole')->faults());
    }

    private function shaped(Draft $draft, string ...$changes): Draft
    {
        return array_reduce($changes, DraftShape::apply(...), $draft);
    }
}
