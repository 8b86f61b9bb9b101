<?php

declare(strict_types=1);

/*
 * For tests in a browser: assignments of the demo's module whose marks are made.
 */

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\FinishMark;
use App\Actions\Mark\SaveChoice;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\Module;
use App\Models\RubricVersion;
use App\Models\User;
use Illuminate\Contracts\Console\Kernel;
use YoungHarbor\Core\Marking\Scheme;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\RailStop;

require __DIR__.'/../../vendor/autoload.php';
(require __DIR__.'/../../bootstrap/app.php')->make(Kernel::class)->bootstrap();

function person(string $who): User
{
    return User::query()->where('email', "{$who}@merrow.example")->sole();
}

/**
 * Handed in, shared out and marked: in the seats that are named, how high in the rails of each.
 *
 * @param  array<string, mixed>  $scheme  fields that differ from the usual
 * @param  list<string>  $students
 * @param  list<string>  $tutors
 * @param  array<string, float>  $height  0 to 1, by seat
 */
function marked(string $title, array $scheme, array $students, array $tutors, array $height): Assignment
{
    $coordinator = person('maren.oduya');
    $assignment = app(SaveAssignment::class)(Module::query()->where('code', 'HT210')->sole(), null, [
        'title' => $title, 'brief' => 'Say who wrote it, and to whom.',
        'rubric_version_id' => RubricVersion::query()
            ->whereHas('rubric', fn ($rubric) => $rubric->where('title', 'History essay, year 2'))->firstOrFail()->id,
        'due_at' => now()->addSeconds(4), 'closes_at' => now()->addSeconds(5), 'bands' => config('harbor.bands.classes'),
        'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), ...$scheme]),
    ], null);
    app(OpenAssignment::class)($assignment);
    foreach ($students as $who) {
        app(TakeHandIn::class)(
            $assignment, person($who), 'The salter wrote to her sister. '.str_repeat("The pan of {$who} boiled dry. ", 12),
        );
    }
    app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
    sleep(6);
    app(ApplyPlan::class)(app(WorkOutPlan::class)(
        $assignment->refresh(), array_map(
            fn (string $who) => ['marker' => person($who)->public_id, 'share' => '1', 'sections' => null], $tutors,
        ), 3, false, false, $coordinator,
    ), $coordinator);
    foreach (Mark::counting()->where('assignment_id', $assignment->id)->orderBy('seat')->get() as $mark) {
        $high = $height[$mark->seat->value] ?? null;
        foreach ($high === null ? [] : $mark->rubricVersion->toCore()->criteria as $criterion) {
            if ($criterion instanceof LevelCriterion) {
                $stops = RailStop::of($criterion);
                $stop = $stops[(int) round($high * (count($stops) - 1))];
                app(SaveChoice::class)($mark, $criterion->id(), RailStop::mark($criterion, $stop->key)->withComment(
                    $mark->seat === Seat::First ? 'As the first marker reads it.' : 'As the second marker reads it.',
                ));
            }
        }
        $high === null || app(FinishMark::class)($mark->refresh());
    }

    return $assignment->refresh();
}
