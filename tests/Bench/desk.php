<?php

declare(strict_types=1);

/*
 * The desk page beside an empty page of the same application: with 10 and with 5,000 scripts in the queue, with 1 and
 * with 200 comments on the script; a step from script to script; and a plan of 5,000 scripts over 60 tutors. Ratios of
 * medians measured in turn; queries must not grow.
 */

use App\Actions\Mark\SaveChoice;
use App\Actions\Mark\StoreStandings;
use App\Desk\DeskQueue;
use App\Documents\ScriptText;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Models\Script;
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
        $assignment = DB::transaction(fn () => $this->assignment(['scheme' => $this->oneMark()]));
        // Read already: what is measured is the desk, not the worker.
        DB::transaction(function () use ($assignment): void {
            foreach (Script::query()->where('assignment_id', $assignment->id)->get() as $n => $script) {
                $text = "Essay number {$n}. ".$this->prose(80, $n);
                $handin = $script->handins()->make([
                    'attempt' => 1, 'handed_in_by' => $script->student_id, 'bytes' => strlen($text),
                    'sha256' => hash('sha256', $text), 'words' => 83, 'text' => $text, 'html' => "<p>{$text}</p>",
                    'notes' => [], 'identity' => [], 'due_at' => $script->due_at, 'late' => false,
                    'received_at' => now(), 'read_at' => now(), 'prepared_at' => now(), 'seal' => str_repeat('0', 64),
                ]);
                $handin->save();
                $script->letCount($handin);
            }
            app(StoreStandings::class)(Script::query()->where('assignment_id', $assignment->id)->pluck('id'));
        });
        Carbon::setTestNow(now()->addDays(2));
        DB::transaction(fn () => $this->shareOut($assignment));
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
            MarkComment::factory()->create(
                [
                    'mark_id' => $mark->id, 'kind' => 'fix', 'criterion' => 'c1',
                    'body' => "Comment {$n}: say whose account this is.",
                    'anchor' => TextAnchor::at($text, $start, $start + 12)->toArray(),
                ]
            );
        }
    }
};

$address = fn (Mark $mark): array => [$mark->marker, '/desk/'.$mark->public_id];
$few = $world->desk(10);
$many = $world->desk(5000);
$comments = $world->desk(10);
array_map(fn (Mark $mark) => $world->comment($mark, 1), [$few, $many]);
$world->comment($comments, 200);
$next = app(DeskQueue::class)->around($many)['next'];
$found = $inTurn([
    'an empty page' => [$few->marker, '/bench-empty'],
    '10 scripts in the queue' => $address($few),
    '5,000 scripts in the queue' => $address($many),
    'a step to the next of 5,000' => $address(
        $next === null ? $many : Mark::query()->where('public_id', $next)->sole()
    ),
    '200 comments on the script' => $address($comments),
]);
printf("desk: medians of 60, in turn; processor time of PHP and the database together\n");
foreach ($found as $name => $one) {
    printf(
        "  %-28s %5.1f ms of processor time, %.1f times an empty page; %5.1f ms; %2d queries, %d rows\n", $name.':',
        $one['cpu'], $one['cpu'] / $found['an empty page']['cpu'], $one['wall'], $one['queries'], $one['rows'],
    );
}
$base = $found['10 scripts in the queue'];
printf(
    "  ratios: the desk to an empty page %.1f (aim: 4); 5,000 scripts in the queue to 10: %.2f (aim: 1.2); 200 comments to 1: %.2f (aim: 1.2)\n",
    $base['cpu'] / $found['an empty page']['cpu'], $found['5,000 scripts in the queue']['cpu'] / $base['cpu'],
    $found['200 comments on the script']['cpu'] / $base['cpu'],
);
// A script that is not begun asks for one more: whether it was marked together.
$same = count(
    array_unique(
        array_column(
            array_diff_key($found, ['an empty page' => true, 'a step to the next of 5,000' => true]), 'queries',
        )
    )
) === 1;
printf("  queries: %s\n", $same ? 'the same' : 'MORE');

mt_srand(1);
$works = array_map(fn (int $n) => new Work("s{$n}", 'S'.$n % 10, 'g'.intdiv($n, 4), ["u{$n}"]), range(1, 5000));
$markers = array_map(
    fn (int $n) => Marker::of(
        "m{$n}", (string) (1 + $n % 3), $n % 7 === 0 ? ['S1', 'S2', 'S3'] : null,
        array_map(fn () => 'u'.mt_rand(1, 5000), range(1, 5)),
    ),
    range(1, 60),
);
$start = hrtime(true);
$plan = MarkerPlan::make($works, $markers, 5, 2);
printf(
    "  a plan of 5,000 scripts with two marks each over 60 tutors, shares, sections and 300 conflicts: %.1f s, %d placed\n",
    (hrtime(true) - $start) / 1e9, count($plan->given),
);
exit($same ? 0 : 1);
