<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\FirstFeedback\Answer;
use YoungHarbor\Core\FirstFeedback\Places;
use YoungHarbor\Core\FirstFeedback\Remark;
use YoungHarbor\Core\FirstFeedback\StandIn;
use YoungHarbor\Core\FirstFeedback\Sureness;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * First remarks on a draft: what the stand-in finds, and what is taken from an assistant.
 */
final class FirstFeedbackTest extends TestCase
{
    /**
     * @param  list<array{id: string, title: string, levels: list<string>}>  $criteria
     * @return list<string> what is remarked
     */
    private function said(string $text, string $brief = '', ?int $limit = null, array $criteria = []): array
    {
        return array_map(
            fn (Remark $one) => ($one->criterion === null ? '' : "{$one->criterion}: ").$one->text,
            StandIn::of($text, $brief, $limit, $criteria),
        );
    }

    /**
     * @return array<string, array{string, string, string}> what the remark says; a text with the fault, one without it
     */
    public static function kinds(): array
    {
        $long = 'The toll was paid at the slip and '.str_repeat('it was paid by the master and by the mate ', 5).'in the end.';
        $short = 'The toll was paid at the slip. It was paid by the master. The mate paid in the end.';
        $paragraph = str_repeat('The ferry came at noon. ', 60);

        return [
            'a long sentence' => ['words. Read it aloud', $long, $short],
            'a long paragraph' => ['What is its one point', $paragraph, str_repeat("The ferry came at noon.\n\n", 60)],
            'the same opening' => [
                'begin with these words', 'The clerk wrote. The clerk read. The clerk slept. A boat came.',
                'The clerk wrote. He read a while. Then the man slept. A boat came.',
            ],
            'a quotation without a place' => [
                'no page, year or note near them', 'The minute says “nobody was turned away that winter at all” and stops.',
                'The minute says “nobody was turned away that winter at all” (p. 14) and stops.',
            ],
            'a short quotation is none' => ['year or note near them', 'He says “nobody was turned away that winter here” and goes.', 'He calls it “the harbour toll” and goes.'],
            'no list of sources' => [
                'no list of sources', str_repeat('A boat came in. ', 50), str_repeat('A boat came in. ', 50)."\n\nSources. The toll ledger.",
            ],
        ];
    }

    #[DataProvider('kinds')]
    public function test_each_kind_is_found_where_it_is_and_only_there(
        string $says, string $with, string $without,
    ): void {
        self::assertStringContainsString($says, implode("\n", $this->said($with)));
        self::assertStringNotContainsString($says, implode("\n", $this->said($without)));
    }

    public function test_the_brief_the_limit_and_the_rubric_are_held_beside_it(): void
    {
        $brief = 'Choose a drowned village. Describe the reservoir and argue who decided.';
        $draft = 'The village lies below the water of the reservoirs. The council decided it in 1931.';
        self::assertSame([], $this->said($draft, 'Describe the villages, and who decided about reservoirs.'), 'words like them will do');
        self::assertStringContainsString('The brief speaks of “drowned”', $this->said($draft, $brief)[0]);
        self::assertSame(['The draft has 15 words, the limit is 10. What could go without being missed?'], $this->said($draft, '', 10));
        self::assertSame(['The draft has 15 words of 100. Where would a reader ask for more?'], $this->said($draft, '', 100));
        self::assertSame([], $this->said($draft, '', 16));
        $criteria = [
            ['id' => 'c1', 'title' => 'Sources', 'levels' => ['None.', 'Documents are weighed against testimony and silences.']],
            ['id' => 'c2', 'title' => 'Place', 'levels' => ['None.', 'The village and its reservoir are placed exactly.']],
        ];
        $said = $this->said($draft, '', null, $criteria);
        self::assertCount(1, $said);
        self::assertStringStartsWith('c1: The upper levels of this criterion speak of “documents”, “weighed”', $said[0]);
    }

