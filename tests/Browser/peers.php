<?php

declare(strict_types=1);

/*
 * For the test of a round of peer review.
 *   peers.php make         an assignment of eight students of HT120, in a module of their own; prints its address
 *   peers.php hand-in W…   these hand in
 *   peers.php write W…     these finish every review they have
 *   peers.php later        what was given out was given out two days ago
 *   peers.php over         the time for reviewing is over
 */

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\ChangeMark;
use App\Actions\Peers\FinishReview;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Module;
use App\Models\PeerReview;
use App\Models\Round;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use YoungHarbor\Core\Rubric\RailStop;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));

const TITLE = 'Along the sea wall';
$words = array_slice($argv, 2);
$person = fn (string $who): User => User::query()->where('email', "{$who}@merrow.example")->sole();
$essay = Assignment::query()->where('title', TITLE)->first();

if ($argv[1] === 'make') {
    $from = Module::query()->where('code', 'HT120')->sole();
    $module = Module::query()->create(['code' => 'HT121', 'title' => 'Walking the Shore']);
    $join = fn (int $user, Role $role) => Membership::query()->create(
        ['module_id' => $module->id, 'user_id' => $user, 'role' => $role],
    );
    $join($person('maren.oduya')->id, Role::Coordinator);
    Membership::query()->where('module_id', $from->id)->where('role', Role::Student)->orderBy('id')->limit(8)->get()
        ->each(fn (Membership $one) => $join($one->user_id, Role::Student));
    Auth::setUser($person('maren.oduya'));
    $essay = app(SaveAssignment::class)($module, null, [
        'title' => TITLE, 'brief' => 'Walk along the wall and write what you see.', 'due_at' => now()->addDays(9),
        'closes_at' => now()->addDays(9), 'bands' => config('harbor.bands.classes'),
        'rubric_version_id' => $from->assignments()->firstOrFail()->rubric_version_id,
    ], null);
    app(OpenAssignment::class)($essay);
    echo $essay->public_id;
} elseif ($argv[1] === 'hand-in') {
    foreach ($words as $who) {
        Auth::setUser($person($who));
        app(TakeHandIn::class)($essay, $person($who), "I walked from the sluice to the light. {$who} is not my subject: the stones are. ".str_repeat(
            'Each course of the wall was laid by other hands, and the joints say so. ', 6,
        ));
    }
    app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
} elseif ($argv[1] === 'write') {
    foreach ($words as $n => $who) {
        Auth::setUser($person($who));
        foreach (
            PeerReview::query()->whereHas('round', fn ($round) => $round->where('assignment_id', $essay?->id))
                ->whereHas('member.user', fn ($user) => $user->where('email', "{$who}@merrow.example"))
                ->whereHas('mark', fn ($mark) => $mark->whereNull('done_at'))->whereNull('returned_at')->get() as $review
        ) {
            app(ChangeMark::class)($review->mark, function (Mark $stored) use ($n): void {
                foreach ($stored->rubric()->criteria as $k => $criterion) {
                    $stops = RailStop::of($criterion);
                    $stored->choices = $stored->choices->with($criterion->id(), RailStop::mark(
                        $criterion, $stops[min(count($stops) - 1, 4 + ($n + $k) % 3)]->key,
                    )->withComment('You look closely at the wall; say more of who paid for it and why they did.'));
                }
                $stored->general_comment = 'Put the joints first: nobody else has seen them.';
                $stored->seconds = 400;
            });
            app(FinishReview::class)($review->refresh(), false) === []
                || app(FinishReview::class)($review->refresh(), true);
        }
    }
} else {
    $round = Round::query()->where('assignment_id', $essay?->id)->sole();
    if ($argv[1] === 'later') {
        PeerReview::query()->where('round_id', $round->id)->update(['created_at' => now()->subDays(2)]);
    } else {
        $round->update(['due_at' => now()->subMinute(), 'begins_at' => now()->subDays(4)]);
        $round->members()->update(['due_at' => now()->subMinute()]);
    }
}
