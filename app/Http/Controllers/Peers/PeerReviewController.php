<?php

declare(strict_types=1);

namespace App\Http\Controllers\Peers;

use App\Actions\Peers\AnswerPeerReview;
use App\Actions\Peers\DecideFlag;
use App\Actions\Peers\FlagReview;
use App\Actions\Peers\SettleReturned;
use App\Desk\DeskState;
use App\Http\Controllers\Controller;
use App\Http\Requests\Peers\AnswerReviewRequest;
use App\Http\Requests\Peers\DecideFlagRequest;
use App\Http\Requests\Peers\FlagReviewRequest;
use App\Models\PeerReview;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * A review as the author of the work reads it, answers it, or finds something wrong with it.
 */
final class PeerReviewController extends Controller
{
    public function show(PeerReview $peer, DeskState $state): View
    {
        $this->authorize('read', $peer);

        return view('peers.review', [
            'review' => $peer, 'round' => $peer->round, 'rubric' => $peer->mark->rubric(),
            'notes' => $state->notesInOrder($peer->mark),
            'earlier' => $peer->mark->work_id !== $peer->work->script->current_handin_id,
        ]);
    }

    public function answer(AnswerReviewRequest $request, PeerReview $peer, AnswerPeerReview $answer): RedirectResponse
    {
        $answer($peer, $request->useful(), $request->string('answer')->trim()->toString());

        return redirect()->route('rounds.show', $peer->round)->with('said', __('peers.answered'));
    }

    public function flag(FlagReviewRequest $request, PeerReview $peer, FlagReview $flag): RedirectResponse
    {
        $flag($peer, $request->why(), $request->string('text')->trim()->toString());

        return redirect()->route('peer-reviews.show', $peer)->with('said', __('peers.flagged'));
    }

    public function decide(DecideFlagRequest $request, PeerReview $peer, DecideFlag $decide): RedirectResponse
    {
        $decide(
            $peer, $request->boolean('hide'), $request->string('reason')->trim()->toString(), $request->person(),
        );

        return back()->with('said', __($request->boolean('hide') ? 'peers.hidden' : 'peers.left'));
    }

    public function dealt(PeerReview $peer, SettleReturned $settle): RedirectResponse
    {
        $this->authorize('coordinate', $peer);
        $settle($peer);

        return back()->with('said', __('peers.dealt'));
    }
}
