<?php

declare(strict_types=1);

namespace App\Http\Controllers\Mark;

use App\Actions\Mark\RemindMarkers;
use App\Desk\DeskQueue;
use App\Http\Controllers\Controller;
use App\Http\Requests\Mark\RemindRequest;
use App\Models\Assignment;
use App\Models\Mark;
use App\Queries\Mark\MarkerProgress;
use App\Queries\Release\Replies;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Marking\Seat;

/**
 * A marker's own scripts in an assignment; for the coordinator also how far every marker is.
 */
final class QueueController extends Controller
{
    private const PAGE = 100;

    public function index(
        Request $request, Assignment $assignment, DeskQueue $queue, MarkerProgress $progress, Replies $replies,
    ): View {
        $this->authorize('viewMarking', $assignment);
        $person = $this->person($request);
        $filter = DeskQueue::filter($request->query());
        $all = $queue->queue($assignment->id, $person->id, []);
        $counts = $all->clone()
            ->selectRaw(
                'COUNT(*) AS every, SUM(done_at IS NULL) AS open, SUM(done_at IS NULL AND begun_at IS NOT NULL) AS begun, SUM(done_at IS NULL AND aside_reason IS NOT NULL) AS aside, SUM(done_at IS NOT NULL) AS done'
            )
            ->toBase()->sole();
        $marks = $queue->queue($assignment->id, $person->id, $filter)
            ->with(
                [
                    'script.result:id,script_id,mark,shown,band', 'script.student:id,name', 'handin:id,words',
                    'rubricVersion',
                ]
            )
            ->withCount(['comments' => fn ($query) => $query->whereNull('gone_at')])
            ->orderByRaw(DeskQueue::order($filter['order'] ?? 'need'))->paginate(self::PAGE)->appends($filter);
        $coordinates = $person->coordinates($assignment->module_id);

        return view('mark.queue', [
            'assignment' => $assignment, 'marks' => $marks, 'counts' => $counts, 'filter' => $filter,
            'sections' => array_keys($queue->sections($assignment->id, $person->id)), 'coordinates' => $coordinates,
            'flagged' => $queue->queue($assignment->id, $person->id, ['show' => 'flagged'])->count(),
            'replies' => $assignment->results_out_at === null ? null : $replies->unreadBy($assignment, $person),
            'next' => $queue->resume($assignment, $person),
            'progress' => $coordinates ? $progress->of($assignment) : collect(),
            'together' => Mark::query()->where('assignment_id', $assignment->id)->where('seat', Seat::Together)
                ->exists(),
        ]);
    }

    /** Writes to markers about what is still open. */
    public function remind(RemindRequest $request, Assignment $assignment, RemindMarkers $remind): RedirectResponse
    {
        $fields = $request->validated();
        $count = $remind($assignment, $fields['to'], $fields['body'], $this->person($request));

        return redirect()->route('mark.index', $assignment)
            ->with('said', $count === 1 ? 'One marker was written to.' : "{$count} markers were written to.");
    }
}
