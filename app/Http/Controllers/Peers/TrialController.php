<?php

declare(strict_types=1);

namespace App\Http\Controllers\Peers;

use App\Actions\Peers\AddTrialScript;
use App\Actions\Peers\SaveTrialMark;
use App\Actions\Peers\TakeTrialScript;
use App\Http\Controllers\Controller;
use App\Http\Requests\Peers\TrialMarkRequest;
use App\Http\Requests\Peers\TrialScriptRequest;
use App\Models\Round;
use App\Models\RoundMember;
use App\Models\TrialMark;
use App\Models\TrialScript;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Trial scripts: staff set their marks and say why, students try their hand on them before they review.
 */
final class TrialController extends Controller
{
    public function index(Round $round): View
    {
        $this->authorize('coordinate', $round);

        return view('peers.trials', [
            'round' => $round, 'assignment' => $round->assignment, 'trials' => $round->trials,
            'rubric' => $round->assignment->rubricVersion?->toCore()->only($round->settings->criteria),
        ]);
    }

    public function store(TrialScriptRequest $request, Round $round, AddTrialScript $add): RedirectResponse
    {
        $add(
            $round, $request->string('title')->toString(), $request->string('text')->toString(), $request->choices(),
            $request->person(),
        );

        return redirect()->route('trials.index', $round)->with('said', __('peers.trial_added'));
    }

    public function destroy(TrialScript $trial, TakeTrialScript $take): RedirectResponse
    {
        $this->authorize('coordinate', $trial->round);
        $take($trial);

        return redirect()->route('trials.index', $trial->round)->with('said', __('peers.trial_taken'));
    }

    public function show(Request $request, TrialScript $trial): View
    {
        $this->authorize('take', $trial->round);
        $member = $this->member($request, $trial);

        return view('peers.trial', [
            'trial' => $trial, 'round' => $trial->round, 'rubric' => $trial->rubric(),
            'mark' => TrialMark::query()->where('trial_script_id', $trial->id)->where('round_member_id', $member->id)
                ->first(),
        ]);
    }

    public function update(TrialMarkRequest $request, TrialScript $trial, SaveTrialMark $save): RedirectResponse
    {
        $save($trial, $this->member($request, $trial), $request->choices(), $request->isDone());

        return redirect()->route('trials.show', $trial)
            ->with('said', __($request->isDone() ? 'peers.trial_done' : 'peers.trial_kept'));
    }

    private function member(Request $request, TrialScript $trial): RoundMember
    {
        return RoundMember::query()->where('round_id', $trial->round_id)
            ->where('user_id', $this->person($request)->id)->firstOrFail();
    }
}
