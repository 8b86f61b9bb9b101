<?php

declare(strict_types=1);

/*
 * Finding who shares text with whom in a cohort: fingerprints first, then alignment of the candidates, beside aligning
 * every pair; and what the first finds of the second.
 */

use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Report;
use YoungHarbor\Core\Overlap\Winnowing;

require __DIR__.'/../../vendor/autoload.php';

mt_srand(11);
$vocabulary = array_map(fn (int $i): string => 'word'.$i, range(1, 4000));
$texts = [];
for ($t = 0; $t < 120; $t++) {
    for ($i = 0; $i < 1500; $i++) {
        // Some words are far commoner than others, as in any language.
        $texts[$t][] = $vocabulary[(int) (4000 * (mt_rand() / mt_getrandmax()) ** 3) % 4000];
    }
}
for ($pair = 0; $pair < 10; $pair++) {
    array_splice($texts[2 * $pair], 300, 40, array_slice($texts[2 * $pair + 1], 700, 40));
}

$alignment = new Alignment;
$start = hrtime(true);
$index = [];
foreach ($texts as $t => $words) {
    foreach ((new Winnowing)->fingerprints($words) as $print) {
        $index[$print->hash][$t] = true;
    }
}
$found = 0;
$aligned = 0;
foreach ($texts as $t => $words) {
    $candidates = [];
    foreach ((new Winnowing)->fingerprints($words) as $print) {
        $candidates += $index[$print->hash];
    }
    unset($candidates[$t]);
    foreach (array_keys($candidates) as $other) {
        $aligned++;
        $found += (new Report(1500, $alignment->runs($words, $texts[$other], 's')))->matched();
    }
}
$screened = hrtime(true) - $start;

$start = hrtime(true);
$all = 0;
$sample = 12;
for ($t = 0; $t < $sample; $t++) {
    foreach ($texts as $other => $words) {
        $all += $other === $t ? 0 : (new Report(1500, $alignment->runs($texts[$t], $words, 's')))->matched();
    }
}
$everyPair = (hrtime(true) - $start) * count($texts) / $sample;
$foundInSample = 0;
for ($t = 0; $t < $sample; $t++) {
    $foundInSample += (new Report(1500, $alignment->runs($texts[$t], $texts[$t ^ 1], 's')))->matched();
}

printf("overlap: 120 texts of 1,500 words, ten pairs of them sharing 40\n");
printf("  by fingerprints: %d words in common found, %d alignments\n", $found, $aligned);
printf("  aligning every pair (timed on a tenth): %.0f times as long; it finds %d words where fingerprints find %d\n", $everyPair / $screened, $all, $foundInSample);
