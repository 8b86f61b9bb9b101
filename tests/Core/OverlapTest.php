<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Credit;
use YoungHarbor\Core\Overlap\Fingerprint;
use YoungHarbor\Core\Overlap\LeftOut;
use YoungHarbor\Core\Overlap\Piece;
use YoungHarbor\Core\Overlap\Report;
use YoungHarbor\Core\Overlap\Run;
use YoungHarbor\Core\Overlap\Winnowing;
use YoungHarbor\Core\Text\Words;

final class OverlapTest extends TestCase
{
    use CommonRuns;

    public function test_words_that_were_given_are_taken_off_after_the_runs_are_found(): void
    {
        $words = fn (string $text): array => explode(' ', $text);
        $script = $words('a b c d e f g h one two three four five i j k l');
        $source = $words('x one two three four five i j k l y');
        $given = [$words('q one two three four five q')];
        $alignment = new Alignment(5, 0);
        $leftOut = LeftOut::given($script, $given, $alignment);
        self::assertSame([[[8, 13]], 5], [$leftOut->intervals, $leftOut->words()]);
        $runs = $leftOut->from($alignment->runs($script, $source, 's'));
        // Four words are too few to be a run of their own, but they are what remains of one.
        self::assertSame(
            [[13, 6, 4]],
            array_map(fn (Piece $piece) => [$piece->from, $piece->sourceFrom, $piece->length], $runs[0]->pieces),
        );
        self::assertSame([], LeftOut::given($script, [$script], $alignment)->from($runs));
        self::assertSame([], LeftOut::given($script, [], $alignment)->intervals);
    }

    /** Schleimer, Wilkerson, Aiken, "Winnowing: Local Algorithms for Document Fingerprinting", SIGMOD 2003, figure 2. */
    public function test_the_published_winnowing_example(): void
    {
        $selected = (new Winnowing(5, 4))->select([77, 74, 42, 17, 98, 50, 17, 98, 8, 88, 67, 39, 77, 74, 42, 17, 98]);

        self::assertSame(
            ['17@3', '17@6', '8@8', '39@11', '17@15'],
            array_map(fn (Fingerprint $print) => "{$print->hash}@{$print->position}", $selected),
        );
        self::assertSame(8, (new Winnowing(5, 4))->guarantee());
    }

    /** The paper's guarantee: any common run of window + k − 1 words shares a fingerprint. */
    public function test_every_common_run_of_eight_words_shares_a_fingerprint(): void
    {
        mt_srand(41);
        $hashes = fn (array $words): array => array_map(
            fn (Fingerprint $print) => $print->hash, (new Winnowing)->fingerprints($words),
        );
        for ($round = 0; $round < 400; $round++) {
            $run = self::words(8, 500);
            $one = [...self::words(mt_rand(0, 40), 500), ...$run, ...self::words(mt_rand(0, 40), 500)];
            $two = [...self::words(mt_rand(0, 40), 500), ...$run, ...self::words(mt_rand(0, 40), 500)];
            self::assertNotSame([], array_intersect($hashes($one), $hashes($two)));
        }
    }

    /** Words covered by runs against a search of every pair of places, on texts that repeat themselves a lot. */
    public function test_alignment_covers_just_what_a_brute_force_search_covers(): void
    {
        mt_srand(1000);
        $alignment = new Alignment(4, 0);
        for ($round = 0; $round < 1000; $round++) {
            $script = self::words(mt_rand(0, 60), 3 + $round % 4);
            $source = self::words(mt_rand(0, 60), 3 + $round % 4);
            $covered = [];
            foreach ($alignment->runs($script, $source, 'source') as $run) {
                foreach ($run->pieces as $piece) {
                    for ($i = 0; $i < $piece->length; $i++) {
                        self::assertSame(
                            $script[$piece->from + $i], $source[$piece->sourceFrom + $i], 'a run that is none',
                        );
                        self::assertArrayNotHasKey($piece->from + $i, $covered, 'a word matched twice');
                        $covered[$piece->from + $i] = true;
                    }
                }
            }
            ksort($covered);
            self::assertSame(self::bruteForce($script, $source, 4), array_keys($covered));
        }
    }

