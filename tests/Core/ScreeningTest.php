<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Attention;
use YoungHarbor\Core\Overlap\CloseWording;
use YoungHarbor\Core\Overlap\Credit;
use YoungHarbor\Core\Overlap\Distinctive;
use YoungHarbor\Core\Overlap\Figures;
use YoungHarbor\Core\Overlap\Grams;
use YoungHarbor\Core\Overlap\Hiding;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOutChoices;
use YoungHarbor\Core\Overlap\MatchedSource;
use YoungHarbor\Core\Overlap\Network;
use YoungHarbor\Core\Overlap\Piece;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\Run;
use YoungHarbor\Core\Overlap\ScriptComparison;
use YoungHarbor\Core\Overlap\Winnowing;
use YoungHarbor\Core\Text\Words;

/**
 * Screening from prints to figures, on random texts against independent counts.
 */
final class ScreeningTest extends TestCase
{
    use CommonRuns;

    /** Each gram's hash is that of its words alone, wherever it stands. */
    public function test_a_gram_has_the_same_hash_wherever_it_stands(): void
    {
        mt_srand(3);
        foreach ([1, 2, 6, 8, 63, 64, 65, 130] as $k) {
            $words = array_map(fn () => mt_rand(1, 5) << 40 | mt_rand(), range(1, 200));
            foreach (Grams::of($words, $k) as $i => $hash) {
                self::assertSame(Grams::of(array_slice($words, $i, $k), $k), [$hash]);
                self::assertGreaterThanOrEqual(0, $hash);
            }
        }
        self::assertSame([], Grams::of([1, 2], 3));
        self::assertNotSame(Grams::of([1, 2, 3], 3), Grams::of([3, 2, 1], 3), 'order counts');
    }

    /**
     * The guarantee of winnowing, from prints to runs: on 1,200 pairs of random texts every common run of eight words
     * or more is found by a text's prints and no other, whatever brief both skip.
     */
    public function test_every_common_run_is_found_through_prints_and_none_is_invented(): void
    {
        mt_srand(88);
        $alignment = new Alignment(8, 0);
        $found = 0;
        for ($round = 0; $round < 1200; $round++) {
            $vocabulary = [2, 3, 6, 40, 800][$round % 5];
            $script = self::words(mt_rand(0, 90), $vocabulary);
            $source = self::words(mt_rand(0, 90), $vocabulary);
            if ($round % 3 === 0) { // plant one
                array_splice(
                    $source, mt_rand(0, count($source)), 0, array_slice($script, mt_rand(0, 60), mt_rand(6, 30)),
                );
            }
            $brief = $round % 4 === 0 ? array_slice($source, 0, 12) : [];
            $covered = self::bruteForce($script, $source, 8);
            $one = Prints::of($script, [$brief]);
            $two = Prints::of($source, [$brief]);
            $shares = array_intersect($one->same, $two->same) !== [];
            // With a brief, a run is met wherever one of its grams is not the brief's.
            $grams = array_fill_keys(Grams::of(Grams::numbers($brief), (new Winnowing)->k), true);
            $new = array_filter(
                self::runsOf($covered),
                fn (array $run) => array_diff_key(
                    array_fill_keys(
                        Grams::of(Grams::numbers(array_slice($script, $run[0], $run[1] - $run[0])), (new Winnowing)->k),
                        true,
                    ),
                    $grams,
                ) !== [],
            );
            if ($brief === []) {
                $covered === [] || self::assertTrue($shares, 'a common run without a common print');
                self::assertSame($covered, self::covered($alignment->runs($script, $source, 's'), $script, $source));
            } elseif ($new !== []) {
                self::assertTrue($shares, 'a common run beside the brief without a common print');
            }
            $found += $covered === [] ? 0 : 1;
        }
        self::assertGreaterThan(300, $found);
    }

