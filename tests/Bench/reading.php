<?php

declare(strict_types=1);

/*
 * Reading files into the tree and drawing pages: time for ten times as much. A ratio near 10 grows in line with size;
 * one well below it is what starting a reader costs.
 */

use App\Extraction\Pages\PageMaker;
use App\Extraction\Reader;
use App\Handins\WorkReader;
use App\Models\User;
use Tests\Files;
use Tests\PlantedFiles;
use YoungHarbor\Core\Document\Masking;
use YoungHarbor\Core\Names\PictureNames;

require __DIR__.'/begin.php';

$author = new User(['name' => "Niamh O'Donnell", 'number' => 'M204101', 'email' => 'niamh.odonnell@merrow.example']);
$masks = WorkReader::masks([$author]);
// By the clock: readers run in a process namespace of their own, and the kernel does not hand back what they used
// there.
$seconds = function (callable $work): float {
    $begun = hrtime(true);
    $work();

    return (hrtime(true) - $begun) / 1e9;
};
$file = function (string $bytes): string {
    $path = (string) tempnam(sys_get_temp_dir(), 'bench');
    file_put_contents($path, $bytes);

    return $path;
};
$line = 'The pans at the mouth of the river were drawn twice a day; so says O’Donnell.';
$paragraphs = fn (int $count): array => array_map(
    fn (int $n) => "Paragraph {$n} of the ledger. {$line}", range(1, $count),
);
$lines = fn (int $count): string => '/F1 10 Tf 60 800 Td 14 TL '.str_repeat(
    '(The pans were drawn twice a day in summer and let by the year.) Tj T* ', $count,
);
$page = $lines(40);

// What is read stays under the 100,000 words that one hand-in may have.
echo "Reading files\n";
$texts = [];
foreach (
    [
        'docx' => [200, 2_000, fn (int $n) => PlantedFiles::docx([], $paragraphs($n))],
        'odt' => [200, 2_000, fn (int $n) => PlantedFiles::odt([], $paragraphs($n))],
        'pdf' => [40, 400, fn (int $n) => Files::pdfOf(...array_fill(0, $n, $lines(15)))],
    ] as $kind => [$few, $many, $make]
) {
    $times = [];
    foreach ([$few, $many] as $count) {
        $path = $file($make($count));
        $texts[$kind] = null;
        $times[] = $seconds(function () use ($path, $kind, &$texts): void {
            $texts[$kind] = app(Reader::class)->read($path, "x.{$kind}")->document;
        });
    }
    printf(
        "  .%s of %s %s against %s: %.1f times the time (%.2f s)\n", $kind, number_format($many),
        $kind === 'pdf' ? 'pages' : 'paragraphs twice over', number_format($few), $times[1] / $times[0], $times[1],
    );
}
$hidden = $seconds(fn () => Masking::of($texts['docx'], $masks));
printf(
    "  names looked for in %s words of it: %.2f s; memory of all this process did: %.0f MB\n",
    number_format(str_word_count($texts['docx']->text())), $hidden, memory_get_peak_usage(true) / 1_048_576,
);
$drawn = [];
foreach ([5, 50] as $count) {
    $path = $file(Files::pdfOf(...array_fill(0, $count, $page)));
    $drawn[] = $seconds(fn () => app(PageMaker::class)->make($path, "{$path}.drawn", $masks, PictureNames::of([])));
    $size = filesize("{$path}.drawn") / $count / 1024;
}
// The first two pages are read by sight whatever their number.
printf(
    "  a page drawn anew: %.0f ms, %.0f kB; the two that are read by sight: %.1f s\n",
    ($drawn[1] - $drawn[0]) / 45 * 1000, $size, $drawn[0] - 5 * ($drawn[1] - $drawn[0]) / 45,
);
