<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moderate;

use App\Actions\Moderate\AcceptProposal;
use App\Actions\Moderate\ProposeMark;
use App\Http\Controllers\Controller;
use App\Http\Requests\Moderate\AcceptProposalRequest;
use App\Http\Requests\Moderate\ProposeMarkRequest;
use App\Logbook\LogEvent;
use App\Logbook\Reading;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\Script;
use App\Policies\AssignmentPolicy;
use App\Wording\Settling;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Marking\OpenMark;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;

/**
 * Two marks a script: which settled by the rule, which the markers have to settle, and where they do.
 */
final class ModerateController extends Controller
{
    public function index(Request $request, Assignment $assignment, AssignmentPolicy $policy): View
    {
        $this->authorize('viewModeration', $assignment);
        $person = $this->person($request);
        $all = $policy->viewAllMarks($person, $assignment);
        $scripts = $assignment->scripts()->whereHas(
            'marks', fn ($query) => $all ? $query : $query->where('marker_id', $person->id),
        )
            ->with(['marks.rubricVersion', 'marks.marker:id,name', 'settlement', 'result'])->get()
            // A marker never learns anything of the other mark before both are in.
            ->filter(fn (Script $script) => $all || $script->marks->every(fn (Mark $mark) => $mark->isDone()))
            ->sortBy(
                fn (Script $script) => [$script->standing === Standing::ToSettle ? 0 : 1, $script->code]
            )->values();

        return view(
            'moderate.index',
            [
                'assignment' => $assignment, 'scripts' => $scripts, 'all' => $all,
                'toSettle' => $scripts->filter(fn (Script $script) => $script->standing === Standing::ToSettle),
            ],
        );
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
        $outcome = $script->panel()->settle($script->assignment->scheme);

        return $outcome instanceof OpenMark ? Settling::why($outcome) : null;
    }

    public function show(Request $request, Script $script): View
    {
        $this->authorize('viewModeration', $script);
        $script->load(
            [
                'marks.marker:id,name', 'marks.rubricVersion',
                'marks.comments' => fn ($query) => $query->whereNull('gone_at')->orderBy('id'), 'settlement',
                'assignment.module', 'proposals' => fn ($query) => $query->with('proposer:id,name')->latest('id'),
            ]
        );
        $first = $script->mark(Seat::First);
        $second = $script->mark(Seat::Second);
        $both = $first?->isDone() && $second?->isDone();

        return view('moderate.show', [
            'script' => $script, 'assignment' => $script->assignment, 'first' => $first, 'second' => $second,
            // What was marked, which a later attempt does not replace.
            'read' => ($first ?? $second)?->handin()->with('files')->first() ?? $script->currentHandin ?? abort(404),
            'rubric' => $first?->rubricVersion->toCore(),
            'why' => $both ? $this->whyOpen($script) : null,
            'mine' => $script->marks->first(fn (Mark $mark) => $mark->marker_id === $this->person($request)->id),
            'open' => $script->proposals->firstWhere('state', 'open'),
            ...$this->log($script),
        ]);
    }

    public function propose(ProposeMarkRequest $request, Script $script, ProposeMark $propose): RedirectResponse
    {
        $fields = $request->validated();
        $propose($script, $this->person($request), trim($fields['mark']), $fields['reason']);

        return redirect()->route('moderate.show', $script)
            ->with('said', 'Proposed. The other marker sees it on Today.');
    }

    public function accept(AcceptProposalRequest $request, Script $script, AcceptProposal $accept): RedirectResponse
    {
        $fields = $request->validated();
        $accept($script, (int) $fields['proposal'], $this->person($request));

        return redirect()->route('moderate.show', $script)->with('said', "{$script->code} is settled.");
    }
}
