<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moderate;

use App\Desk\DeskState;
use App\Http\Controllers\Controller;
use App\Logbook\LogEvent;
use App\Logbook\Reading;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\Sample;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\SettleMessage;
use App\Queries\Moderate\ModerationQueue;
use App\Queries\Observe\SeenRecord;
use App\Queries\ShareOut\Planning;
use App\Wording\Settling;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\Request;
use YoungHarbor\Core\Marking\CriterionGap;
use YoungHarbor\Core\Marking\OpenMark;
use YoungHarbor\Core\Marking\Seat;

/**
 * Two marks a script: which settled by the rule, which the markers have to settle, and where they do.
 */
final class ModerateController extends Controller
{
    public function __construct(private readonly DeskState $desk, private readonly Planning $planning)
    {
    }

    public function index(Request $request, Assignment $assignment): View
    {
        $this->authorize('viewModeration', $assignment);
        $queue = ModerationQueue::of($assignment, $this->person($request), $request->query('show'));
        $counts = $queue->counts();

        return view('moderate.index', [
            'assignment' => $assignment, 'queue' => $queue, 'counts' => $counts, 'scripts' => $queue->page(),
            'next' => $queue->firstToSettle(), 'samples' => Sample::query()->where('assignment_id', $assignment->id)
                ->withCount('scripts')->orderBy('number')->get(),
        ]);
    }

    /**
     * Who handed a mark of a script over, and who looked at the name behind it.
     *
     * @return array{lines: Collection<int, LogbookLine>, reading: Reading}
     */
    private function log(Script $script): array
    {
        $lines = LogbookLine::query()->where('assignment', $script->assignment->public_id)
            ->whereIn('event', [LogEvent::MarkHandedOver, LogEvent::NameLookedAt])
            ->where('subject', $script->code)->with('words')->orderBy('number')->get();

        return ['lines' => $lines, 'reading' => Reading::of($lines)];
    }

    /** Why the rule leaves a script to its markers; null when it does not. */
    private function whyOpen(Script $script): ?string
    {
        $outcome = $script->outcome();

        return $outcome instanceof OpenMark ? Settling::why($outcome) : null;
    }

    public function show(Request $request, Script $script): View
    {
        $this->authorize('viewModeration', $script);
        $script->load([
            'marks.marker:id,name', 'marks.rubricVersion', 'settlement', 'assignment.module', 'inSample',
            'proposals' => fn ($query) => $query->with('proposer:id,name')->latest('id'),
        ]);
        $done = $script->marks->filter(fn (Mark $mark) => $mark->isDone())
            ->sortBy(fn (Mark $mark) => array_search($mark->seat, Seat::cases(), true))->values();
        [$first, $second] = [$script->mark(Seat::First), $script->mark(Seat::Second)];
        $both = $first?->isDone() && $second?->isDone();
        $person = $this->person($request);

        return view('moderate.show', [
            // With one observer, or once both are done: nobody reads the other's before their own is.
            'records' => $script->assignment->isObserved()
                && (
                    $both || $script->marks->every(fn (Mark $mark) => $mark->isDone())
                ) ? SeenRecord::ofScript($script, false) : [],
            'script' => $script, 'assignment' => $script->assignment, 'done' => $done, 'first' => $first,
            'second' => $second,
            // What was marked, which a later attempt does not replace.
            'read' => ($first ?? $second)?->handin()->with('files')->first() ?? $script->currentHandin ?? abort(404),
            'rubric' => $first?->rubricVersion->toCore(),
            'gaps' => $both && $first->rubric_version_id === $second->rubric_version_id
                ? CriterionGap::between($first->score(), $second->score())
                : [],
            'notes' => $done->mapWithKeys(
                fn (Mark $mark) => [$mark->seat->value => $this->desk->notesInOrder($mark)]
            )->all(),
            // Whoever could take a third mark over.
            'team' => $person->coordinates($script->assignment->module_id)
                && $script->mark(Seat::Third)?->isDone() === false
                ? $this->planning->people($script->assignment)
                    ->reject(fn (Membership $member) => $script->marks->contains('marker_id', $member->user_id))
                : [],
            'why' => $both ? $this->whyOpen($script) : null,
            'mine' => $script->marks->first(fn (Mark $mark) => $mark->marker_id === $person->id),
            'open' => $script->proposals->firstWhere('state', 'open'),
            'said' => SettleMessage::query()->where('script_id', $script->id)->with('author:id,name')->orderBy('id')
                ->get(),
            'undone' => Settlement::query()->where('script_id', $script->id)->whereNotNull('undone_at')->latest('id')
                ->get(),
            'around' => ModerationQueue::of($script->assignment, $person, $request->query('show'))->around($script),
            'show' => is_string($request->query('show')) ? ['show' => $request->query('show')] : [],
            ...$this->log($script),
        ]);
    }
}
