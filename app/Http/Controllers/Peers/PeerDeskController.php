<?php

declare(strict_types=1);

namespace App\Http\Controllers\Peers;

use App\Actions\Peers\FinishReview;
use App\Actions\Peers\ReopenReview;
use App\Actions\Peers\ReturnReview;
use App\Actions\Peers\SayWhatWasLearnt;
use App\Desk\PeerDesk;
use App\Http\Controllers\Controller;
use App\Http\Requests\Peers\FinishReviewRequest;
use App\Http\Requests\Peers\LearntRequest;
use App\Http\Requests\Peers\ReturnReviewRequest;
use App\Models\PeerReview;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * The desk in its student form: one work and the rubric side by side, under the round's codes.
 */
final class PeerDeskController extends Controller
{
    public function show(Request $request, PeerReview $peer, PeerDesk $desk): View
    {
        $this->authorize('write', $peer);

        return view('peers.desk', $desk->of($peer, $this->person($request)));
    }

    public function done(FinishReviewRequest $request, PeerReview $peer, FinishReview $finish): RedirectResponse
    {
        $concerns = $finish($peer, $request->boolean('as_it_is'));
        if ($concerns !== []) {
            return redirect()->route('peer-reviews.desk', $peer)->with('concerns', array_values($concerns));
        }

        return redirect()->route('rounds.show', $peer->round)->with('said', __($peer->own
            ? 'peers.own_is_done' : 'peers.review_is_done', ['code' => $peer->work->code]));
    }

    public function learnt(LearntRequest $request, PeerReview $peer, SayWhatWasLearnt $say): RedirectResponse
    {
        $say($peer, $request->string('learnt')->trim()->toString());

        return back()->with('said', __('peers.beside_result.said'));
    }

    public function reopen(PeerReview $peer, ReopenReview $reopen): RedirectResponse
    {
        $this->authorize('write', $peer);
        $reopen($peer);

        return redirect()->route('peer-reviews.desk', $peer)->with('said', __('peers.open_again'));
    }

    public function return(ReturnReviewRequest $request, PeerReview $peer, ReturnReview $return): RedirectResponse
    {
        $return($peer, $request->why(), $request->string('text')->trim()->toString());

        return redirect()->route('rounds.show', $peer->round)->with('said', __('peers.is_returned'));
    }
}
