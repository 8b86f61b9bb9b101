<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\SaveModulePlan;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\ModulePlanRequest;
use App\Models\Module;
use App\Queries\Release\ModulePlanForm;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * How the mark of a module is made of its assignments.
 */
final class ModulePlanController extends Controller
{
    public function edit(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view('release.module-plan', ModulePlanForm::of($module));
    }

    public function update(ModulePlanRequest $request, Module $module, SaveModulePlan $save): RedirectResponse
    {
        $save($module, $request->plan(), $request->person());

        return redirect()->route('grade-book.show', $module)->with('said', __('module-mark.saved'));
    }
}
