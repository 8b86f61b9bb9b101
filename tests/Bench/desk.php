<?php

declare(strict_types=1);

/*
 * The desk page beside an empty page of the same application: with 10 and with 5,000 scripts in the queue, with 1 and with
 * 200 comments on the script; a step from script to script; and a plan of 5,000 scripts over 60 tutors. Ratios of medians
 * measured in turn; queries must not grow.
 */

use App\Actions\Mark\SaveChoice;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Support\DeskQueue;
use App\Support\ScriptText;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Tests\World;
use YoungHarbor\Core\Allocation\Marker;
use YoungHarbor\Core\Allocation\MarkerPlan;
use YoungHarbor\Core\Allocation\Work;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Text\TextAnchor;

require __DIR__.'/begin.php';
Route::middleware(['web', 'auth'])->get('/bench-empty', fn () => view('bench-empty'));
app('view')->addLocation(__DIR__.'/views');

$world = new class
{
    use World;

    /** A mark on a desk whose marker has so many scripts of the assignment. */
    public function desk(int $scripts): Mark
    {
        $this->tutors = $this->students = [];
        DB::transaction(fn () => $this->module(1, $scripts));
        $assignment = DB::transaction(fn () => $this->sharedOut($this->assignment(['scheme' => $this->oneMark()])));
        $mark = $this->markOf($this->script($assignment), Seat::First);
        app(SaveChoice::class)($mark, 'c1', ['level' => 'l2', 'comment' => 'A comment.']);
        Carbon::setTestNow();

        return $mark;
    }

    public function comment(Mark $mark, int $count): void
    {
        $text = ScriptText::of($mark->handin);
        for ($n = $mark->comments()->count(); $n < $count; $n++) {
            $start = $n * 3 % (mb_strlen($text) - 20);
            MarkComment::query()->create(['mark_id' => $mark->id, 'kind' => 'fix', 'criterion' => 'c1', 'body' => "Comment {$n}: say whose account this is.", 'anchor' => TextAnchor::at($text, $start, $start + 12)->toArray()]);
        }
    }
};

$measure = function (Mark $mark, ?string $path = null) use ($get, $median): array {
    $times = ['desk' => [], 'empty' => []];
    $queries = 0;
    for ($i = 0; $i < 65; $i++) {
        [$desk, $queries] = $get($mark->marker, $path ?? '/desk/'.$mark->public_id);
        [$empty] = $get($mark->marker, '/bench-empty');
        if ($i >= 5) {
            $times['desk'][] = $desk;
            $times['empty'][] = $empty;
        }
    }

    return [$median($times['desk']), $median($times['empty']), $queries];
};

printf("desk: each time the median of 60, in turn with an empty page\n");
$found = [];
foreach ([10, 5000] as $scripts) {
    $mark = $world->desk($scripts);
    $world->comment($mark, 1);
    $found[$scripts] = $measure($mark);
    printf("  %5d scripts in the queue: %5.1f ms, %.1f times an empty page (%.1f ms); %d queries\n", $scripts, $found[$scripts][0], $found[$scripts][0] / $found[$scripts][1], $found[$scripts][1], $found[$scripts][2]);
}
$next = app(DeskQueue::class)->around($mark)['next'];
[$step, $empty] = $measure($next === null ? $mark : Mark::query()->findOrFail($next->id));
printf("  a step to the next of 5,000: %.1f ms, %.1f times an empty page\n", $step, $step / $empty);
$mark = $world->desk(10);
foreach ([1, 200] as $comments) {
    $world->comment($mark, $comments);
    $found["{$comments} comments"] = $measure($mark);
    printf("  %5d comments on the script: %5.1f ms; %d queries\n", $comments, $found["{$comments} comments"][0], $found["{$comments} comments"][2]);
}
$queue = $found[5000][0] / $found[10][0];
$many = $found['200 comments'][0] / $found['1 comments'][0];
printf("  ratios: queue of 5,000 against 10: %.2f; 200 comments against 1: %.2f (aim: under 1.5)\n", $queue, $many);
$same = $found[5000][2] === $found[10][2] && $found['200 comments'][2] === $found['1 comments'][2];
printf("  queries: %s\n", $same ? 'the same' : 'MORE');

mt_srand(1);
$works = array_map(fn (int $n) => new Work("s{$n}", 'S'.$n % 10, 'g'.intdiv($n, 4), ["u{$n}"]), range(1, 5000));
$markers = array_map(fn (int $n) => Marker::of("m{$n}", (string) (1 + $n % 3), $n % 7 === 0 ? ['S1', 'S2', 'S3'] : null, array_map(fn () => 'u'.mt_rand(1, 5000), range(1, 5))), range(1, 60));
$start = hrtime(true);
$plan = MarkerPlan::make($works, $markers, 5, 2);
printf("  a plan of 5,000 scripts with two marks each over 60 tutors, shares, sections and 300 conflicts: %.1f s, %d placed\n", (hrtime(true) - $start) / 1e9, count($plan->given));
exit($same ? 0 : 1);