    public function test_pieces_with_a_small_gap_on_both_sides_are_one_run_whose_gap_does_not_count(): void
    {
        $script = explode(' ', 'a b c d X e f g h');
        $source = explode(' ', 'a b c d Y Z e f g h');

        $runs = (new Alignment(4, 2))->runs($script, $source, 's');
        self::assertCount(1, $runs);
        self::assertSame(
            [0, 9, 0, 10, 8],
            [$runs[0]->from(), $runs[0]->to(), $runs[0]->sourceFrom(), $runs[0]->sourceTo(), $runs[0]->words()],
        );
        self::assertCount(2, (new Alignment(4, 1))->runs($script, $source, 's'));
    }

    public function test_a_text_equal_to_its_source_and_texts_too_short(): void
    {
        $text = self::words(200, 50);
        $runs = (new Alignment)->runs($text, $text, 's');
        self::assertCount(1, $runs);
        self::assertSame('100.0', (string) (new Report(200, $runs))->share());
        self::assertSame([], (new Alignment)->runs(['one'], $text, 's'));
        self::assertSame([], (new Alignment)->runs([], [], 's'));
        self::assertSame('0.0', (string) (new Report(0, []))->share());
    }

    public function test_a_source_that_repeats_one_paragraph_five_hundred_times(): void
    {
        $paragraph = self::words(60, 40);
        $source = array_merge(...array_fill(0, 500, $paragraph));
        $runs = (new Alignment)->runs([...self::words(30, 900), ...$paragraph], $source, 's');

        self::assertSame(60, (new Report(90, Credit::share($runs)))->matched());
    }

    public function test_every_word_is_credited_to_one_source_and_the_shares_add_up(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 200; $round++) {
            $runs = [];
            $words = [];
            for ($i = mt_rand(1, 8); $i > 0; $i--) {
                $from = mt_rand(0, 80);
                $length = mt_rand(8, 30);
                $runs[] = new Run('source '.mt_rand(1, 3), [new Piece($from, mt_rand(0, 100), $length)]);
                $words += array_fill_keys(range($from, $from + $length - 1), true);
            }
            $report = new Report(200, Credit::share($runs));
            self::assertSame(count($words), $report->matched());
            self::assertSame($report->matched(), array_sum($report->bySource()));
        }
    }

    public function test_the_longest_run_takes_its_words_first(): void
    {
        $shared = Credit::share([new Run('b', [new Piece(0, 0, 10)]), new Run('a', [new Piece(5, 50, 20)])]);

        self::assertSame(
            [['b', 0, 5], ['a', 5, 25]], array_map(fn (Run $run) => [$run->source, $run->from(), $run->to()], $shared),
        );
    }

    /**
     * @param  list<string>  $normal
     */
    #[DataProvider('texts')]
    public function test_words_are_counted_and_compared_as_stated(string $text, array $normal): void
    {
        self::assertSame($normal, Words::of($text)->normalForms());
    }

    /**
     * @return iterable<string, array{string, list<string>}>
     */
    public static function texts(): iterable
    {
        yield 'apostrophes of both kinds are the same' => [
            'The hen’s egg, the hen\'s', ['the', "hen's", 'egg', 'the', "hen's"],
        ];
        yield 'a hyphen inside a word stays' => ['well-kept — books', ['well-kept', 'books']];
        yield 'a hyphen at the end of a line joins' => ["salt-\n  pans", ['saltpans']];
        yield 'compatibility forms' => ['ﬁne ＳＡＬＴ', ['fine', 'salt']];
        yield 'composed and decomposed letters' => ["caf\u{e9} cafe\u{301}", ['café', 'café']];
        yield 'a soft hyphen inside a word' => ["her\u{ad}ring", ['herring']];
        yield 'no words' => [' … — 「」 ', []];
        yield 'digits and other scripts' => ['1786 года, τὸ φῶς', ['1786', 'года', 'τὸ', 'φῶς']];
    }

    public function test_offsets_lead_back_into_the_original(): void
    {
        $words = Words::of('“Où est l’île?” — Là-bas.');
        self::assertSame('Où est l’île', $words->slice(0, 3));
        self::assertSame('l’île?” — Là-bas', $words->slice(2, 4));
    }
}