    public function test_no_remark_says_good_or_bad_gives_a_mark_or_speaks_of_a_person(): void
    {
        $all = [];
        foreach (self::kinds() as [, $with]) {
            array_push($all, ...$this->said($with, 'Describe the drowned reservoir.', 5, [
                ['id' => 'c1', 'title' => 'x', 'levels' => ['Testimony weighed against silences.']],
            ]));
        }
        self::assertGreaterThan(10, count($all));
        foreach ($all as $one) {
            self::assertDoesNotMatchRegularExpression(
                '/\b(?:good|bad|poor|weak|strong|excellent|wrong|lazy|careless|clever|you are|you were|you seem)\b/i', $one,
            );
        }
        // Nothing that the stand-in says is refused as a mark.
        $answer = ['assistant' => 'x', 'simulated' => true, 'cannot_see' => 'x', 'remarks' => array_map(
            fn (string $text) => ['criterion' => null, 'quote' => null, 'text' => $text, 'sure' => 'high'], $all,
        )];
        self::assertCount(count($all), Answer::read($answer, 'text', [])->remarks);
    }

    public function test_another_language_is_told_from_english(): void
    {
        self::assertTrue(StandIn::isEnglish('The toll was paid at the slip, and it was paid by the master of the boat.'));
        self::assertFalse(StandIn::isEnglish('Der Zoll wurde an der Rampe gezahlt, und zwar vom Schiffer, der das Boot führte.'));
        self::assertFalse(StandIn::isEnglish('Le péage était payé à la cale par le maître du bateau, comme chaque année.'));
        self::assertFalse(StandIn::isEnglish(''));
    }

    /**
     * @return array<string, array{mixed, string}>
     */
    public static function refused(): array
    {
        $of = fn (array $remark, array $more = []): array => $more + ['cannot_see' => 'Much.', 'remarks' => [
            $remark + ['criterion' => null, 'quote' => null, 'text' => 'Look again.', 'sure' => 'low'],
        ]];

        return [
            'no document' => ['<html>', 'cannot be read'],
            'no list' => [['remarks' => 'very good'], 'cannot be read'],
            'a mark' => [$of([], ['mark' => 62]), 'holds a mark'],
            'a level, deep inside' => [$of(['about' => ['Level' => 3]]), 'holds a mark'],
            'a mark in words' => [$of(['text' => 'This would get 62 %.']), 'holds a mark'],
            'a grade in words' => [$of(['text' => 'I would grade as B here.']), 'holds a mark'],
            'marks in words' => [$of(['text' => 'Worth 15 marks.']), 'holds a mark'],
            'a remark of nothing' => [$of(['text' => ' ']), 'has a remark that cannot be read'],
            'sure of nothing' => [$of(['sure' => 'very']), 'does not say how sure it is'],
            'sees everything' => [['cannot_see' => ''] + $of([]), 'does not say what it cannot see'],
            'too much' => [['cannot_see' => 'x', 'remarks' => array_fill(0, 61, ['text' => 'x', 'sure' => 'low'])], 'has far too many remarks'],
        ];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_first_feedback_is_refused_whole(mixed $answer, string $why): void
    {
        try {
            Answer::read($answer, 'The draft.', []);
        } catch (InvalidInput $e) {
            self::assertStringContainsString($why, $e->faults[0]->what);

            return;
        }
        self::fail('taken');
    }

    public function test_remarks_stand_at_places_of_the_draft_and_criteria_that_there_are(): void
    {
        $read = Answer::read(['assistant' => ' ', 'cannot_see' => 'Much.', 'remarks' => [
            ['criterion' => 'c1', 'quote' => 'the slip', 'text' => 'Which one, in 1891?', 'sure' => 'middle'],
            ['criterion' => 'c9', 'quote' => 'the pier', 'text' => 'Where?', 'sure' => 'low'],
        ]], 'Paid at the slip, and not at the bar.', ['c1']);
        self::assertSame(['An outside assistant', false], [$read->assistant, $read->simulated]);
        self::assertSame([
            'c1', 'the slip', Sureness::Middle,
        ], [$read->remarks[0]->criterion, $read->remarks[0]->quote, $read->remarks[0]->sure]);
        self::assertSame([null, null], [$read->remarks[1]->criterion, $read->remarks[1]->quote]);
        self::assertSame(
            [
                ['Paid at ', [], []], ['the ', [0], [0]], ['slip', [0, 2], [2]], [', and', [2], []],
                [' not at the bar.', [], []],
            ],
            Places::in('Paid at the slip, and not at the bar.', ['the slip', null, 'slip, and', 'pier']),
        );
        self::assertSame([['All of it', [], []]], Places::in('All of it', []));
    }
}
