<?php

declare(strict_types=1);

namespace App\Http\Controllers\Plan;

use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Enums\Role;
use App\Enums\RubricState;
use App\Http\Controllers\Controller;
use App\Http\Requests\AssignmentRequest;
use App\Models\Assignment;
use App\Models\Module;
use App\Models\Rubric;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Planning an assignment: making it, changing it, opening it to students.
 */
final class AssignmentController extends Controller
{
    /** Leads each person to where their work on the assignment is. */
    public function show(Request $request, Assignment $assignment): RedirectResponse
    {
        $this->authorize('view', $assignment);

        return redirect()->route(match ($this->person($request)->roleIn($assignment->module_id)) {
            Role::Student => 'hand-in.show',
            Role::Tutor => 'mark.index',
            Role::Examiner => 'moderate.index',
            default => $assignment->isPublished() ? 'collect.index' : 'plan.edit',
        }, $assignment);
    }

    public function create(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view('plan.assignment', ['module' => $module, 'assignment' => null, 'rubrics' => $this->rubrics($module)]);
    }

    public function store(AssignmentRequest $request, Module $module, SaveAssignment $save): RedirectResponse
    {
        $this->authorize('coordinate', $module);
        $assignment = $save($module, null, $request->fields(), null);

        return redirect()->route('plan.edit', $assignment)->with('said', 'Saved. Students do not see it yet.');
    }

    public function edit(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view('plan.assignment', ['module' => $assignment->module, 'assignment' => $assignment, 'rubrics' => $this->rubrics($assignment->module)]);
    }

    public function update(AssignmentRequest $request, Assignment $assignment, SaveAssignment $save): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $save($assignment->module, $assignment, $request->fields(), $request->integer('lock_version'));

        return redirect()->route('plan.edit', $assignment)->with('said', 'Saved.');
    }

    public function open(Assignment $assignment, OpenAssignment $open): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $open($assignment);

        return redirect()->route('collect.index', $assignment)->with('said', 'The assignment is open to its students.');
    }

    /**
     * @return Collection<int, Rubric>
     */
    private function rubrics(Module $module): Collection
    {
        return $module->rubrics()->where('state', RubricState::Ready)->with('latestVersion')->orderBy('title')->get();
    }
}
