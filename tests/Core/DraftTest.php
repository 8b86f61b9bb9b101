<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Rubric\Draft;

final class DraftTest extends TestCase
{
    public function test_whatever_is_typed_is_kept_as_it_was_typed(): void
    {
        $draft = Draft::blank('Essay')->withForm(['title' => 'Essay, year 2', 'criteria' => ['c1' => ['title' => 'Argument', 'weight' => '33,33', 'descriptors' => ['l1' => '<script>x</script>']]], 'levels' => ['l2' => ['points' => '1e2']]]);

        self::assertSame('33,33', $draft->criteria()[0]['weight']);
        self::assertSame('1e2', $draft->levels()[1]['points']);
        self::assertSame('<script>x</script>', $draft->criteria()[0]['descriptors']['l1']);
        $places = array_map(fn ($fault) => $fault->place, $draft->faults());
        self::assertContains('criteria[0].weight', $places);
        self::assertContains('levels[1].points', $places);
    }

    public function test_criteria_and_levels_are_added_moved_duplicated_and_removed(): void
    {
        $draft = Draft::blank('R')->addCriterion()->addCriterion()->addLevel();
        self::assertSame(['c1', 'c2', 'c3'], array_column($draft->criteria(), 'id'));
        self::assertSame('l5', $draft->levels()[4]['id']);

        $draft = $draft->moveCriterion('c3', -1)->duplicateCriterion('c3')->removeCriterion('c1')->removeLevel('l2')->moveLevel('l5', -1);
        self::assertSame(['c3', 'c4', 'c2'], array_column($draft->criteria(), 'id'));
        self::assertSame(['l1', 'l3', 'l5', 'l4'], array_column($draft->levels(), 'id'));
        self::assertSame(['c3', 'c4', 'c2'], array_column($draft->moveCriterion('c3', -1)->criteria(), 'id'), 'the first stays first');
    }

    public function test_removing_a_level_leaves_nothing_of_it_behind(): void
    {
        $draft = Draft::blank('R')->toggleCell('c1', 'l2')->withForm(['criteria' => ['c1' => ['descriptors' => ['l2' => 'gone']]]])->removeLevel('l2');

        self::assertStringNotContainsString('l2', json_encode($draft->document, JSON_THROW_ON_ERROR));
    }

    public function test_differences_name_the_place_and_both_sides(): void
    {
        $mine = Draft::blank('R')->withForm(['criteria' => ['c1' => ['title' => 'Mine']]]);
        $theirs = Draft::blank('R')->withForm(['criteria' => ['c1' => ['title' => 'Theirs']]]);

        self::assertSame(['criteria.c1.title' => ['Mine', 'Theirs']], $mine->differences($theirs));
    }
}
