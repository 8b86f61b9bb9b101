<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Text\Sentence;
use YoungHarbor\Core\Text\Sentences;
use YoungHarbor\Core\Text\Words;
use YoungHarbor\Core\Writing\Baseline;
use YoungHarbor\Core\Writing\BigramModel;
use YoungHarbor\Core\Writing\Conformal;
use YoungHarbor\Core\Writing\Fit;
use YoungHarbor\Core\Writing\Measures;
use YoungHarbor\Core\Writing\Prose;
use YoungHarbor\Core\Writing\Quantile;
use YoungHarbor\Core\Writing\SameHand;
use YoungHarbor\Core\Writing\Sample;
use YoungHarbor\Core\Writing\Separation;
use YoungHarbor\Core\Writing\Share;
use YoungHarbor\Core\Writing\Signal;
use YoungHarbor\Core\Writing\SignalReading;
use YoungHarbor\Core\Writing\StockPhrases;
use YoungHarbor\Core\Writing\TrustedTexts;
use YoungHarbor\Core\Writing\Unusualness;
use YoungHarbor\Core\Writing\Vocabulary;

/**
 * What is measured of writing, each against values worked by hand or published.
 */
final class WritingTest extends TestCase
{
    /**
     * @return array<string, array{string, list<string>}>
     */
    public static function sentences(): array
    {
        return [
            'two' => ['The tide turned. Nobody saw it.', ['The tide turned', 'Nobody saw it']],
            'abbreviations, initials and numbers' => [
                'Mr. Garrow paid 3.50 to J. B. Oram, i.e. the miller. He signed no. 14.',
                ['Mr. Garrow paid 3.50 to J. B. Oram, i.e. the miller', 'He signed no. 14'],
            ],
            'quotation marks after the stop' => [
                '“Where is it?” “At sea.” He left!', ['Where is it', 'At sea', 'He left'],
            ],
            'an ellipsis in the middle' => [
                'They waited … and waited. Then rain.', ['They waited … and waited', 'Then rain'],
            ],
            'paragraphs end sentences' => [
                "A heading\n\nThe first of it. And more", ['A heading', 'The first of it', 'And more'],
            ],
            'lines end them where there are no paragraphs' => ["One line\nand another", ['One line', 'and another']],
            'lines do not where there are' => ["One line\nand its rest.\n\nNext.", ["One line\nand its rest", 'Next']],
            'another script' => ['潮水退了。没有人看见。', ['潮水退了', '没有人看见']],
            'French' => ['Où est-il ? « Là-bas. » Elle partit.', ['Où est-il', 'Là-bas', 'Elle partit']],
            'nothing' => [' … ', []],
        ];
    }

    /**
     * @param  list<string>  $expected
     */
    #[DataProvider('sentences')]
    public function test_sentences(string $text, array $expected): void
    {
        $words = Words::of($text);
        self::assertSame(
            $expected, array_map(fn (Sentence $one) => $words->slice($one->from, $one->to), Sentences::of($words)),
        );
    }

    public function test_what_is_not_the_writer_s_running_prose_is_left_out(): void
    {
        $prose = fn (string $text): string => implode(' ', Prose::of($text)->words);
        self::assertSame(
            'the clerk wrote in his book and signed it',
            $prose(
                "Chapter one\n\nThe clerk wrote “with regard to character and not to clamour” in his book, and signed it.\n\nBibliography\n\nOram, W. (1803) Letters to the trust. Sallow Quay: Mill Press."
            ),
        );
        self::assertSame(
            'it ended there', $prose("herring | 12 | 40\nsprat | 3 | 9\nsalt | 1 | 2\ncoal | 5 | 5\n\nIt ended there."),
        );
        self::assertSame('', $prose("for each boat in fleet\n  count the crew\n  add to total\nreturn total"));
        self::assertSame('', $prose("The sea came in\nand took the wall\nand took the lane\nand took us all."));
        self::assertSame(
            40, Prose::of(trim(str_repeat('word ', 40)))->count(),
            'without a mark, but too long for a heading: one sentence',
        );
        $marks = Prose::of('First, a boat; then (much later) a wall: was it there? Yes – it was!')->marks;
        self::assertSame(
            [
                'comma' => 1, 'semicolon' => 1, 'colon' => 1, 'dash' => 1, 'bracket' => 1, 'question' => 1,
                'exclamation' => 1,
            ],
            $marks,
        );
    }