    /** Counts, credit and what is left out against a count word by word, done another way. */
    public function test_figures_agree_with_an_independent_count_and_always_add_up(): void
    {
        mt_srand(17);
        for ($round = 0; $round < 400; $round++) {
            $words = mt_rand(1, 160);
            $interval = function (string $why) use ($words): Interval {
                $from = mt_rand(0, $words - 1);

                return new Interval($why, $from, min($words, $from + mt_rand(1, 25)));
            };
            $places = array_map(
                $interval, array_slice(['given', 'quotation', 'quotation', 'bibliography', 'given'], mt_rand(0, 4)),
            );
            $runs = $this->randomRuns($words, mt_rand(0, 9), mt_rand(1, 30));
            $close = $this->randomRuns($words, mt_rand(0, 4), 40);
            $choices = new LeftOutChoices(
                $round % 2 === 0, $round % 3 === 0, [0, 0, 12][$round % 3], $round % 5 === 0 ? ['b'] : [],
                $round % 4 === 0 ? [[0, min(9, $words)]] : [],
            );
            $figures = Figures::of($words, $places, $runs, $close, $choices);

            $out = array_fill(0, $words, false);
            foreach ($places as $place) {
                if (
                    $place->why === 'given' || ($place->why === 'quotation' && $choices->quotations)
                    || ($place->why === 'bibliography' && $choices->bibliography)
                ) {
                    $out = array_replace($out, array_fill($place->from, $place->to - $place->from, true));
                }
            }
            foreach ($choices->passages as [$from, $to]) {
                $out = array_replace($out, array_fill($from, $to - $from, true));
            }
            // Each word goes to the longest run it stands in, then to the first name, then to the first place.
            usort(
                $runs,
                fn (Run $a, Run $b) => [$b->words(), $a->source, $a->from()] <=> [$a->words(), $b->source, $b->from()],
            );
            $of = [];
            foreach ($runs as $run) {
                foreach (
                    $run->words() < $choices->shortest || in_array($run->source, $choices->sources, true)
                        ? []
                        : $run->pieces as $piece
                ) {
                    for ($i = $piece->from; $i < $piece->to(); $i++) {
                        $of[$i] ??= $run->source;
                    }
                }
            }
            $expected = array_count_values(
                array_filter($of, fn (string $source, int $i) => ! $out[$i], ARRAY_FILTER_USE_BOTH)
            );
            ksort($expected);
            $bySource = $figures->report->bySource();
            ksort($bySource);
            self::assertSame($expected, $bySource);
            self::assertSame(array_sum($expected), $figures->report->matched());
            self::assertSame($words, $figures->report->counted + $figures->leftOutWords());
            self::assertSame(count(array_filter($out)), $figures->leftOutWords());
            foreach ($figures->close as $run) {
                self::assertGreaterThanOrEqual(8, $run->words());
                self::assertSame(
                    [], array_intersect(array_keys($of), range($run->from(), $run->to() - 1)),
                    'a passage reaches over an identical run',
                );
                foreach ($run->pieces as $piece) {
                    for ($i = $piece->from; $i < $piece->to(); $i++) {
                        self::assertFalse($out[$i], 'close wording in what is left out');
                        self::assertArrayNotHasKey($i, $of, 'a word counted as identical and as close');
                    }
                }
            }
        }
    }

    public function test_what_is_kept_of_a_match_is_read_back_the_same(): void
    {
        $runs = [new Run('7', [new Piece(0, 5, 9), new Piece(10, 15, 8)]), new Run('7', [new Piece(40, 2, 8)])];
        $kept = json_decode((string) json_encode(MatchedSource::keep($runs)), true);
        self::assertEquals(new MatchedSource('7', $runs, []), MatchedSource::kept('7', (array) $kept, []));
        self::assertTrue(MatchedSource::kept('7', ['nonsense', [['x']], []], [])->isEmpty());
    }

    public function test_both_sides_of_a_pair_have_the_same_close_wording_and_each_its_own_runs(): void
    {
        $here = Words::of(
            'one two three four five six seven eight nine and then one two three four five six seven eight nine'
        );
        $there = Words::of('before it one two three four five six seven eight nine after it');
        $comparison = new ScriptComparison($here, new Alignment(8, 2));
        $numbers = Grams::numbers($there->normalForms());
        $found = $comparison->with($numbers, 'there');
        self::assertSame([[0, 9], [11, 20]], array_map(fn (Run $run) => [$run->from(), $run->to()], $found->runs));
        self::assertSame(
            [[2, 11]],
            array_map(
                fn (Run $run) => [$run->from(), $run->to()], $comparison->mirrored($numbers, $found, 'here')->runs,
            ),
        );
    }

