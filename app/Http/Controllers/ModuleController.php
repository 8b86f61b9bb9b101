<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\CopyModule;
use App\Actions\Plan\MakeModule;
use App\Enums\Role;
use App\Http\Requests\CopyModuleRequest;
use App\Http\Requests\ModuleRequest;
use App\Models\Assignment;
use App\Models\MemberNote;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Script;
use App\Models\User;
use App\Queries\AssignmentCounts;
use App\Queries\NameOrder;
use App\Queries\Plan\CopyDecisions;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/**
 * Modules: the list, a module's page, and making one (administrators).
 */
final class ModuleController extends Controller
{
    public function index(Request $request): View
    {
        $person = $this->person($request);
        $modules = Module::query()->withCount('assignments')
            ->when(
                ! $person->is_admin,
                fn ($query) => $query->whereHas('memberships', fn ($m) => $m->where('user_id', $person->id)),
            )
            ->orderBy('code')->get();

        return view('modules.index', ['modules' => $modules, 'person' => $person]);
    }

    public function store(ModuleRequest $request, MakeModule $make): RedirectResponse
    {
        $fields = $request->validated();
        if (! $request->boolean('same') && Module::query()->where('code', $fields['code'])->exists()) {
            throw ValidationException::withMessages(
                [
                    'code' => "There is a module {$fields['code']} already. If this is another one, of another year perhaps, tick “another module of this code” and make it again.",
                ]
            );
        }
        $known = User::query()->where('email', User::addressKey($fields['coordinator_email']))->first();
        $module = $make(
            $fields['code'], $fields['title'], $fields['coordinator_name'], $fields['coordinator_email'],
            $request->person(),
        );
        $kept = $known === null || $known->name === trim($fields['coordinator_name'])
            ? ''
            : " That address belongs to {$known->name}, who has an account under that name; it stays as it is.";

        return redirect()->route('modules.show', $module)
            ->with('said', "The module is there, and its coordinator has been written to.{$kept}");
    }

    public function copy(Module $module): View
    {
        $this->authorize('coordinate', $module);

        return view('modules.copy', ['module' => $module]);
    }

    public function storeCopy(CopyModuleRequest $request, Module $module, CopyModule $copy): RedirectResponse
    {
        $new = $copy(
            $module, $request->string('code')->trim()->toString(), $request->string('title')->trim()->toString(),
            $request->integer('weeks'), $request->person(),
        );

        return redirect()->route('modules.show', $new)->with('said', __('copy.said'));
    }

    public function show(Request $request, Module $module, AssignmentCounts $counts): View
    {
        $this->authorize('view', $module);
        $person = $this->person($request);
        $isStudent = $person->roleIn($module->id) === Role::Student;
        $assignments = $module->assignments()->orderByDesc('due_at')->get()
            ->filter(fn (Assignment $assignment) => ! $isStudent || $assignment->isOpen());
        $staff = $module->members()->with('user')->where('role', '!=', Role::Student)->get()
            ->sortBy(
                fn (Membership $m) => [array_search($m->role, Role::cases(), true), NameOrder::key($m->user->name)]
            );

        return view('modules.show', [
            'module' => $module,
            'assignments' => $assignments,
            // To a student an assignment is due when their own work is.
            'due' => ! $isStudent
                ? []
                : Script::query()->where('student_id', $person->id)->whereIn('assignment_id', $assignments->pluck('id'))
                    ->pluck('due_at', 'assignment_id')->all(),
            'counts' => $isStudent ? [] : $counts->ofMany($assignments),
            'staff' => $staff,
            'students' => $module->members()->where('role', Role::Student)->count(),
            'rubrics' => $isStudent ? collect() : $module->rubrics()->with('latestVersion')->orderBy('title')->get(),
            'role' => $person->roleIn($module->id),
            'decisions' => $person->coordinates($module->id) ? CopyDecisions::of($module) : [],
            'notes' => $isStudent
                ? MemberNote::query()->where('student_reads', true)->whereNull('taken_back_at')->with('author:id,name')
                    ->whereHas('membership', fn ($one) => $one->where('module_id', $module->id)
                        ->where('user_id', $person->id))->latest('id')->get()
                : collect(),
        ]);
    }
}
