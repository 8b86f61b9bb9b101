<?php

declare(strict_types=1);

namespace App\Http\Controllers\ShareOut;

use App\Actions\ShareOut\PickTogether;
use App\Actions\ShareOut\SaveLevelNotes;
use App\Http\Controllers\Controller;
use App\Http\Requests\ShareOut\LevelNotesRequest;
use App\Http\Requests\ShareOut\PickTogetherRequest;
use App\Models\Assignment;
use App\Models\LevelNote;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\User;
use App\Queries\NameOrder;
use App\Queries\ShareOut\Planning;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Rubric\Criterion;

/**
 * Starting together: a few scripts that all markers mark, their marks beside each other, and what was agreed about the
 * levels. Markers see the others' marks when all of their own are done.
 */
final class TogetherController extends Controller
{
    public function __construct(private readonly Planning $planning)
    {
    }

    public function index(Request $request, Assignment $assignment): View
    {
        $this->authorize('viewMarking', $assignment);
        $person = $this->person($request);
        $marks = Mark::query()->where('seat', Seat::Together)
            ->whereHas('script', fn ($query) => $query->where('assignment_id', $assignment->id))
            ->with(['script:id,code,public_id,assignment_id', 'marker:id,name', 'rubricVersion'])->get()
            ->sortBy(fn (Mark $mark) => [$mark->script->code, NameOrder::key($mark->marker->name)])->values();
        $own = $marks->where('marker_id', $person->id);
        $coordinates = $person->coordinates($assignment->module_id);

        $markers = $coordinates ? $this->markers($assignment)->count() : 0;

        return view('share-out.together', [
            'assignment' => $assignment, 'rubric' => $assignment->rubricVersion?->toCore(),
            'coordinates' => $coordinates, 'own' => $own,
            // Whoever has not finished their own must not lean on the others'.
            'shown' => $own->every(fn (Mark $mark) => $mark->isDone())
                ? $marks->groupBy(fn (Mark $mark) => $mark->script->code)
                : collect(),
            'picked' => $marks->map(fn (Mark $mark) => $mark->script->code)->unique()->values(),
            'done' => $marks->filter(fn (Mark $mark) => $mark->isDone())->count(), 'all' => $marks->count(),
            'scripts' => $coordinates ? $this->planning->scripts($assignment) : collect(),
            // Before anything is chosen: why nothing can be.
            'cannot' => $assignment->whyNotTogether($markers),
            'notes' => LevelNote::query()->where('assignment_id', $assignment->id)->with('savedBy:id,name')->get()
                ->keyBy('criterion'),
        ]);
    }

    public function store(PickTogetherRequest $request, Assignment $assignment, PickTogether $pick): RedirectResponse
    {
        $fields = $request->validated();
        $markers = $this->markers($assignment);
        $pick(
            $assignment, array_values($fields['scripts'] ?? []),
            new \Illuminate\Database\Eloquent\Collection($markers->all()), $this->person($request),
        );

        return redirect()->route('together.index', $assignment)
            ->with(
                'said',
                ($fields['scripts'] ?? []) === []
                    ? 'Nothing is marked together.'
                    : "Each of the {$markers->count()} markers finds them first in their queue.",
            );
    }

    /**
     * Who marks, as agreed.
     *
     * @return Collection<int, User>
     */
    private function markers(Assignment $assignment): Collection
    {
        $agreed = array_keys(
            array_filter(
                $this->planning->agreed($assignment), fn (array $one) => $one['marks'] && (float) $one['share'] > 0,
            )
        );

        return $this->planning->people($assignment)->map(fn (Membership $member) => $member->user)
            ->whereIn('public_id', $agreed)->values();
    }

    /** What was agreed about the levels: every marker may write it down. */
    public function levels(LevelNotesRequest $request, Assignment $assignment, SaveLevelNotes $save): RedirectResponse
    {
        $fields = $request->validated();
        $rubric = $assignment->rubricVersion?->toCore();
        $known = array_map(fn (Criterion $criterion) => $criterion->id(), $rubric->criteria ?? []);
        $text = fn (array $from): array => array_map(
            fn (mixed $words) => str_replace("\r\n", "\n", (string) $words),
            array_intersect_key($from, array_flip($known)),
        );
        $clashes = $save(
            $assignment, $text($fields['note'] ?? []), $text($fields['seen'] ?? []), $this->person($request),
        );
        $back = redirect()->route('together.index', $assignment);

        return $clashes === [] ? $back->with('said', 'Kept. At the desk it is one key away.')
            : $back->withInput()->withErrors(
                [
                    'note' => 'Someone wrote meanwhile on: '.implode(
                        ', ', array_map(fn (string $id) => (string) $rubric?->criterion($id)?->title(), $clashes),
                    )
                        .'. Their words are beside the fields, yours are still in them: bring them together and keep it again.',
                ]
            );
    }
}
