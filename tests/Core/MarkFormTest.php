<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\CarriedMarks;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\DraftShape;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\PointsCount;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;

final class MarkFormTest extends TestCase
{
    private static function rubric(): Rubric
    {
        return Rubric::fromArray((require __DIR__.'/../../database/demo/rubrics.php')['walk']);
    }

    private static function criterion(string $id): Criterion
    {
        return self::rubric()->criterion($id) ?? throw new \LogicException($id);
    }

    /**
     * @param  array<string, mixed>  $form
     * @param  array<string, mixed>  $choice
     */
    #[DataProvider('forms')]
    public function test_what_a_marker_sets_becomes_a_mark(
        string $criterion, array $form, array $choice, string $words,
    ): void {
        $made = MarkForm::mark(self::criterion($criterion), $form);
        self::assertSame($choice, $made->toArray());
        self::assertEquals(
            $made, CriterionMark::fromArray($made->toArray(), $criterion), 'as it is stored and read back',
        );
        Scorer::score(self::rubric(), CriterionMarks::usual()->with($criterion, $made));
        self::assertSame($words, MarkForm::inWords(self::criterion($criterion), $made));
        // A page that takes a mark back into its fields sends the same mark.
        self::assertEquals(
            $made->withComment(''),
            MarkForm::mark(self::criterion($criterion), MarkForm::form(self::criterion($criterion), $made)),
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>, string}> */
    public static function forms(): iterable
    {
        yield 'a level' => [
            'c1', ['stop' => 'l3', 'comment' => 'Good walls.'], ['level' => 'l3', 'comment' => 'Good walls.'], 'Fair',
        ];
        yield 'between two levels' => [
            'c1', ['stop' => 'l3~l4'], ['between' => ['l3', 'l4'], 'points' => '7'], 'above Fair',
        ];
        yield 'nothing yet' => ['c1', ['stop' => '', 'comment' => ' '], [], ''];
        yield 'a range with its points' => [
            'c2', ['stop' => 'l3', 'points' => '7,5'], ['level' => 'l3', 'points' => '7.5'], 'Surely',
        ];
        yield 'a range without points has its middle' => [
            'c2', ['stop' => 'l2', 'points' => ''], ['level' => 'l2', 'points' => '4'], 'With luck',
        ];
        yield 'points of another level do not count' => [
            'c2', ['stop' => 'l2', 'points' => '8'], ['level' => 'l2', 'points' => '4'], 'With luck',
        ];
        yield 'items done and partly' => [
            'c3', ['done' => ['s1' => '1'], 'partly' => ['s1' => '0.5', 's3' => '1']],
            ['done' => ['s1'], 'partly' => ['s3' => '1']], '1 of 3 items done, 1 partly',
        ];
        yield 'nothing was done' => ['c3', ['none' => '1'], ['done' => []], '0 of 3 items done'];
        yield 'nothing was looked at' => ['c3', ['partly' => ['s1' => '']], [], ''];
        yield 'a number' => ['c4', ['points' => '6,5'], ['points' => '6.5'], ''];
        yield 'points by hand' => [
            'c1',
            [
                'stop' => 'l5', 'own_points' => '6,25', 'own_reason' => 'Above the level, not half-way.',
                'comment' => 'See map.',
            ],
            ['points' => '6.25', 'reason' => 'Above the level, not half-way.', 'comment' => 'See map.'], 'Fair',
        ];
        yield 'steps by hand' => [
            'c3', ['own_points' => '2.5', 'own_reason' => 'One step in part.'],
            ['points' => '2.5', 'reason' => 'One step in part.'], '',
        ];
        yield 'does not apply' => [
            'c4', ['na' => '1', 'points' => '3', 'comment' => 'None taken.'],
            ['not_applicable' => true, 'comment' => 'None taken.'], 'does not apply',
        ];
        yield 'a comment' => ['c5', ['comment' => 'Who dug it?', 'points' => '9'], ['comment' => 'Who dug it?'], ''];
        yield 'only what is optional can be left out' => [
            'c1', ['na' => '1', 'stop' => 'l5'], ['level' => 'l5'], 'Excellent',
        ];
    }

    public function test_points_off_the_scale_are_refused(): void
    {
        $this->expectException(InvalidInput::class);
        Scorer::score(
            self::rubric(),
            CriterionMarks::usual()->with('c4', MarkForm::mark(self::criterion('c4'), ['points' => '6.3'])),
        );
    }

    public function test_marks_go_over_to_a_newer_version_where_they_fit(): void
    {
        $draft = Draft::of((require __DIR__.'/../../database/demo/rubrics.php')['walk']);
        $newer = DraftShape::apply($draft, 'remove-criterion:c4')->set('criteria.c1.weight', '60')
            ->set('levels.l3.points', '7')->set('criteria.c2.unused.l3', '1');
        $choices = [
            'c1' => ['level' => 'l3', 'comment' => 'Kept.'],
            'c2' => ['level' => 'l3', 'points' => '8', 'comment' => 'Also kept.'], 'c3' => ['done' => ['s1', 's2']],
            'c4' => ['points' => '9'],
        ];
        $carried = CarriedMarks::over(
            Rubric::fromArray($draft->document), Rubric::fromArray($newer->document),
            CriterionMarks::fromArray($choices),
        );

        self::assertSame(
            ['c1' => $choices['c1'], 'c2' => ['comment' => 'Also kept.'], 'c3' => $choices['c3']],
            $carried->marks->toArray(),
        );
        self::assertSame(['Sketch map', 'Photographs'], $carried->lost);
        self::assertFalse($carried->score->isComplete());
        // Before: 40 × 6/10 + 20 × 8/8 + 20 × 3/5 + 20 × 9/10 = 74; after: 60 × 7/10 + 20 × 3/5 = 54.
        self::assertSame(
            ['74.0', '54.0', '-20.0'],
            [(string) $carried->before, (string) $carried->score->total, (string) $carried->difference()],
        );
    }

    public function test_a_pin_half_way_between_two_levels_stays_half_way(): void
    {
        $draft = Draft::of((require __DIR__.'/../../database/demo/rubrics.php')['walk']);
        $carried = CarriedMarks::over(
            Rubric::fromArray($draft->document), Rubric::fromArray($draft->set('levels.l4.points', '7')->document),
            CriterionMarks::fromArray(['c1' => ['between' => ['l3', 'l4'], 'points' => '7']]),
        );

        self::assertSame(
            [['between' => ['l3', 'l4'], 'points' => '6.5'], []],
            [$carried->marks->on('c1')->toArray(), $carried->lost],
        );
    }

    public function test_points_weighting_says_what_each_criterion_counts_and_marks_come_out_of_100(): void
    {
        $document = (require __DIR__.'/../../database/starter/rubrics.php')[6];
        self::assertSame(
            ['all' => '50', 'c1' => '11', 'c2' => '19', 'c3' => '10', 'c4' => '10', 'c5' => '0'],
            PointsCount::of(Draft::of($document)),
        );
        $score = Scorer::score(
            Rubric::fromArray($document),
            [
                'c1' => ['done' => ['s1', 's2', 's3', 's4']], 'c2' => ['done' => ['s1']], 'c3' => ['done' => []],
                'c4' => ['level' => 'l2'],
            ],
        );
        // 11 + 6 + 0 + 5 = 22 of 50 is 44 of 100.
        self::assertSame(
            ['22.0', '50', '44.0'], [(string) $score->total, (string) $score->outOf, (string) $score->percent()],
        );
    }
}
