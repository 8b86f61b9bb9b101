<?php

declare(strict_types=1);

namespace App\Http\Controllers\Institution;

use App\Actions\Operations\ForgetFailed;
use App\Actions\Operations\TryFailedAgain;
use App\Http\Controllers\Controller;
use App\Http\Requests\Institution\AdministerRequest;
use App\Models\User;
use App\Operations\Health;
use App\Operations\Migrations;
use App\Operations\Queues;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * How the application runs, for administrators: each part, what waits, what failed, versions.
 */
final class RunningController extends Controller
{
    public function show(Health $health, Queues $queues, Migrations $migrations): View
    {
        $this->authorize('administer', User::class);

        return view('institution.running', [
            'parts' => $parts = $health->parts(), 'up' => Health::isUp($parts), 'queues' => $queues->waiting(),
            'failed' => $queues->failed(), 'failures' => $queues->failures(), 'migration' => $migrations->last(),
            'pending' => $migrations->pending(), 'database' => $migrations->databaseVersion(),
        ]);
    }

    public function again(AdministerRequest $request, TryFailedAgain $again): RedirectResponse
    {
        $job = $request->input('job');
        $count = $again(is_string($job) ? $job : null, $request->person());

        return redirect()->route('institution.running')->with('said', trans_choice('operations.failed.said_again', $count));
    }

    public function forget(AdministerRequest $request, ForgetFailed $forget): RedirectResponse
    {
        $forget($request->string('job')->toString(), $request->person());

        return redirect()->route('institution.running')->with('said', __('operations.failed.said_forgotten'));
    }
}
