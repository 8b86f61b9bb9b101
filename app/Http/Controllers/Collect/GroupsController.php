<?php

declare(strict_types=1);

namespace App\Http\Controllers\Collect;

use App\Actions\Collect\SetGroups;
use App\Http\Controllers\Controller;
use App\Http\Requests\Collect\DrawGroupsRequest;
use App\Http\Requests\Collect\GroupsRequest;
use App\Models\Assignment;
use App\Models\Script;
use App\Queries\NameOrder;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use YoungHarbor\Core\Allocation\RandomGroups;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Tables\Delimited;

/**
 * The groups that hand in together: written line by line, or drawn.
 */
final class GroupsController extends Controller
{
    public function index(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);
        $scripts = $assignment->scripts()->with('student:id,name,number,email')->get()
            ->sortBy(
                fn (Script $script) => [
                    $script->group_name === null, NameOrder::key($script->group_name),
                    NameOrder::key($script->student->name),
                ]
            );

        return view('collect.groups', [
            'assignment' => $assignment, 'scripts' => $scripts,
            'lines' => $scripts->map(
                fn (Script $script) => "{$script->student->email}, {$script->group_name}"
            )->implode("\n"),
        ]);
    }

    /** A line a student: mail address or number, then the group; nothing after the comma for none. */
    public function store(GroupsRequest $request, Assignment $assignment, SetGroups $set): RedirectResponse
    {
        $scripts = $assignment->scripts()->with('student:id,name,number,email')->get();
        $byName = [];
        foreach ($scripts as $script) {
            $byName[mb_strtolower($script->student->email)] = $byName[
                mb_strtolower((string) $script->student->number)
            ] = $script->student_id;
        }
        $groups = [];
        $faults = [];
        foreach (Delimited::rows($request->string('lines')->toString()) as $n => $cells) {
            $who = mb_strtolower(trim($cells[0]));
            $group = trim($cells[1] ?? '');
            match (true) {
                ! isset($byName[$who])
                    || $who === '' => $faults[] = 'Line '.($n + 1)
                        .": nobody here has the e-mail address or number “{$cells[0]}”.",
                isset($groups[$byName[$who]]) => $faults[] = 'Line '.($n + 1).": “{$cells[0]}” stands twice.",
                mb_strlen($group) > 60 => $faults[] = 'Line '.($n + 1).': a group’s name has 60 characters at most.',
                default => $groups[$byName[$who]] = $group,
            };
        }
        if ($faults !== []) {
            return back()->withInput()
                ->withErrors(['lines' => ['Nothing was changed.', ...array_slice($faults, 0, 20)]]);
        }
        $set($assignment, array_filter($groups, fn (string $group) => $group !== ''), 'list');

        return redirect()->route('groups.index', $assignment)->with('said', 'The groups are set.');
    }

    public function draw(DrawGroupsRequest $request, Assignment $assignment, SetGroups $set): RedirectResponse
    {
        $fields = $request->validated();
        try {
            $students = $assignment->scripts()->pluck('student_id')->map(fn (mixed $id) => (int) $id)->values()->all();
            $drawn = RandomGroups::of(array_values($students), (int) $fields['size'], (int) $fields['seed']);
        } catch (InvalidInput $e) {
            return back()->withInput()->withErrors(['size' => ucfirst($e->faults[0]->what).'.']);
        }
        $groups = [];
        foreach ($drawn as $n => $members) {
            $groups += array_fill_keys($members, 'Group '.($n + 1));
        }
        $set($assignment, $groups, 'random', (int) $fields['seed'], (int) $fields['size']);

        return redirect()->route('groups.index', $assignment)
            ->with('said', count($drawn).' groups are drawn with the seed '.$fields['seed'].'.');
    }
}
