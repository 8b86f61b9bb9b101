<?php

declare(strict_types=1);

/*
 * The desk page beside an empty page of the same application, with 10 and with 1,000 scripts in the assignment: the
 * ratio of their times (median of many, taken in turn) and the number of queries, which must not grow.
 */

use App\Enums\Part;
use App\Models\Mark;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Tests\World;

require __DIR__.'/begin.php';
Route::middleware(['web', 'auth'])->get('/bench-empty', fn () => view('bench-empty'));
app('view')->addLocation(__DIR__.'/views');

$world = new class
{
    use World;

    /** A mark on a desk in an assignment of so many scripts, half of them with its marker. */
    public function desk(int $scripts): Mark
    {
        $this->tutors = $this->students = [];
        DB::transaction(fn () => $this->module(2, $scripts));
        $assignment = DB::transaction(fn () => $this->sharedOut($this->assignment()));
        $mark = $this->markOf($this->script($assignment), Part::First);
        $this->finishBothBut($mark);
        Illuminate\Support\Carbon::setTestNow();

        return $mark;
    }

    private function finishBothBut(Mark $mark): void
    {
        app(App\Actions\Mark\SaveChoice::class)($mark, 'c1', ['level' => 'l2', 'comment' => 'A comment.']);
    }
};

printf("desk: each time the median of 60, in turn with an empty page\n");
$queries = [];
foreach ([10, 1000] as $scripts) {
    $mark = $world->desk($scripts);
    $times = ['desk' => [], 'empty' => []];
    for ($i = 0; $i < 65; $i++) {
        [$desk, $queries[$scripts]] = $get($mark->marker, '/desk/'.$mark->public_id);
        [$empty] = $get($mark->marker, '/bench-empty');
        if ($i >= 5) {
            $times['desk'][] = $desk;
            $times['empty'][] = $empty;
        }
    }
    printf("  %5d scripts: %5.1f ms, %.1f times an empty page (%.1f ms); %d queries\n", $scripts, $median($times['desk']), $median($times['desk']) / $median($times['empty']), $median($times['empty']), $queries[$scripts]);
}
printf("  queries with 1,000 scripts: %s\n", $queries[1000] === $queries[10] ? 'the same' : 'MORE');
exit($queries[1000] === $queries[10] ? 0 : 1);
