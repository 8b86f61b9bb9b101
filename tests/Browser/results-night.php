<?php

declare(strict_types=1);

/*
 * For the test of the night on which results come out.
 *   results-night.php grow    makes 400 of the 216 students of HT110, with work and marks of their own
 *   results-night.php who     the students of HT110, with a session each
 *   results-night.php due     lets the time that is set for its results pass now
 *   results-night.php look    what is out, opened and mailed
 */

use App\Actions\Release\SendDueReleases;
use App\Enums\ReleaseState;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Notice;
use App\Models\Release;
use App\Models\Result;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));
require __DIR__.'/session-of.php';

$assignment = Assignment::query()->whereHas('module', fn ($module) => $module->where('code', 'HT110'))->sole();
$scripts = Script::query()->where('assignment_id', $assignment->id);
$results = Result::query()->whereIn('script_id', (clone $scripts)->select('id'));
$told = Notice::query()->where('assignment_id', $assignment->id)->where('kind', 'result');

/** One more student with the work, marks and agreement of another's script. */
$again = function (Script $script, int $n): void {
    $student = User::query()->create([
        'name' => "Guest {$n} Student", 'email' => "guest{$n}@merrow.example", 'number' => "G{$n}",
        'password' => null, // none signs in by one, and making 184 takes a minute
    ]);
    Membership::query()->where('user_id', $script->student_id)->where('module_id', $script->assignment->module_id)
        ->sole()->replicate(['public_id'])->fill(['user_id' => $student->id, 'candidate_number' => null])->save();
    $new = $script->replicate(['public_id', 'held'])->fill([
        'student_id' => $student->id, 'code' => "GUEST-{$n}", 'current_handin_id' => null,
    ]);
    $new->save();
    $handin = $script->currentHandin?->replicate(['public_id', 'once'])->fill(['script_id' => $new->id]);
    assert($handin !== null);
    $handin->save();
    $new->update(['current_handin_id' => $handin->id]);
    foreach ($script->marks as $mark) {
        $mark->replicate(['public_id', 'counting_seat', 'counting_marker_id', 'holding_marker_id'])
            ->fill(['script_id' => $new->id, 'work_id' => $handin->id])->save();
    }
    $settlement = $script->settlement;
    assert($settlement instanceof Settlement);
    $settlement->replicate(['holding_script_id'])->fill(['script_id' => $new->id])->save();
};

echo json_encode(match ($argv[1]) {
    'grow' => DB::transaction(fn (): int => $scripts->with(['assignment', 'currentHandin', 'marks', 'settlement'])
        ->orderBy('id')->limit(400 - 216)->get()->each(
            fn (Script $script, int $n) => $again($script, 100 + $n)
        )->count()),
    'who' => [
        'assignment' => $assignment->public_id,
        'students' => $scripts->with('student')->get()->map(fn (Script $script) => [
            'name' => $script->student->name, 'email' => $script->student->email, ...sessionOf($script->student),
        ])->all(),
    ],
    'due' => [
        'moved' => Release::query()->where('assignment_id', $assignment->id)->where('state', ReleaseState::Set)
            ->update(['due_at' => now()->subSecond()]),
        'asked' => app(SendDueReleases::class)(),
    ],
    'look' => [
        'results' => $results->with('script.student:id,name,email')->get(
            ['id', 'public_id', 'script_id', 'shown', 'released_at', 'openings']
        )
            ->map(fn (Result $one) => [
                'id' => $one->public_id, 'email' => $one->script->student->email, 'mark' => $one->shown,
                'at' => (string) $one->released_at, 'openings' => $one->openings,
            ])->all(),
        'mails' => $told->get(['mail'])->countBy(fn (Notice $one) => $one->mail->value)->all(),
    ],
}, JSON_THROW_ON_ERROR);
