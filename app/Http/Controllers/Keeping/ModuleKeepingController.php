<?php

declare(strict_types=1);

namespace App\Http\Controllers\Keeping;

use App\Actions\Keeping\DecideKeeping;
use App\Actions\Keeping\SetPeriods;
use App\Enums\KeepingState;
use App\Http\Controllers\Controller;
use App\Http\Controllers\Institution\KeepingController;
use App\Http\Requests\Keeping\DecideRequest;
use App\Http\Requests\Keeping\PeriodsRequest;
use App\Keeping\DueThings;
use App\Models\Institution;
use App\Models\KeepingDecision;
use App\Models\Module;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * For how long what is kept in a module, what of it has fallen due, what has gone.
 */
final class ModuleKeepingController extends Controller
{
    public function show(Module $module, DueThings $things): View
    {
        $this->authorize('keep', $module);

        return view('keeping.module', [
            'module' => $module, 'institution' => Institution::settings()->keeping, 'things' => $things->inModule($module),
            'gone' => KeepingDecision::query()->where('state', KeepingState::Gone)->with(['assignment.module', 'by'])
                ->whereHas('assignment', fn ($query) => $query->where('module_id', $module->id))
                ->latest('gone_at')->latest('id')->limit(KeepingController::SHOWN)->get(),
        ]);
    }

    public function update(PeriodsRequest $request, Module $module, SetPeriods $set): RedirectResponse
    {
        $set($module, $request->periods(), $request->string('reason')->trim()->toString(), $request->person());

        return redirect()->route('keeping.module', $module)->with('said', __('keeping.periods.said'));
    }

    public function decide(DecideRequest $request, Module $module, DecideKeeping $decide): RedirectResponse
    {
        $decide($request->things(), $request->until(), $request->string('reason')->trim()->toString(), $request->person());

        return redirect()->route('keeping.module', $module)->with('said', __('keeping.due.said.'.$request->validated('do')));
    }
}
