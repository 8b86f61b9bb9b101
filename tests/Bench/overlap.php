<?php

declare(strict_types=1);

/*
 * Screening against an archive of 2,000 and of 20,000 texts of 2,000 words, with the same true matches in both: what an
 * essay costs from its text to what it shares; beside comparing it with every text by the same alignment; beside
 * MariaDB's full-text search as the first step, with what each finds; and the memory a worker takes.
 *
 *     php tests/Bench/overlap.php [texts in the large archive]
 */

use App\Models\OverlapSource;
use App\Screening\DatabaseIndex;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Overlap\ScriptComparison;
use YoungHarbor\Core\Text\Words;

require __DIR__.'/begin.php';

const WORDS = 2000;
const ESSAYS = 40;
$small = 2000;
$large = max($small, (int) ($argv[1] ?? 20_000));

// A vocabulary like that of a language: a few words make up much of a text, and those are short.
mt_srand(11);
$vocabulary = [];
for ($i = 0; $i < 40_000; $i++) {
    $length = $i < 150 ? 1 + $i % 4 : 3 + (7 * $i) % 9;
    $vocabulary[] = substr(
        strtr(base_convert(md5("w{$i}"), 16, 36), '0123456789', 'aeioulnrst'), 0, $length,
    ).($i < 150 ? chr(97 + $i % 26) : '');
}
$text = function (int $seed) use ($vocabulary): array {
    mt_srand($seed);
    $words = [];
    for ($i = 0; $i < WORDS; $i++) {
        $words[] = $vocabulary[(int) (40_000 * (mt_rand() / mt_getrandmax()) ** 4) % 40_000];
    }

    return $words;
};

/** The pipeline of the application, from a text to what it shares with which texts. */
$index = new DatabaseIndex;
$spent = [0.0, 0.0, 0.0];
$check = function (string $essay) use ($index, &$spent): array {
    $start = hrtime(true);
    $words = Words::of($essay);
    $prints = Prints::of($words->normalForms());
    $read = hrtime(true);
    $same = $index->sharing([0], $prints->same);
    $loose = array_filter(
        $index->sharing([0], $prints->loose), fn (int $shared) => $shared >= Prints::LOOSE_ENOUGH_FAR,
    );
    $looked = hrtime(true);
    $comparison = new ScriptComparison($words, new Alignment);
    $found = [];
    foreach (array_chunk(array_keys($same + $loose), 10) as $ids) {
        foreach (OverlapSource::query()->whereKey($ids)->get() as $source) {
            $matched = $comparison->with($source->unpacked(), $source->name(), isset($loose[$source->id]));
            if (! $matched->isEmpty()) {
                $found[$source->id] = true;
            }
        }
    }

    $spent = [$spent[0] + $read - $start, $spent[1] + $looked - $read, $spent[2] + hrtime(true) - $looked];

    return [array_keys($found), count($same + $loose)];
};

// Essays: each takes 60 words from five texts of the small archive, one of them with one word in five changed.
$essays = $true = [];
for ($e = 0; $e < ESSAYS; $e++) {
    $words = $text(9_000_000 + $e);
    for ($n = 0; $n < 5; $n++) {
        $from = 1 + ($e * 47 + $n * 311) % $small;
        $taken = array_slice($text($from), 500, 60);
        if ($n === 4) {
            foreach ($taken as $i => $word) {
                $taken[$i] = $i % 5 === 2 ? $vocabulary[($e * 97 + $i) % 40_000] : $word;
            }
        }
        array_splice($words, 300 * ($n + 1), 60, $taken);
        $true[$e][] = $from;
    }
    $essays[] = implode(' ', $words);
}

$fill = function (int $from, int $to) use ($text): array {
    $file = (string) tempnam(sys_get_temp_dir(), 'prints');
    $out = fopen($file, 'w');
    $rows = [];
    $prints = 0;
    for ($id = $from; $id <= $to; $id++) {
        $words = $text($id);
        $hashes = Prints::of($words)->all();
        $prints += count($hashes);
        fwrite($out, implode('', array_map(fn (int $hash) => "0\t{$hash}\t{$id}\n", $hashes)));
        $rows[] = [
            'id' => $id, 'public_id' => Str::uuid()->toString(), 'kind' => 'archive', 'shelf' => 0, 'words' => WORDS,
            'numbers' => OverlapSource::packed($words),
        ];
        if (count($rows) === 100 || $id === $to) {
            DB::table('overlap_sources')->insert($rows);
            $rows = [];
        }
    }
    fclose($out);
    // In the order of the key, as a first filling would: pages are written once.
    passthru('LC_ALL=C sort -t "	" -k2,2n -S 1G -o '.escapeshellarg($file).' '.escapeshellarg($file));
    passthru(
        'mariadb --no-defaults --protocol=tcp --local-infile=1 -h 127.0.0.1 -P '.escapeshellarg(
            (string) config('database.connections.mariadb.port')
        ).' -u root '.escapeshellarg((string) config('database.connections.mariadb.database')).' -e '.escapeshellarg(
            "SET unique_checks=0; LOAD DATA LOCAL INFILE '{$file}' INTO TABLE overlap_prints (shelf, hash, source_id)"
        )
    );
    unlink($file);
    // What was just written goes to disk first: an archive grows slowly, and is not read while it is filled.
    DB::statement('SET GLOBAL innodb_max_dirty_pages_pct = 0');
    for ($n = 0; $n < 180 && (int) DB::selectOne("SHOW GLOBAL STATUS LIKE 'Innodb_buffer_pool_pages_dirty'")->Value > 500; $n++) {
        sleep(1);
    }

    return [$prints];
};

