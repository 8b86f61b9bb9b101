<?php

declare(strict_types=1);

/*
 * The release of 50 and of 2,000 results with their mails queued: results a second, and queries a result. A student's
 * result beside an empty page, in a cohort of 50 and of 2,000, with a comment and with 200.
 */

use App\Actions\Release\RunRelease;
use App\Actions\Release\SetRelease;
use App\Documents\ScriptText;
use App\Models\Assignment;
use App\Models\MarkComment;
use App\Models\Result;
use App\Models\Script;
use App\Models\User;
use App\Release\ReleasePlan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\View;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Release\Scope;
use YoungHarbor\Core\Text\TextAnchor;

require __DIR__.'/begin.php';
View::addLocation(__DIR__.'/views');
Route::middleware(['web', 'auth'])->get('/bench-empty', fn () => view('bench-empty'));
Mail::fake();
$world = require __DIR__.'/marked-cohort.php';

/** One script with so many comments on a text of its own. */
$commented = function (Assignment $assignment, int $count): Script {
    $script = $assignment->scripts()->orderBy('id')->firstOrFail();
    $mark = $script->marks()->where('seat', Seat::First)->sole();
    $paragraph = '<p>'.str_repeat('The toll was paid at the quay by whoever came in on the tide. ', 12).'</p>';
    DB::table('handins')->where('id', $mark->work_id)->update(['html' => str_repeat($paragraph, 12)]);
    $text = ScriptText::of($mark->refresh()->handin);
    for ($n = 0; $n < $count; $n++) {
        MarkComment::factory()->create([
            'mark_id' => $mark->id, 'kind' => 'fix', 'criterion' => 'c1',
            'body' => "Comment {$n}: say whose account this is.",
            'anchor' => TextAnchor::at($text, $n * 40, $n * 40 + 12)->toArray(),
        ]);
    }

    return $script;
};

[$fewBy, $few] = $world->marked(50, 4, true);
[$manyBy, $many] = $world->marked(2000, 40, true);
[$saidBy, $said] = $world->marked(50, 4, true);
$scripts = [];
foreach ([[$few, 1], [$many, 1], [$said, 200]] as [$assignment, $comments]) {
    $world->settle($assignment);
    $scripts[] = $commented($assignment, $comments);
}
$release = function (Assignment $assignment, User $by) use ($spent): array {
    $set = app(SetRelease::class)($assignment->refresh(), new ReleasePlan(Scope::all()), $by);
    DB::flushQueryLog();
    DB::enableQueryLog();
    $start = hrtime(true);
    $cpu = $spent(fn () => app(RunRelease::class)($set));
    $seconds = (hrtime(true) - $start) / 1e9;
    $queries = count(DB::getQueryLog());
    DB::disableQueryLog();
    DB::flushQueryLog();

    return [$set->refresh()->released, $seconds, $cpu, $queries];
};
printf("release, mails queued; processor time of PHP and the database together\n");
$a = [];
foreach ([[$few, $fewBy], [$many, $manyBy]] as [$assignment, $by]) {
    [$n, $seconds, $cpu, $queries] = $release($assignment, $by);
    $a[] = [$queries / $n, $cpu / $n];
    printf(
        "  %5d results: %.1f ms of processor time a result, %.2f queries a result, %.0f results a second\n", $n,
        $cpu / $n,
        $queries / $n, $n / $seconds,
    );
}
printf(
    "  2,000 to 50, a result: %.2f times the queries, %.2f times the processor time (aim: 1)\n", $a[1][0] / $a[0][0],
    $a[1][1] / $a[0][1],
);
$release($said, $saidBy);

$page = fn (Script $script): array => [
    $script->student, '/results/'.Result::query()->where('script_id', $script->id)->value('public_id'),
];
$found = $inTurn([
    'an empty page' => [$scripts[0]->student, '/bench-empty'], 'in a cohort of 50' => $page($scripts[0]),
    'in a cohort of 2,000' => $page($scripts[1]), 'with 200 comments' => $page($scripts[2]),
]);
printf("a student's result, medians of 60, in turn\n");
foreach ($found as $name => $one) {
    printf(
        "  %-22s %5.1f ms of processor time, %.1f times an empty page; %5.1f ms; %2d queries, %d rows\n", $name.':',
        $one['cpu'],
        $one['cpu'] / $found['an empty page']['cpu'], $one['wall'], $one['queries'], $one['rows'],
    );
}
printf(
    "  ratios: to an empty page %.1f (aim: 3); a cohort of 2,000 to 50: %.2f (aim: 1)\n",
    $found['in a cohort of 50']['cpu'] / $found['an empty page']['cpu'],
    $found['in a cohort of 2,000']['cpu'] / $found['in a cohort of 50']['cpu'],
);
