<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Mark;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/**
 * A marker's own scripts in an assignment; for the coordinator also how far every marker is.
 */
final class QueueController extends Controller
{
    public function __invoke(Request $request, Assignment $assignment): View
    {
        $this->authorize('viewMarking', $assignment);
        $person = $this->person($request);
        $ofAssignment = fn ($query) => $query->where('assignment_id', $assignment->id);
        $marks = Mark::query()->where('marker_id', $person->id)->whereHas('script', $ofAssignment)
            ->with(['script.result', 'script.student:id,name', 'handin:id,words', 'rubricVersion'])
            ->get()->sortBy(fn (Mark $mark) => [$mark->isDone(), $mark->part->value, $mark->script->code])->values();
        $coordinates = $person->coordinates($assignment->module_id);

        return view('mark.queue', [
            'assignment' => $assignment, 'marks' => $marks,
            'progress' => $coordinates ? Mark::query()->whereHas('script', $ofAssignment)->with('marker:id,name')
                ->selectRaw('marker_id, COUNT(*) AS given, SUM(begun_at IS NOT NULL) AS begun, SUM(done_at IS NOT NULL) AS done')
                ->groupBy('marker_id')->get()->sortBy(fn (Mark $mark) => $mark->marker->name) : collect(),
            'coordinates' => $coordinates,
        ]);
    }
}