    public function test_close_wording_marks_the_words_in_common_and_stands_beside_exact_runs(): void
    {
        $original = 'the wardens asked each master of a boat to name the marks and depths of the channel and to say at what hour of the tide a loaded vessel might cross the bar without touching the sand';
        $reworded = 'the wardens made each master of a vessel name the marks and depths of the channel and say at what hour of the tide a laden vessel could cross the bar without ever touching the sand';
        $found = (new CloseWording)->passages(explode(' ', $reworded), explode(' ', $original), 's');
        self::assertCount(1, $found);
        foreach ($found[0]->pieces as $piece) {
            for ($i = 0; $i < $piece->length; $i++) {
                self::assertSame(
                    explode(' ', $original)[$piece->sourceFrom + $i], explode(' ', $reworded)[$piece->from + $i],
                );
            }
        }
        self::assertSame(
            [],
            (new CloseWording)->passages(
                explode(' ', $reworded), explode(' ', 'nothing here is the same as what stands there'), 's',
            ),
        );
        self::assertSame([], (new CloseWording)->passages([], [], 's'));
        // Stock phrases in a row are no close wording.
        $stock = explode(
            ' ',
            'on the one hand it is to be said that on the other hand it is not to be said at all that it is so in the end of the day as it were',
        );
        self::assertSame([], (new CloseWording)->passages($stock, $stock, 's'));
    }

    public function test_sequences_for_the_open_web_are_short_spread_and_leave_out_what_they_should(): void
    {
        mt_srand(2);
        $words = Words::of(implode(' ', self::words(400, 5000)));
        $phrases = Distinctive::phrases($words, [new Interval('given', 100, 200)], 60);
        self::assertGreaterThan(10, count($phrases));
        $normal = $words->normalForms();
        $at = [];
        foreach ($phrases as $phrase) {
            $parts = explode(' ', $phrase);
            self::assertCount(Distinctive::LENGTH, $parts);
            $place = (int) strpos(' '.implode(' ', $normal).' ', " {$phrase} ");
            $at[] = $place;
        }
        self::assertSame($at, array_values(array_unique($at)));
        $given = ' '.implode(' ', array_slice($normal, 100, 100)).' ';
        foreach ($phrases as $phrase) {
            self::assertStringNotContainsString(" {$phrase} ", $given);
        }
        self::assertCount(3, Distinctive::phrases($words, [], 3));
        self::assertSame([], Distinctive::phrases(Words::of('Too short.'), [], 60));
        self::assertSame([], Distinctive::phrases(Words::of(''), [], 60));
    }

    public function test_scripts_that_share_text_stand_together_in_the_picture(): void
    {
        $pair = fn (string $from, string $to, int $words): array => ['from' => $from, 'to' => $to, 'words' => $words];
        $network = Network::of(
            [
                $pair('A', 'B', 40), $pair('B', 'A', 55), $pair('B', 'C', 30), $pair('D', 'E', 200),
                $pair('F', 'A', 19), $pair('G', 'G', 90),
            ],
            20, 1000,
        );
        self::assertSame([['A', 'B', 'C'], ['D', 'E']], array_map(function (array $group): array {
            sort($group);

            return $group;
        }, $network->groups));
        self::assertSame(
            [30, 55, 200], array_column($network->links, 'words'),
            'each pair once, with the larger count, strongest on top',
        );
        foreach ($network->places as [$x, $y]) {
            self::assertTrue($x > 0 && $x < 1000 && $y > 0 && $y < $network->height);
        }
        $many = [];
        for ($i = 0; $i < 40; $i++) {
            $many[] = $pair("S{$i}a", "S{$i}b", 50);
        }
        $places = Network::of($many, 20, 1000)->places;
        self::assertCount(
            80, array_unique(array_map(fn (array $at) => implode(',', $at), $places)),
            'no two scripts stand on one spot',
        );
        self::assertSame([], Network::of([], 20, 1000)->groups);
    }

    public function test_a_line_counts_from_its_own_figure_on(): void
    {
        self::assertSame(
            [Attention::None, Attention::Look, Attention::Look, Attention::LookClosely],
            array_map(fn (string $share) => Attention::of($share, '20', '30.0'), ['19.9', '20.0', '29.9', '30.0']),
        );
    }