    public function test_variety_by_hand(): void
    {
        // Windows of 3 over a b a c c: aba 2, bac 3, acc 2 → (2 + 3 + 2) / 9.
        self::assertEqualsWithDelta(7 / 9, Measures::movingRatio(['a', 'b', 'a', 'c', 'c'], 3), 1e-12);
        self::assertEqualsWithDelta(0.5, Measures::movingRatio(['a', 'a'], 100), 1e-12);
        self::assertNull(Measures::movingRatio([]));
        // McCarthy and Jarvis 2010, page 385, in outline: a a b: ratios 1, 0.5 → a factor; b: 1 → no rest. Forwards 1
        // factor in 3 words. Backwards b a a: 1, 1, 0.667 → a factor. Both 3.
        self::assertEqualsWithDelta(3.0, Measures::mtld(['a', 'a', 'b']), 1e-12);
        // a b c a: forwards 1, 1, 1, 0.75 → rest (1 − 0.75) / (1 − 0.72); backwards the same.
        self::assertEqualsWithDelta(4 / (0.25 / 0.28), Measures::mtld(['a', 'b', 'c', 'a']), 1e-9);
        self::assertEqualsWithDelta(2.0, Measures::mtld(['a', 'b']), 1e-12, 'no word comes back');
        // Lengths 2, 4, 6: mean 4, standard deviation 2.
        self::assertEqualsWithDelta(0.5, Measures::variation([2, 4, 6]), 1e-12);
        self::assertNull(Measures::variation([7]));
    }

    public function test_rates_by_hand(): void
    {
        $of = Measures::of(
            Prose::of(
                "The wall stood, and the sea came. The wall fell; nobody saw it. Then it rained.\n\nThe end came. In conclusion, on the other hand, walls fall.\n\nIt was so."
            )
        );
        self::assertEqualsWithDelta(30 / 6, $of[Signal::SentenceLength->value], 1e-9);
        self::assertEqualsWithDelta(2 / 6, $of[Signal::RepeatedOpenings->value], 1e-9, 'the second and the fourth');
        self::assertEqualsWithDelta(100 * 3 / 30, $of[Signal::Commas->value], 1e-9);
        self::assertEqualsWithDelta(100 / 30, $of[Signal::OtherMarks->value], 1e-9);
        self::assertEqualsWithDelta(2000 / 30, $of[Signal::StockPhrases->value], 1e-9);
        self::assertSame(2, StockPhrases::count(explode(' ', 'it plays a vital role in a number of ways')));
        self::assertNull(Measures::of(Prose::of('One. Two.'))[Signal::ParagraphVariation->value]);
    }

    public function test_the_model_by_hand_and_that_it_sums_to_one(): void
    {
        $vocabulary = new Vocabulary;
        $sample = fn (string $text): Sample => Sample::of(Prose::of($text), $vocabulary);
        $texts = [$sample('The sea rose. The sea fell. The wall fell.'), $sample('The sea rose.')];
        $model = new BigramModel;
        array_map($model->add(...), $texts);
        // The second text under the first alone. Pairs there: start-the 3, the-sea 2, the-wall 1, sea-rose 1, sea-fell
        // 1,
        // wall-fell 1; six different ones, of which before the: 1, sea: 1, wall: 1, rose: 1, fell: 2. Five words known.
        $rest = 0.75 * 5 / 6 / 6;
        $once = (1 - 0.75) / 6 + $rest;
        $the = (3 - 0.75 + 0.75 * $once) / 3;
        $sea = (2 - 0.75 + 0.75 * 2 * $once) / 3;
        $rose = (1 - 0.75 + 0.75 * 2 * $once) / 2;
        self::assertEqualsWithDelta(-log($the * $sea * $rose, 2) / 3, $model->bits($texts[1])[0], 1e-12);
        // Every word after "the", and one nobody knows: together certain.
        $sum = 0.0;
        foreach (['the', 'sea', 'wall', 'rose', 'fell', 'moon'] as $word) {
            $asked = $sample("The {$word}.");
            $model->takeOut($texts[1]);
            $model->add($asked);
            $sum += 2 ** -(2 * $model->bits($asked)[0] + log($the, 2));
            $model->takeOut($asked);
            $model->add($texts[1]);
        }
        self::assertEqualsWithDelta(1.0, $sum, 1e-9);
    }