$measure = function () use ($check, $essays, $true, &$spent): array {
    foreach (array_slice($essays, 0, 5) as $essay) { // warm
        $check($essay);
    }
    $spent = [0.0, 0.0, 0.0];
    $times = [];
    $hits = $candidates = 0;
    foreach ($essays as $e => $essay) {
        $start = hrtime(true);
        [$found, $aligned] = $check($essay);
        $times[] = (hrtime(true) - $start) / 1e6;
        $hits += count(array_intersect($true[$e], $found));
        $candidates += $aligned;
    }
    sort($times);
    $all = array_sum($spent);
    printf(
        "  of an essay's time: %.0f %% reading it, %.0f %% looking up, %.0f %% aligning\n", 100 * $spent[0] / $all,
        100 * $spent[1] / $all, 100 * $spent[2] / $all,
    );

    return [$times[intdiv(count($times), 2)], $hits / (5 * ESSAYS), $candidates / ESSAYS, array_sum($times)];
};

DB::table('overlap_prints')->truncate();
DB::statement('SET FOREIGN_KEY_CHECKS = 0');
DB::table('overlap_sources')->truncate();
[$prints] = $fill(1, $small);
printf(
    "overlap: texts of %s words, %.0f prints each; essays with 60 words from each of five of them, one in five changed in one\n",
    number_format(WORDS), $prints / $small,
);
[$a, $recallA, $candidatesA] = $measure();
printf(
    "  archive of %s: %.1f essays a second, %.0f %% of true sources found, %.1f texts aligned an essay\n",
    number_format($small), 1000 / $a, 100 * $recallA, $candidatesA,
);

// Full-text search as the first step, on the small archive: the same sequences of words, the best 50 pages.
DB::statement('DROP TABLE IF EXISTS bench_texts');
DB::statement('CREATE TABLE bench_texts (id BIGINT PRIMARY KEY, body MEDIUMTEXT NOT NULL) ENGINE=InnoDB');
for ($id = 1; $id <= $small; $id += 50) {
    DB::table('bench_texts')->insert(
        array_map(fn (int $n) => ['id' => $n, 'body' => implode(' ', $text($n))], range($id, min($small, $id + 49)))
    );
}
DB::statement('ALTER TABLE bench_texts ADD FULLTEXT (body)');
$times = [];
$hits = 0;
foreach (array_slice($essays, 0, 12) as $e => $essay) {
    $start = hrtime(true);
    $ids = DB::table('bench_texts')->whereRaw('MATCH(body) AGAINST(?)', [$essay])->limit(50)->pluck('id')->all();
    $words = Words::of($essay);
    $comparison = new ScriptComparison($words, new Alignment);
    $found = [];
    foreach (OverlapSource::query()->whereKey($ids)->get() as $source) {
        $comparison->with($source->unpacked(), $source->name())->isEmpty() || $found[] = $source->id;
    }
    $times[] = (hrtime(true) - $start) / 1e6;
    $hits += count(array_intersect($true[$e], $found));
}
sort($times);
printf(
    "  full-text search first, best 50 aligned: %.0f times as long, %.0f %% of true sources found\n",
    $times[intdiv(count($times), 2)] / $a, 100 * $hits / (5 * count($times)),
);
DB::statement('DROP TABLE bench_texts');

if ($large > $small) {
    // Filled anew, not added to: rows that come in order between rows that are there leave pages a third full.
    DB::table('overlap_prints')->truncate();
    DB::table('overlap_sources')->truncate();
    $fill(1, $large);
    [$b, $recallB, $candidatesB] = $measure();
    printf(
        "  archive of %s: %.1f essays a second, %.0f %% found, %.1f aligned; cost of an essay %.2f times that against %s\n",
        number_format($large), 1000 / $b, 100 * $recallB, $candidatesB, $b / $a, number_format($small),
    );
} else {
    $b = $a;
}

// Every text by the same alignment, timed on a sample.
$comparison = new ScriptComparison(Words::of($essays[0]), new Alignment);
$sample = OverlapSource::query()->whereKey(range(1, 200))->get();
$start = hrtime(true);
foreach ($sample as $source) {
    $comparison->with($source->unpacked(), $source->name());
}
$every = (hrtime(true) - $start) / 1e6 / $sample->count() * $large;
printf(
    "  comparing with every one of %s by the same alignment: %.0f times as long (from a sample of 200)\n",
    number_format($large), $every / $b,
);

// A worker of its own, so that nothing above counts: one long and one usual text.
foreach ([WORDS, 100_000] as $count) {
    $peak = shell_exec(PHP_BINARY.' -d memory_limit=256M '.escapeshellarg(__DIR__.'/overlap-memory.php').' '.$count);
    printf(
        "  memory of a worker, text of %s words against %s texts: %s MB\n", number_format($count),
        number_format($large), trim((string) $peak),
    );
}
DB::table('overlap_prints')->truncate();
DB::table('overlap_sources')->truncate();
DB::statement('SET FOREIGN_KEY_CHECKS = 1');
