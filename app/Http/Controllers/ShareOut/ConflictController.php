<?php

declare(strict_types=1);

namespace App\Http\Controllers\ShareOut;

use App\Actions\ShareOut\RecordConflict;
use App\Actions\ShareOut\TakeBackConflict;
use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Http\Requests\ShareOut\ConflictRequest;
use App\Models\Conflict;
use App\Models\Membership;
use App\Models\Module;
use App\Queries\NameOrder;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

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
                ->sortBy(
                    fn (Conflict $one) => [NameOrder::key($one->marker->name), NameOrder::key($one->student->name)]
                ),
        ]);
    }

    public function store(ConflictRequest $request, Module $module, RecordConflict $record): RedirectResponse
    {
        $marker = $request->marker();
        $with = $record(
            $module, $marker, $request->student(), trim($request->validated('reason')), $request->person(),
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

    public function destroy(Request $request, Conflict $conflict, TakeBackConflict $takeBack): RedirectResponse
    {
        $this->authorize('coordinate', $conflict->module);
        $takeBack($conflict, $this->person($request));

        return redirect()->route('conflicts.index', $conflict->module)->with('said', 'Taken back.');
    }

    /**
     * @param  list<Role>  $roles
     * @return Collection<int, Membership>
     */
    private function members(Module $module, array $roles): Collection
    {
        return $module->members()->with('user')->whereIn('role', $roles)->get()
            ->sortBy(fn (Membership $member) => NameOrder::key($member->user->name))->values();
    }
}