    /** A text that is twice as long is measured over the same words as one that ends there. */
    public function test_length_alone_makes_no_difference(): void
    {
        $texts = array_map(fn (int $n) => Prose::of($this->text($n)), range(1, 12));
        $baseline = new Baseline($texts);
        $shortest = min(array_map(fn (Prose $text) => $text->count(), $texts));
        self::assertSame(
            [300, $baseline->length(), 200],
            [$baseline->length(min(349, $shortest)), $baseline->length(5000), $baseline->length(249)],
        );
        self::assertLessThanOrEqual($shortest, $baseline->length());
        $short = Prose::of($this->text(20));
        $long = Prose::of($this->text(20).$this->text(21));
        self::assertSame($baseline->compared($short)->measures, $baseline->compared($long)->measures);
        self::assertSame($baseline->compared($short)->score, $baseline->compared($long)->score);
        self::assertCount(60, $baseline->compared($long)->bits, 'the strip shows the whole text');
        $first = $long->first(100);
        self::assertLessThanOrEqual(100, $first->count());
        self::assertSame(array_slice($long->words, 0, $first->count()), $first->words);
        self::assertSame($first->count(), array_sum($first->paragraphs));
        self::assertSame($short, $short->first(10_000));
        self::assertCount(1, $long->first(1)->sentences, 'one sentence at least');
    }

    /** Taking a text out leaves what was there before it, to the last count. */
    public function test_asking_changes_nothing(): void
    {
        $texts = array_map(fn (int $n) => Prose::of($this->text($n)), range(1, 12));
        $baseline = new Baseline(array_slice($texts, 0, 10));
        $first = $baseline->compared($texts[10]);
        $baseline->compared($texts[11]);
        self::assertEquals($first, $baseline->compared($texts[10]));
        self::assertEquals($first, (new Baseline(array_slice($texts, 0, 10)))->compared($texts[10]));
        // The rule treats all alike: with the text in the place of another, the scores change places too.
        $swapped = (new Baseline([$texts[10], ...array_slice($texts, 1, 9)]))->compared($texts[0]);
        self::assertEqualsWithDelta($first->score, $swapped->others[0], 1e-6);
        self::assertEqualsWithDelta($first->others[0], $swapped->score, 1e-6);
        self::assertEqualsWithDelta($first->others[4], $swapped->others[4], 1e-6);
    }

    /** Against the formula written out with an inverse by elimination. */
    public function test_the_distance_from_the_others(): void
    {
        mt_srand(4);
        $rows = [];
        for ($i = 0; $i < 15; $i++) {
            $a = mt_rand(0, 1000) / 100;
            $rows[] = [
                'a' => $a, 'b' => $a / 2 + mt_rand(0, 1000) / 300, 'c' => mt_rand(0, 1000) / 10, 'same' => 4.0,
                'rare' => $i < 3 ? 1.0 : null,
            ];
        }
        foreach (Unusualness::of($rows) as $i => $score) {
            self::assertEqualsWithDelta($this->distance($rows, $i, ['a', 'b', 'c']), $score, 1e-6);
        }
        self::assertSame([0.0, 0.0], Unusualness::of([['a' => 1.0], ['a' => 2.0]]));
        self::assertSame([0.0, 0.0, 0.0], Unusualness::of([['a' => 1.0], ['a' => 1.0], ['a' => 1.0]]), 'copies');
        $odd = Unusualness::of([...array_fill(0, 20, ['a' => 0.0]), ['a' => 1.0]]);
        self::assertGreaterThan(10 * $odd[0] + 1, $odd[20]);
        self::assertLessThan(1000, $odd[20], 'what none of the others shows stays finite');
    }

