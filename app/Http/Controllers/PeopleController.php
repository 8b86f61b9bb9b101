<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Collect\AddPeople;
use App\Enums\Role;
use App\Http\Requests\PeopleRequest;
use App\Imports\PeopleLines;
use App\Models\Membership;
use App\Models\Module;
use App\Queries\NameOrder;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * The people of a module.
 */
final class PeopleController extends Controller
{
    /** Students on a page; staff are few and stand on each. */
    private const PAGE = 100;

    public function index(Request $request, Module $module): View
    {
        $this->authorize('addPeople', $module);
        $search = mb_substr(trim($request->string('q')->toString()), 0, 100);
        $like = '%'.addcslashes($search, '%_\\').'%';

        return view('modules.people', [
            'module' => $module,
            'allowances' => $module->allowances()->whereNull('ended_at')->get()->keyBy('student_id'),
            'staff' => $module->memberships()->where('role', '<>', Role::Student)->with('user')->get()
                ->sortBy(
                    fn (Membership $m) => [
                        array_search($m->role, Role::cases(), true), $m->left_at !== null,
                        NameOrder::key($m->user->name),
                    ]
                )->groupBy(fn (Membership $m) => $m->role->value),
            'students' => $module->memberships()->where('role', Role::Student)
                ->join('users', 'users.id', '=', 'memberships.user_id')
                ->when(
                    $search !== '',
                    fn ($query) => $query->where(
                        fn ($query) => $query->where('users.name', 'like', $like)->orWhere('users.email', 'like', $like)
                            ->orWhere('users.number', 'like', $like)->orWhere('section', 'like', $like)
                    ),
                )
                ->orderByRaw('left_at IS NOT NULL')->orderBy('users.name')->orderBy('memberships.id')
                ->select('memberships.*')->with('user')->paginate(self::PAGE)->withQueryString(),
            'search' => $search,
            'here' => $module->members()->where('role', Role::Student)->count(),
            'left' => $module->memberships()->where('role', Role::Student)->whereNotNull('left_at')->count(),
        ]);
    }

    public function store(PeopleRequest $request, Module $module, AddPeople $add): RedirectResponse
    {
        $fields = $request->validated();
        $people = PeopleLines::read($fields['lines']);
        $done = $add($module, Role::from($fields['role']), $people);
        $said = implode('; ', array_filter([
            $done['added'] === 1 ? '1 person was added' : "{$done['added']} people were added",
            $done['back'] > 0
                ? ($done['back'] === 1 ? '1 who had left is back' : "{$done['back']} who had left are back")
                : '',
            $done['here'] > 0 ? ($done['here'] === 1 ? '1 was here already' : "{$done['here']} were here already") : '',
        ])).'.';
        $back = redirect()->route('people.index', $module)->with('said', $said);

        return $done['other'] === []
            ? $back
            : $back->withErrors(
                [
                    'lines' => implode(', ', $done['other']).' '.(count($done['other']) === 1 ? 'is' : 'are')
                        .' in this module in another role, and stay in it. To change a role, say on their page that they have left, then add them again.',
                ]
            );
    }
}
