<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\AddPeople;
use App\Enums\Role;
use App\Models\Membership;
use App\Models\Module;
use App\Support\PeopleLines;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/**
 * The people of a module.
 */
final class PeopleController extends Controller
{
    public function index(Module $module): View
    {
        $this->authorize('addPeople', $module);

        return view('modules.people', [
            'module' => $module,
            'allowances' => $module->allowances()->whereNull('ended_at')->get()->keyBy('student_id'),
            'members' => $module->memberships()->with('user')->get()
                ->sortBy(fn (Membership $m) => [array_search($m->role, Role::cases(), true), $m->left_at !== null, $m->user->name])->groupBy(fn (Membership $m) => $m->role->value),
        ]);
    }

    public function store(Request $request, Module $module, AddPeople $add): RedirectResponse
    {
        $this->authorize('addPeople', $module);
        $fields = $request->validate([
            'role' => ['required', Rule::enum(Role::class)],
            'lines' => ['required', 'string', 'max:100000'],
        ]);
        $people = PeopleLines::read($fields['lines']);
        $done = $add($module, Role::from($fields['role']), $people);
        $said = $done['added'] === 1 ? '1 person was added' : "{$done['added']} people were added";

        return redirect()->route('people.index', $module)->with('said', $said.($done['here'] > 0 ? "; {$done['here']} were here already." : '.'));
    }
}
