<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Rubric\Advice;
use YoungHarbor\Core\Rubric\AdviceItem;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\DraftShape;
use YoungHarbor\Core\Text\ReadingEase;

final class AdviceTest extends TestCase
{
    public function test_a_sound_rubric_is_left_alone(): void
    {
        self::assertSame([], $this->sentences($this->sound()));
    }

    public function test_neighbours_that_say_the_same_are_named(): void
    {
        $same = $this->sentences(
            $this->sound()->set('criteria.c1.descriptors.l3', 'Nothing is claimed.')
                ->set('criteria.c1.descriptors.l2', 'Nothing is claimed!')
        );
        self::assertSame(
            [
                '“Argument”: the descriptors of “Not yet” and “Partly” are the same.',
                '“Argument”: the descriptors of “Partly” and “Well” are the same.',
            ],
            $same,
        );

        $nearly = $this->sentences(
            $this->sound()
                ->set(
                    'criteria.c1.descriptors.l2', 'A claim is made and it is then argued for well in most of the parts',
                )
                ->set(
                    'criteria.c1.descriptors.l3', 'A claim is made and it is then argued for well in all of the parts',
                )
        );
        self::assertStringContainsString('nearly the same', $nearly[0]);
    }

    public function test_equal_points_two_questions_and_empty_cells_are_named(): void
    {
        $sentences = $this->sentences(
            $this->sound()->set('levels.l2.points', '7')->set('criteria.c1.title', 'Structure and style')
                ->set('criteria.c2.descriptors.l1', '')
        );

        self::assertContains(
            '“Structure and style” asks for two things; a script that does one well and the other badly fits no level.',
            $sentences,
        );
        self::assertContains(
            '“Structure and style”: “Partly” and “Well” both give 7 points, so choosing between them changes nothing.',
            $sentences,
        );
        self::assertContains('“Evidence”: 1 of its 4 levels has no descriptor.', $sentences);
    }

    public function test_a_criterion_lighter_than_one_level_of_another_is_named(): void
    {
        // One level of 90 % with steps of 4 of 10 points is 36 of 100: more than all of the other.
        $sentences = $this->sentences($this->sound()->set('criteria.c1.weight', '90')->set('criteria.c2.weight', '10'));

        self::assertSame(
            ['One level of “Argument” (up to 36 of the mark) outweighs all of “Evidence” (10).'], $sentences,
        );
    }

    public function test_totals_that_cannot_be_reached_are_named(): void
    {
        $floor = $this->sentences($this->sound()->set('levels.l1.points', '2'));
        self::assertSame(['No script can get less than 20: the lowest levels all give points.'], $floor);

        $scale = $this->sentences($this->sound()->set('criteria.c2.kind', 'scale')->set('criteria.c2.step', '3'));
        self::assertSame(
            ['“Evidence”: steps of 3 from 0 never meet the highest, 10, so the full mark cannot be reached.'], $scale,
        );
    }

    public function test_a_highest_level_that_looks_like_a_mark_and_stops_short_is_named(): void
    {
        $percent = $this->sound()->set('levels.l1.points', '0')->set('levels.l2.points', '35')
            ->set('levels.l3.points', '65')->set('levels.l4.points', '85');
        self::assertContains(
            '“Argument”: its highest level has 85 points, and counts as 100 % of the criterion. If 85 is meant as 85 of 100, add a level of 100.',
            $this->sentences($percent),
        );
        foreach (['100', '120'] as $most) {
            self::assertSame(
                [],
                array_filter(
                    $this->sentences($percent->set('levels.l4.points', $most)),
                    fn (string $sentence) => str_contains($sentence, 'counts as 100 %'),
                ),
                $most,
            );
        }
    }

    public function test_hard_reading_is_named(): void
    {
        $hard = 'Demonstrates comprehensive historiographical contextualisation, problematising epistemological presuppositions underlying archival accumulation.';
        $sentences = $this->sentences(
            $this->sound()->set('criteria.c1.descriptors.l4', $hard)
                ->set(
                    'criteria.c1.descriptors.l3',
                    "Exhibits considerable theoretical sophistication regarding methodological particularities. {$hard}",
                )
        );

        self::assertStringContainsString('hard to read', implode(' ', $sentences));
    }

    /**
     * The formula of Flesch 1948 on figures counted by hand: 30 words of one syllable in 3 sentences give
     * 206.835 − 1.015 × 10 − 84.6 × 1 = 112.085. Syllables against a dictionary's division of some words.
     */
    public function test_reading_ease_follows_its_formula(): void
    {
        $ease = ReadingEase::of(str_repeat('The cat sat on the mat and had a nap. ', 3));
        self::assertNotNull($ease);
        self::assertEqualsWithDelta(112.085, $ease, 0.001);
        self::assertNull(ReadingEase::of('Too short to say.'));
        $known = [
            'harbour' => 2, 'table' => 2, 'evidence' => 3, 'made' => 1, 'created' => 2, 'argument' => 3, 'the' => 1,
            'passages' => 3, 'walked' => 1, 'wanted' => 2, 'lighthouse' => 2, 'beautiful' => 3,
        ];
        $right = count(
            array_filter(
                $known, fn (int $syllables, string $word) => ReadingEase::syllables($word) === $syllables,
                ARRAY_FILTER_USE_BOTH,
            )
        );
        self::assertGreaterThanOrEqual(
            (int) floor(0.8 * count($known)), $right, 'by spelling, about nine in ten are right',
        );
    }

    private function sound(): Draft
    {
        $draft = DraftShape::apply(Draft::blank('R'), 'add-criterion');
        foreach (
            [
                'c1' => [
                    'Argument', 'Nothing is claimed.', 'One claim, loosely held.', 'A claim argued through.',
                    'Argued; objections met.',
                ],
                'c2' => ['Evidence', 'None.', 'A few facts.', 'Apt sources.', 'Sources set against each other.'],
            ] as $id => [$title, $l1, $l2, $l3, $l4]
        ) {
            $draft = $draft->withForm(
                [
                    'criteria' => [
                        $id => [
                            'title' => $title, 'weight' => '50',
                            'descriptors' => ['l1' => $l1, 'l2' => $l2, 'l3' => $l3, 'l4' => $l4],
                        ],
                    ],
                ]
            );
        }

        return $draft;
    }

    /** @return list<string> */
    private function sentences(Draft $draft): array
    {
        $draft->faults($rubric);

        return array_map(fn (AdviceItem $remark) => $remark->sentence, Advice::on($draft, $rubric));
    }
}
