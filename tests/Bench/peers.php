<?php

declare(strict_types=1);

/*
 * Peer review: 2,000 students who review four each, planned, and planned anew after one in ten dropped out; marks of
 * 2,000 works with five reviews each combined; the pages of a reviewer and of a coordinator beside an empty page, and
 * in a round of ten beside one of 300.
 */

use App\Actions\Collect\FinishHandIn;
use App\Models\Handin;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\User;
use Brick\Math\BigDecimal;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Tests\Feature\Peers\RoundWorld;
use Tests\World;
use YoungHarbor\Core\Peers\Combining;
use YoungHarbor\Core\Peers\Method;
use YoungHarbor\Core\Peers\PeerMark;
use YoungHarbor\Core\Peers\PlannedReviewer;
use YoungHarbor\Core\Peers\Reliability;
use YoungHarbor\Core\Peers\ReviewedWork;
use YoungHarbor\Core\Peers\ReviewPlan;

require __DIR__.'/begin.php';
Route::middleware(['web', 'auth'])->get('/bench-empty', fn () => view('bench-empty'));
app('view')->addLocation(__DIR__.'/views');

printf("peer review, processor time\n");
$works = array_map(fn (int $n) => new ReviewedWork("w{$n}", ["p{$n}"], 4), range(1, 2000));
$people = array_map(fn (int $n) => new PlannedReviewer("p{$n}", 4), range(1, 2000));
$first = $again = null;
$planned = $spent(function () use (&$first, $works, $people): void {
    $first = ReviewPlan::make($works, $people, [], [], [], 1);
});
$left = array_fill_keys(array_map(fn (int $n) => "p{$n}", range(10, 2000, 10)), true);
// One in nine of the others offers four reviews more: 800 fall free, 800 find a taker.
$after = array_map(fn (PlannedReviewer $one) => new PlannedReviewer(
    $one->id, isset($left[$one->id]) || (int) substr($one->id, 1) % 9 !== 0 ? 4 : 8, isset($left[$one->id]),
), $people);
// Half of what the others have is begun; what those who dropped out had is not.
$begun = $loose = [];
foreach ($first?->added ?? [] as $n => $pair) {
    $n % 2 === 0 && ! isset($left[$pair[1]]) ? $begun[] = $pair : $loose[] = $pair;
}
$anew = $spent(function () use (&$again, $works, $after, $begun, $loose): void {
    $again = ReviewPlan::make($works, $after, $begun, $loose, [], 1);
});
printf(
    "  2,000 students, 4 each: planned in %.2f s (%d reviews); planned anew after 200 dropped out: %.2f s, %d given, %d taken back, %d missing\n",
    $planned / 1000, count($first?->added ?? []), $anew / 1000, count($again?->added ?? []),
    count($again?->removed ?? []), array_sum($again?->short ?? []),
);

mt_srand(5);
$peers = [];
for ($n = 0; $n < 10_000; $n++) {
    $work = intdiv($n, 5);
    $peers[] = new PeerMark(
        'r'.($work + 7 * ($n % 5) + 1) % 2000, "s{$work}",
        BigDecimal::of(max(0, min(100, 60 + $work % 25 + mt_rand(-12, 12)))),
    );
}
$by = [];
foreach ($peers as $one) {
    $by[$one->script][] = $one;
}
$took = ['reliability' => $spent(fn () => Reliability::of($peers, [], 1))];
foreach ([Method::Median, Method::Mean, Method::Trimmed] as $method) {
    $took[$method->value] = $spent(fn () => Combining::exact($by, $method, 1));
}
printf('  2,000 works, 5 reviews each, combined:');
foreach ($took as $method => $cpu) {
    printf(' %s %.2f s%s', $method, $cpu / 1000, $method === 'trimmed' ? " (aim: under 2)\n" : ';');
}

$world = new class
{
    use RoundWorld;
    use World;

    /** @return array{Round, PeerReview, User} a round of so many students, a review in it, and its coordinator */
    public function begun(int $students): array
    {
        $this->tutors = $this->students = [];
        DB::transaction(fn () => $this->round($students, ['each' => 4]));
        app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
        $round = DB::transaction(fn () => $this->give());
        $review = $this->reviewsBy($this->students[0])->firstOrFail();
        $this->write($review);

        return [$round, $review, $this->coordinator];
    }
};
[$few, $fewReview, $fewBy] = $world->begun(10);
[$many, $manyReview, $manyBy] = $world->begun(300);
Carbon::setTestNow(now());
$of = fn (PeerReview $review): User => $review->member->user;
$found = $inTurn([
    'an empty page' => [$of($fewReview), '/bench-empty'],
    'the desk, 10' => [$of($fewReview), "/peer-reviews/{$fewReview->public_id}"],
    'the desk, 300' => [$of($manyReview), "/peer-reviews/{$manyReview->public_id}"],
    'a student’s round, 10' => [$of($fewReview), "/rounds/{$few->public_id}"],
    'a student’s round, 300' => [$of($manyReview), "/rounds/{$many->public_id}"],
    'who has done what, 10' => [$fewBy, "/rounds/{$few->public_id}/state"],
    'who has done what, 300' => [$manyBy, "/rounds/{$many->public_id}/state"],
], 40);
$empty = $found['an empty page']['cpu'];
foreach ($found as $name => $one) {
    printf(
        "  %-26s %6.1f ms, %.1f times an empty page; %2d queries, %d rows\n", $name.':', $one['cpu'], $one['cpu'] / $empty,
        $one['queries'], $one['rows'],
    );
}
printf(
    "  ratios: the desk to an empty page %.1f (aim: 4); 300 to 10: desk %.2f (aim: 1.2), a student's round %.2f, who has done what %.2f\n",
    $found['the desk, 10']['cpu'] / $empty, $found['the desk, 300']['cpu'] / $found['the desk, 10']['cpu'],
    $found['a student’s round, 300']['cpu'] / $found['a student’s round, 10']['cpu'],
    $found['who has done what, 300']['cpu'] / $found['who has done what, 10']['cpu'],
);