    public function test_the_p_value_counts_itself_and_holds_the_alarm(): void
    {
        self::assertSame(
            [4, 5], [Conformal::of(1.0, [1.0, 2.0, 3.0, 0.5])->atLeast, Conformal::of(1.0, [1.0, 2.0, 3.0, 0.5])->of],
        );
        self::assertTrue(Conformal::of(9.0, range(1.0, 8.5, 0.4))->isUnusual(0.05), '1 of 20 at 0.05');
        self::assertFalse(Conformal::of(9.0, range(1.0, 8.0, 0.4))->isUnusual(0.05));
        self::assertSame([19, 9, 1, 99, 33], array_map(Conformal::least(...), [0.05, 0.1, 0.5, 0.01, 0.03]));
        mt_srand(8);
        $unusual = 0;
        for ($n = 0; $n < 20_000; $n++) {
            $scores = array_map(fn () => mt_rand() / mt_getrandmax(), range(0, 19));
            $unusual += Conformal::of($scores[0], array_slice($scores, 1))->isUnusual(0.1) ? 1 : 0;
        }
        // Exactly 2 of 20; four standard errors.
        self::assertEqualsWithDelta(0.1, $unusual / 20_000, 4 * sqrt(0.09 / 20_000));
    }

    /** R. Newcombe, Statistics in Medicine 17, 1998, table I, method 3 (from memory). */
    public function test_intervals_of_shares(): void
    {
        foreach (
            [
                [81, 263, 0.2553, 0.3662], [15, 148, 0.0624, 0.1605], [0, 20, 0.0, 0.1611], [1, 29, 0.0061, 0.1718],
            ] as [$times, $of, $low, $high]
        ) {
            self::assertEqualsWithDelta([$low, $high], (new Share($times, $of))->interval(), 0.00006);
        }
        self::assertNull((new Share(0, 0))->interval());
        // All above, none above, and a tie by hand.
        self::assertSame(1.0, Separation::of([1.0, 2.0], [3.0])?->area);
        self::assertSame(0.25, Separation::of([1.0, 2.0], [1.0])?->area);
        self::assertNull(Separation::of([], [1.0]));
        // Definition 7 of Hyndman and Fan, by hand.
        self::assertEqualsWithDelta(1.75, Quantile::of([4.0, 1.0, 2.0, 3.0], 0.25), 1e-12);
    }

    public function test_what_does_not_belong_in_a_baseline(): void
    {
        $texts = array_map(fn (int $n) => Prose::of($this->text($n)), range(1, 8));
        $trusted = TrustedTexts::of([
            ...$texts, 'copy' => Prose::of($this->text(3).' One more sentence stands here.'),
            'short' => Prose::of('It is short. Very.'),
            'german' => Prose::of(
                str_repeat(
                    'Der alte Hafen lag unter dem Nebel und niemand wusste wann die Boote wieder aus der See kamen. ',
                    1,
                ).implode(
                    ' ',
                    array_map(
                        fn (int $n) => "Das Wasser {$n} stieg über die Mauer{$n}, und die Leute{$n} gingen in das Haus{$n} auf dem Berg{$n}.",
                        range(1, 40),
                    ),
                )
            ),
        ]);
        self::assertSame(8, $trusted->size());
        self::assertSame(['copy', 'short', 'german'], array_keys($trusted->misfits));
        self::assertStringContainsString('of text 3', $trusted->misfits['copy']);
        self::assertStringContainsString('300 are needed', $trusted->misfits['short']);
        self::assertStringContainsString('another language', $trusted->misfits['german']);
        self::assertEqualsWithDelta(1 / 9, $trusted->lowestAlarm(), 1e-12);
        $trusted->mustSupport(0.12);
        $one = TrustedTexts::of(array_fill(0, 30, $texts[0]));
        self::assertSame(1, $one->size(), 'copies of one text are one text');
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage('at least 19');
        $one->mustSupport(0.05);
    }

