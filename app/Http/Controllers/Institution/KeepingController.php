<?php

declare(strict_types=1);

namespace App\Http\Controllers\Institution;

use App\Actions\Keeping\DecideKeeping;
use App\Actions\Keeping\SetPeriods;
use App\Enums\KeepingState;
use App\Http\Controllers\Controller;
use App\Http\Requests\Keeping\DecideRequest;
use App\Http\Requests\Keeping\PeriodsRequest;
use App\Keeping\DueThings;
use App\Models\Institution;
use App\Models\KeepingDecision;
use App\Models\Module;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * For how long what is kept in the institution, what has fallen due in all modules, what has gone.
 */
final class KeepingController extends Controller
{
    /** How many of what has gone are shown, the last. */
    public const SHOWN = 100;

    public function show(DueThings $things): View
    {
        $this->authorize('administer', User::class);

        return view('keeping.institution', [
            'periods' => Institution::settings()->keeping, 'things' => $things->everywhere(),
            'others' => Module::query()->whereNotNull('keeping')->orderBy('code')->get()
                ->reject(fn (Module $module) => $module->keeping->isEmpty()),
            'gone' => KeepingDecision::query()->where('state', KeepingState::Gone)->with(['assignment.module', 'by'])
                ->latest('gone_at')->latest('id')->limit(self::SHOWN)->get(),
        ]);
    }

    public function update(PeriodsRequest $request, SetPeriods $set): RedirectResponse
    {
        $set(null, $request->periods(), $request->string('reason')->trim()->toString(), $request->person());

        return redirect()->route('institution.keeping')->with('said', __('keeping.periods.said'));
    }

    public function decide(DecideRequest $request, DecideKeeping $decide): RedirectResponse
    {
        $decide($request->things(), $request->until(), $request->string('reason')->trim()->toString(), $request->person());

        return redirect()->route('institution.keeping')->with('said', __('keeping.due.said.'.$request->validated('do')));
    }
}
