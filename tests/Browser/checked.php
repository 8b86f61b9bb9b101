<?php

declare(strict_types=1);

/*
 * For the test of second marks that check the first: an assignment of the demo's module whose first marks are done.
 * Prints the marks that check them, with who has them.
 */

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\FinishMark;
use App\Actions\Mark\SaveChoice;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\WorkOutPlan;
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

$person = fn (string $who): User => User::query()->where('email', "{$who}@merrow.example")->sole();
$coordinator = $person('maren.oduya');
$assignment = app(SaveAssignment::class)(Module::query()->where('code', 'HT210')->sole(), null, [
    'title' => 'Checked: a letter from the saltings', 'brief' => 'Say who wrote it, and to whom.',
    'rubric_version_id' => RubricVersion::query()->whereHas('rubric', fn ($rubric) => $rubric->where('title', 'History essay, year 2'))
        ->firstOrFail()->id,
    'due_at' => now()->addSeconds(4), 'closes_at' => now()->addSeconds(5), 'bands' => config('harbor.bands.classes'),
    'scheme' => Scheme::fromArray([...Scheme::usual()->toArray(), 'view' => 'check']),
], null);
app(OpenAssignment::class)($assignment);
foreach (['bo.li', 'kaimana.keawe'] as $who) {
    app(TakeHandIn::class)($assignment, $person($who), 'The salter wrote to her sister. '.str_repeat("The pan of {$who} boiled dry. ", 12));
}
app(FinishHandIn::class)(array_values(Handin::query()->whereNull('read_at')->get(['id'])->modelKeys()));
sleep(6);
$tutors = array_map($person, ['tomasz.wisniewski', 'aoife.nibhriain']);
app(ApplyPlan::class)(app(WorkOutPlan::class)(
    $assignment->refresh(),
    array_map(fn (User $tutor) => ['marker' => $tutor->public_id, 'share' => '1', 'sections' => null], $tutors),
    3, false, false, $coordinator,
), $coordinator);
$marks = Mark::counting()->where('assignment_id', $assignment->id)->with('marker', 'script')->get();
foreach ($marks->where('seat', Seat::First) as $mark) {
    foreach ($mark->rubricVersion->toCore()->criteria as $criterion) {
        if ($criterion instanceof LevelCriterion) {
            $stops = RailStop::of($criterion);
            app(SaveChoice::class)($mark, $criterion->id(), RailStop::mark($criterion, $stops[intdiv(count($stops), 2)]->key)
                ->withComment('As the first marker reads it.'));
        }
    }
    app(FinishMark::class)($mark->refresh());
}
echo json_encode($marks->where('seat', Seat::Second)->map(fn (Mark $mark) => [
    'who' => strtok($mark->marker->email, '@'), 'desk' => "/desk/{$mark->public_id}", 'code' => $mark->script->code,
    'settle' => "/settle/{$mark->script->public_id}",
])->values(), JSON_THROW_ON_ERROR);