    /**
     * Bad input as it comes: nothing, one word, the same paragraph 500 times, a very long text.
     */
    public function test_strange_texts_take_neither_long_nor_invent_anything(): void
    {
        self::assertSame([], Prints::of([])->all());
        $one = Words::of('Salt.');
        self::assertSame('0.0', (string) Figures::of(1, [], [], [], new LeftOutChoices(true, true))->report->share());
        self::assertTrue((new ScriptComparison($one, new Alignment))->with(Grams::numbers(['salt']), 's')->isEmpty());
        mt_srand(9);
        $paragraph = self::words(60, 4000);
        $source = Grams::numbers(array_merge(...array_fill(0, 500, $paragraph)));
        $script = Words::of(implode(' ', [...self::words(100, 4000), ...$paragraph, ...self::words(100, 4000)]));
        $found = (new ScriptComparison($script, new Alignment))->with($source, 's');
        self::assertSame(
            60, Figures::of($script->count(), [], $found->runs, $found->close, new LeftOutChoices)->report->matched(),
        );
        $long = self::words(200_000, 30_000);
        $text = Words::of(implode(' ', $long));
        self::assertSame(200_000, $text->count());
        $part = Grams::numbers(array_slice($long, 150_000, 40));
        self::assertSame(
            40,
            Figures::of(
                200_000, [], (new ScriptComparison($text, new Alignment))->with($part, 's')->runs, [],
                new LeftOutChoices,
            )->report->matched(),
        );
    }

    /**
     * @param  list<string>  $normal
     */
    #[DataProvider('spaceless')]
    public function test_scripts_without_spaces_count_a_letter_as_a_word(string $text, array $normal): void
    {
        self::assertSame($normal, Words::of($text)->normalForms());
    }

    /**
     * @return iterable<string, array{string, list<string>}>
     */
    public static function spaceless(): iterable
    {
        yield 'Han beside Latin' => ['盐田 and salt', ['盐', '田', 'and', 'salt']];
        yield 'kana' => ['しお。ソルト', ['し', 'お', 'ソ', 'ル', 'ト']];
        yield 'Thai letters keep their marks, digits stay together' => ['น้ำ ๑๒', ['น้', 'ํา', '๑๒']];
        yield 'Korean has spaces' => ['소금 마을', ['소금', '마을']];
        yield 'an apostrophe still joins' => ['l’île 盐', ["l'île", '盐']];
    }

    public function test_hidden_words_are_placed_in_the_text_where_they_stand_in_a_row(): void
    {
        $words = Words::of('Salt was made here. Discuss credit and debt. And carried away.');
        self::assertEquals(new Interval('hidden', 4, 8), Hiding::place($words, 'discuss CREDIT and debt'));
        self::assertNull(Hiding::place($words, 'credit debt'));
        self::assertNull(Hiding::place($words, ' … '));
    }

    /**
     * @return list<Run>
     */
    private function randomRuns(int $words, int $count, int $longest): array
    {
        $runs = [];
        for ($n = 0; $n < $count; $n++) {
            $from = mt_rand(0, $words - 1);
            $runs[] = new Run(
                ['a', 'b', 'c'][mt_rand(0, 2)],
                [new Piece($from, mt_rand(0, 99), min(mt_rand(1, $longest), $words - $from))],
            );
        }

        return $runs;
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<string>  $script
     * @param  list<string>  $source
     * @return list<int>
     */
    private static function covered(array $runs, array $script, array $source): array
    {
        $covered = [];
        foreach (Credit::share($runs) as $run) {
            foreach ($run->pieces as $piece) {
                self::assertSame(
                    array_slice($script, $piece->from, $piece->length),
                    array_slice($source, $piece->sourceFrom, $piece->length), 'a run that is none',
                );
                $covered = [...$covered, ...range($piece->from, $piece->to() - 1)];
            }
        }
        sort($covered);

        return $covered;
    }

    /**
     * @param  list<int>  $covered
     * @return list<array{int, int}>
     */
    private static function runsOf(array $covered): array
    {
        $runs = [];
        foreach ($covered as $i) {
            $last = count($runs) - 1;
            if ($last >= 0 && $runs[$last][1] === $i) {
                $runs[$last][1] = $i + 1;
            } else {
                $runs[] = [$i, $i + 1];
            }
        }

        return $runs;
    }
}
