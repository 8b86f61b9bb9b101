<?php

declare(strict_types=1);

namespace App\Http\Controllers\ShareOut;

use App\Actions\ShareOut\ApplyPlan;
use App\Actions\ShareOut\LookAtName;
use App\Enums\Role;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Script;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Validation\ValidationException;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Sharing scripts out: choose tutors, look at the plan, apply it.
 */
final class ShareOutController extends Controller
{
    public function index(Request $request, Assignment $assignment, ApplyPlan $plan): View
    {
        $this->authorize('coordinate', $assignment);
        $tutors = $this->tutors($assignment);
        $chosen = $request->has('markers') ? $this->chosen($request, $tutors) : [];
        $seed = $request->has('seed') ? max(0, $request->integer('seed')) : random_int(1, 9999);
        $preview = null;
        $fault = null;
        if ($request->has('seed')) {
            try {
                $preview = $plan->plan($assignment, $chosen, $seed);
            } catch (InvalidInput $e) {
                $fault = ucfirst(implode('. ', array_map(fn (Fault $each) => $each->what, $e->faults))).'.';
            }
        }

        return view('share-out.index', [
            'assignment' => $assignment, 'tutors' => $tutors, 'seed' => $seed, 'preview' => $preview, 'fault' => $fault,
            'chosen' => $request->has('seed') ? array_map(fn (User $user) => $user->public_id, $chosen) : $tutors->where('role', Role::Tutor)->map(fn (Membership $m) => $m->user->public_id)->values()->all(),
            'shared' => $assignment->scripts()->whereHas('marks')->with('marks.marker:id,name,public_id')->orderBy('code')->get(),
            'open' => $assignment->scripts()->whereNotNull('current_handin_id')->whereNull('lead_id')->whereDoesntHave('marks')->count(),
        ]);
    }

    public function store(Request $request, Assignment $assignment, ApplyPlan $apply): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $fields = $request->validate(['seed' => ['required', 'integer', 'min:0', 'max:2147483647'], 'markers' => ['required', 'array', 'min:1']], ['markers.required' => 'Choose at least one marker.']);
        try {
            $count = $apply($assignment, $this->chosen($request, $this->tutors($assignment)), (int) $fields['seed']);
        } catch (InvalidInput $e) {
            throw ValidationException::withMessages(['markers' => array_map(fn (Fault $fault) => ucfirst($fault->what).'.', $e->faults)]);
        }

        return redirect()->route('share-out.index', $assignment)->with('said', $count === 1 ? '1 script is shared out.' : "{$count} scripts are shared out.");
    }

    /** The coordinator asks whose script it is; the look is logged. */
    public function name(Request $request, Script $script, LookAtName $look): RedirectResponse
    {
        $this->authorize('coordinate', $script);
        $fields = $request->validate(['reason' => ['required', 'string', 'min:5', 'max:500']], ['reason.*' => 'Say in a few words why you need the name; it is written in the logbook.']);
        $names = $look($script, $fields['reason']);

        return back()->with('said', "{$script->code} is {$names}. This look is in the logbook.");
    }

    /**
     * @return Collection<int, Membership>
     */
    private function tutors(Assignment $assignment): Collection
    {
        return $assignment->module->members()->with('user')->whereIn('role', [Role::Tutor, Role::Coordinator])->get()
            ->sortBy(fn (Membership $m) => [$m->role === Role::Coordinator, $m->user->name])->values();
    }

    /**
     * @param  Collection<int, Membership>  $tutors
     * @return list<User>
     */
    private function chosen(Request $request, Collection $tutors): array
    {
        $wanted = array_filter((array) $request->input('markers'), is_string(...));

        return array_values($tutors->map(fn (Membership $m) => $m->user)->filter(fn (User $user) => in_array($user->public_id, $wanted, true))->all());
    }
}
