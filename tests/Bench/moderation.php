<?php

declare(strict_types=1);

/*
 * The page of moderation with 50 scripts of 4 markers and with 2,000 of 40, each marked twice, in turn; a sample drawn
 * from 5,000 scripts; the preview of a sample of 2,000 with its second markers and what it can see.
 */

use App\Alike\AlikeFigures;
use App\Alike\BlindMarks;
use App\Models\Script;
use Brick\Math\BigDecimal;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Agreement\Drift;
use YoungHarbor\Core\Agreement\MarkerEffects;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Agreement\StandingOut;
use YoungHarbor\Core\Formats\MarksCsv;
use YoungHarbor\Core\Marking\FirstMark;
use YoungHarbor\Core\Marking\Sample;
use YoungHarbor\Core\Marking\SampleRule;

require __DIR__.'/begin.php';

$world = require __DIR__.'/marked-cohort.php';

Illuminate\Support\Facades\Mail::fake();
[$fewBy, $few] = $world->marked(50, 4, true);
[$manyBy, $many] = $world->marked(2000, 40, true);
[$sampleBy, $sample] = $world->marked(2000, 40, false);
$found = $inTurn([
    '50' => [$fewBy, "/assignments/{$few->public_id}/moderate"],
    '2,000' => [$manyBy, "/assignments/{$many->public_id}/moderate"],
], 40);
printf("moderation page, medians of 40, in turn; processor time of PHP and the database together\n");
foreach (['50', '2,000'] as $n) {
    printf(
        "  %5s scripts: %.1f ms of processor time, %.1f ms, %d queries, %d rows\n", $n, $found[$n]['cpu'],
        $found[$n]['wall'], $found[$n]['queries'], $found[$n]['rows'],
    );
}
printf("  ratio %.2f (aim: 2)\n", $found['2,000']['cpu'] / $found['50']['cpu']);

// Marks of two on one script differ, are finished one after the other in the evenings of four days, and one marker in
// twenty is six marks harsher than the others.
DB::update(
    'UPDATE marks SET total = GREATEST(0, LEAST(100, total + (id * 37) % 13 - 6 - IF(marker_id % 20 = 0, 6, 0))), first_done_at = DATE_ADD(done_at, INTERVAL (id % 4) * 1440 + FLOOR(queue_place / 40) * 9 MINUTE)',
);
$blind = BlindMarks::of($many);
$report = $spent(function () use ($blind): void {
    Report::of($blind->scripts(), [40.0, 50.0, 60.0, 70.0], 5);
    StandingOut::of(MarkerEffects::of($blind->all()));
    foreach ($blind->completions() as $own) {
        Drift::of($own, 1);
    }
});
printf(
    "agreement, severity and drift of 2,000 scripts and 40 markers: %.0f ms of processor time (aim: below 1,000)\n",
    $report,
);
$afresh = $spent(fn () => app(AlikeFigures::class)->figures(BlindMarks::of($many)));
printf(
    "  with reading the marks and scoring both of each criterion by criterion: %.1f s, once after a mark changed\n",
    $afresh / 1000,
);
app(AlikeFigures::class)->of($few);
app(AlikeFigures::class)->of($many);
$alike = $inTurn([
    '50' => [$fewBy, "/assignments/{$few->public_id}/alike"],
    '2,000' => [$manyBy, "/assignments/{$many->public_id}/alike"],
], 20);
foreach (['50', '2,000'] as $n) {
    printf(
        "  page on marking alike, %5s scripts: %.1f ms of processor time, %d queries, %d rows\n", $n, $alike[$n]['cpu'],
        $alike[$n]['queries'], $alike[$n]['rows'],
    );
}
printf("  ratio %.2f (aim: 2)\n", $alike['2,000']['cpu'] / $alike['50']['cpu']);

$random = new Randomizer(new Xoshiro256StarStar(1));
$marks = array_map(fn (int $n) => new FirstMark(
    "s{$n}", 'm'.$random->getInt(1, 40), BigDecimal::of($random->getInt(200, 900))->dividedBy(10, 1),
), range(1, 5000));
$boundaries = MarksCsv::boundaries('0,40,50,60,70');
$took = $median(array_map(
    fn (int $seed) => $spent(fn () => Sample::draw($marks, SampleRule::usual(), $boundaries, $seed)), range(1, 9),
));
printf("a sample drawn from 5,000 scripts of 40 markers: %.0f ms of processor time (aim: below 1,000)\n", $took);
$preview = $inTurn(['preview' => [$sampleBy, "/assignments/{$sample->public_id}/sample"]], 3, 1)['preview'];
printf(
    "preview of a sample of 2,000 scripts of 40 markers, with second markers and what it can see: %.1f s of processor time, %d queries\n",
    $preview['cpu'] / 1000, $preview['queries'],
);
Carbon::setTestNow();
exit($found['50']['queries'] === $found['2,000']['queries'] ? 0 : 1);
