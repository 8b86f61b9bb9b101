<?php

declare(strict_types=1);

/*
 * The most memory one comparison takes in a process of its own.    php tests/Bench/overlap-memory.php WORDS
 */

use App\Models\OverlapSource;
use App\Screening\DatabaseIndex;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\ScriptComparison;
use YoungHarbor\Core\Text\Words;

require __DIR__.'/begin.php';

mt_srand(5);
$essay = '';
for ($i = 0; $i < (int) $argv[1]; $i++) {
    $essay .= ' '.substr(md5((string) mt_rand(1, 30_000)), 0, 3 + $i % 8);
}
$words = Words::of($essay);
$prints = Prints::of($words->normalForms());
$index = new DatabaseIndex;
$candidates = array_keys($index->sharing([0], $prints->same) + $index->sharing([0], $prints->loose));
$comparison = new ScriptComparison($words, new Alignment);
foreach (array_chunk(array_slice([...$candidates, ...range(1, 50)], 0, 50), 10) as $ids) {
    foreach (OverlapSource::query()->whereKey($ids)->get() as $source) {
        $comparison->with($source->unpacked(), $source->name());
    }
}
echo (int) round(memory_get_peak_usage(true) / 1_048_576);