    public function test_too_little_gives_nothing_and_says_why(): void
    {
        self::assertStringStartsWith('5 words', (string) Fit::tooShort(Prose::of('It is five words long.')));
        self::assertStringContainsString(
            '1 sentence that', (string) Fit::tooShort(Prose::of(trim(str_repeat('and the sea came in ', 200)).'.')),
        );
        self::assertStringContainsString('left out', (string) Fit::tooShort(Prose::of("A heading here\n\nText.")));
        self::assertNull(Fit::tooShort(Prose::of($this->text(1))));
        self::assertNull(
            Fit::tooShort(Prose::of(mb_strtoupper($this->text(1)))), 'capitals are read like other letters',
        );
        self::assertNotNull(Fit::tooShort(Prose::of('')));
    }

    public function test_a_reading_says_in_words_how_it_compares(): void
    {
        $reading = SignalReading::of(
            Signal::SentenceVariation, 0.2, array_map(fn (int $n) => 0.15 + $n / 20, range(1, 20)),
        );
        self::assertSame(
            'the length of sentences varies less than in 19 of 20 trusted texts', lcfirst($reading->inWords()),
        );
        self::assertTrue(SignalReading::of(Signal::Commas, 9.0, [1.0, 2.0])->isOutside());
        self::assertSame(
            'there are more commas than in 2 of 2 trusted texts',
            SignalReading::of(Signal::Commas, 9.0, [1.0, 2.0])->inWords(),
        );
        self::assertSame('9.00', $reading->shown(9.0));
    }

    public function test_the_same_hand_needs_earlier_work_and_others(): void
    {
        $others = array_map(fn (int $n) => Prose::of($this->text($n)), range(1, 12));
        self::assertNull(SameHand::of($others[0], [Prose::of('Too short. It is.')], $others));
        self::assertNull(SameHand::of($others[0], [$others[1], $others[2]], array_slice($others, 3, 4)));
        $same = SameHand::of($others[0], [$others[0], $others[0]], array_slice($others, 1));
        self::assertSame(
            [0.0, 11, 1.0], [$same?->distance, $same?->farther, $same?->p()], 'its own copy: all others lie farther',
        );
    }

    /** About 400 words in sentences, by a seed. */
    private function text(int $seed): string
    {
        mt_srand($seed);
        $small = ['the', 'a', 'of', 'and', 'in', 'to', 'was', 'it', 'that', 'by'];
        $sentences = [];
        for ($n = 0; $n < 30; $n++) {
            $words = [];
            for ($i = 0, $length = mt_rand(6, 22); $i < $length; $i++) {
                $words[] = $i % 2 === 0 ? $small[mt_rand(0, 9)] : 'noun'.mt_rand(1, 300);
            }
            $sentences[] = ucfirst(implode(' ', $words)).'.'.($n % 7 === 6 ? "\n\n" : ' ');
        }

        return implode('', $sentences);
    }

    /**
     * @param  list<array<string, float|null>>  $rows
     * @param  list<string>  $signals
     */
    private function distance(array $rows, int $i, array $signals): float
    {
        $d = count($signals);
        $others = $rows;
        array_splice($others, $i, 1);
        $n = count($others);
        $mean = fn (string $s): float => array_sum(array_column($others, $s)) / $n;
        $covariance = fn (string $s, string $t): float => array_sum(
            array_map(fn (array $row) => ($row[$s] - $mean($s)) * ($row[$t] - $mean($t)), $others)
        ) / $n;
        $shrink = $d / ($d + $n);
        $m = $z = [];
        foreach ($signals as $j => $s) {
            $z[$j] = ($rows[$i][$s] - $mean($s)) / sqrt($covariance($s, $s));
            foreach ($signals as $k => $t) {
                $m[$j][$k] = $j === $k
                    ? 1.0
                    : (1 - $shrink) * $covariance($s, $t) / sqrt($covariance($s, $s) * $covariance($t, $t));
            }
            $m[$j][] = $z[$j];
        }
        for ($j = 0; $j < $d; $j++) {
            for ($k = 0; $k < $d; $k++) {
                if ($k !== $j) {
                    $factor = $m[$k][$j] / $m[$j][$j];
                    foreach ($m[$k] as $l => $value) {
                        $m[$k][$l] = $value - $factor * $m[$j][$l];
                    }
                }
            }
        }

        return array_sum(array_map(fn (int $j) => $z[$j] * $m[$j][$d] / $m[$j][$j], range(0, $d - 1)));
    }
}
