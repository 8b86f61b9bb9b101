<?php

declare(strict_types=1);

namespace App\Http\Controllers\ShareOut;

use App\Actions\ShareOut\ChangeConflict;
use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Models\Conflict;
use App\Models\Membership;
use App\Models\Module;
use App\Support\InOrder;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/**
 * Conflicts of interest in a module. Coordinators alone see them.
 */
final class ConflictController extends Controller
{
    public function index(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view('share-out.conflicts', [
            'module' => $module, 'staff' => $this->members($module, [Role::Tutor, Role::Coordinator]),
            'students' => $this->members($module, [Role::Student]),
            'conflicts' => Conflict::query()->where('module_id', $module->id)
                ->with(['marker:id,name', 'student:id,name'])->get()
                ->sortBy(fn (Conflict $one) => [InOrder::key($one->marker->name), InOrder::key($one->student->name)]),
        ]);
    }

    public function store(Request $request, Module $module, ChangeConflict $change): RedirectResponse
    {
        $this->authorize('coordinate', $module);
        $staff = $this->members($module, [Role::Tutor, Role::Coordinator])->keyBy('public_id');
        $students = $this->members($module, [Role::Student])->keyBy('public_id');
        $fields = $request->validate(
            [
                'marker' => ['required', Rule::in($staff->keys())],
                'student' => ['required', Rule::in($students->keys())], 'reason' => ['required', 'string', 'max:300'],
            ],
            [
                'marker.*' => 'Choose who does not mark.', 'student.*' => 'Choose whose work it is.',
                'reason.*' => 'Say why in a few words; coordinators alone read it.',
            ],
        );
        $marker = $staff->get($fields['marker'])->user ?? abort(404);
        $with = $change->record(
            $module, $marker, $students->get($fields['student'])->user ?? abort(404), trim($fields['reason']),
            $this->person($request),
        );

        return redirect()->route('conflicts.index', $module)
            ->with(
                'said',
                'Recorded. No new plan will match them.'.(
                    $with > 0
                        ? " {$marker->name} has work of this student now: work out a new plan under Share out, or look at what is begun."
                        : ''
                ),
            );
    }

    public function destroy(Request $request, Conflict $conflict, ChangeConflict $change): RedirectResponse
    {
        $this->authorize('coordinate', $conflict->module);
        $change->takeBack($conflict, $this->person($request));

        return redirect()->route('conflicts.index', $conflict->module)->with('said', 'Taken back.');
    }

    /**
     * @param  list<Role>  $roles
     * @return Collection<int, Membership>
     */
    private function members(Module $module, array $roles): Collection
    {
        return $module->members()->with('user')->whereIn('role', $roles)->get()
            ->sortBy(fn (Membership $member) => InOrder::key($member->user->name))->values();
    }
}
