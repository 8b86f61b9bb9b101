<?php

declare(strict_types=1);

namespace App\Http\Controllers\Peers;

use App\Actions\Peers\CloseRound;
use App\Actions\Peers\LetIntoRound;
use App\Actions\Peers\OpenRound;
use App\Actions\Peers\PlanReviews;
use App\Actions\Peers\SaveRound;
use App\Http\Controllers\Controller;
use App\Http\Requests\Peers\RoundRequest;
use App\Models\Assignment;
use App\Models\Round;
use App\Models\RoundWork;
use App\Notices\Notices;
use App\Queries\Peers\PeersBesideStaff;
use App\Queries\Peers\ReviewedWorkPage;
use App\Queries\Peers\RoundState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Peers\RoundSettings;

/**
 * Rounds of peer review and self-assessment as their coordinator plans and follows them.
 */
final class RoundController extends Controller
{
    public function index(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view('peers.index', ['assignment' => $assignment, 'rounds' => $assignment->rounds]);
    }

    public function create(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view('peers.plan', [
            'assignment' => $assignment, 'round' => null, 'settings' => RoundSettings::usual(),
            'rubric' => $assignment->rubricVersion?->toCore(),
        ]);
    }

    public function store(RoundRequest $request, Assignment $assignment, SaveRound $save): RedirectResponse
    {
        $round = $save(
            $assignment, null, $request->string('title')->toString(), $request->settings(), $request->times(),
            $request->person(),
        );

        return redirect()->route('rounds.staff', $round)->with('said', __('peers.made'));
    }

    public function edit(Round $round): View
    {
        $this->authorize('coordinate', $round);

        return view('peers.plan', [
            'assignment' => $round->assignment, 'round' => $round, 'settings' => $round->settings,
            'rubric' => $round->assignment->rubricVersion?->toCore(),
        ]);
    }

    public function update(RoundRequest $request, Round $round, SaveRound $save): RedirectResponse
    {
        $save(
            $round->assignment, $round, $request->string('title')->toString(), $request->settings(), $request->times(),
            $request->person(),
        );

        return redirect()->route('rounds.staff', $round)->with('said', __('peers.saved'));
    }

    public function show(Request $request, Round $round, Notices $notices): View
    {
        $this->authorize('coordinate', $round);
        $notices->readAt($this->person($request)->id, route('rounds.staff', $round, false));
        $seesMarks = $this->person($request)->can('viewAllMarks', $round->assignment);

        return view('peers.state', [
            'round' => $round, 'assignment' => $round->assignment, 'state' => RoundState::of($round),
            'seesMarks' => $seesMarks, 'beside' => $seesMarks ? PeersBesideStaff::of($round) : null,
            'show' => $request->string('show')->toString(),
        ]);
    }

    public function open(Request $request, Round $round, OpenRound $open): RedirectResponse
    {
        $this->authorize('coordinate', $round);
        $open($round, $this->person($request));

        return redirect()->route('rounds.staff', $round)->with('said', __('peers.opened'));
    }

    public function give(Request $request, Round $round, PlanReviews $plan): RedirectResponse
    {
        $this->authorize('coordinate', $round);
        $done = $plan($round, $this->person($request));

        return redirect()->route('rounds.staff', $round)->with('said', trans_choice(
            'peers.planned', count($done->added), ['count' => count($done->added), 'moved' => count($done->removed)],
        ));
    }

    public function close(Request $request, Round $round, CloseRound $close): RedirectResponse
    {
        $this->authorize('coordinate', $round);
        $close($round, $this->person($request));

        return redirect()->route('rounds.staff', $round)->with('said', __('peers.closed'));
    }

    public function letIn(Request $request, Round $round, LetIntoRound $let): RedirectResponse
    {
        $this->authorize('coordinate', $round);
        $let($round, $request->string('code')->toString());

        return redirect()->route('rounds.staff', $round)->with('said', __('peers.let_in'));
    }

    /** The reviews of one work beside each other, and beside what staff gave it. */
    public function work(Round $round, string $work, ReviewedWorkPage $page): View
    {
        $this->authorize('coordinate', $round);
        $this->authorize('viewAllMarks', $round->assignment);
        $found = RoundWork::query()->where('round_id', $round->id)->where('code', $work)->firstOrFail();

        return view('peers.work', $page->of($round, $found));
    }
}
