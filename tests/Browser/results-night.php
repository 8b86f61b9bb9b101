<?php

declare(strict_types=1);

/*
 * For the test of the night on which results come out.
 *   results-night.php who     the students of HT110, with a session each
 *   results-night.php due     lets the time that is set for its results pass now
 *   results-night.php look    what is out, opened and mailed
 */

use App\Actions\Release\SendDueReleases;
use App\Enums\ReleaseState;
use App\Models\Assignment;
use App\Models\Notice;
use App\Models\Release;
use App\Models\Result;
use App\Models\Script;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->instance('request', Request::create('/'));
require __DIR__.'/session-of.php';

$assignment = Assignment::query()->whereHas('module', fn ($module) => $module->where('code', 'HT110'))->sole();
$scripts = Script::query()->where('assignment_id', $assignment->id);
$results = Result::query()->whereIn('script_id', (clone $scripts)->select('id'));
$told = Notice::query()->where('assignment_id', $assignment->id)->where('kind', 'result');

echo json_encode(match ($argv[1]) {
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
        'results' => $results->with('script.student:id,name,email')->get(['id', 'public_id', 'script_id', 'shown', 'released_at', 'openings'])
            ->map(fn (Result $one) => [
                'id' => $one->public_id, 'email' => $one->script->student->email, 'mark' => $one->shown,
                'at' => (string) $one->released_at, 'openings' => $one->openings,
            ])->all(),
        'mails' => $told->get(['mail'])->countBy(fn (Notice $one) => $one->mail->value)->all(),
    ],
}, JSON_THROW_ON_ERROR);
