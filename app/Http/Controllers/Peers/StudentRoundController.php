<?php

declare(strict_types=1);

namespace App\Http\Controllers\Peers;

use App\Actions\Peers\OfferReviews;
use App\Http\Controllers\Controller;
use App\Http\Requests\Peers\OfferRequest;
use App\Models\Round;
use App\Models\RoundMember;
use App\Queries\Peers\StudentRound;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * A round as a student goes through it, step by step.
 */
final class StudentRoundController extends Controller
{
    public function show(Request $request, Round $round): View|RedirectResponse
    {
        if ($this->person($request)->can('coordinate', $round)) {
            return redirect()->route('rounds.staff', $round);
        }
        $this->authorize('take', $round);

        return view('peers.round', ['round' => $round, 'own' => StudentRound::of($round, $this->person($request))]);
    }

    public function offer(OfferRequest $request, Round $round, OfferReviews $offer): RedirectResponse
    {
        $member = RoundMember::query()->where('round_id', $round->id)->where('user_id', $request->person()->id)
            ->firstOrFail();
        $more = $offer($member, $request->integer('extra'));

        return redirect()->route('rounds.show', $round)
            ->with('said', __($more ? 'peers.offer_taken' : ($request->integer('extra') > 0 ? 'peers.offer_kept' : 'peers.offer_none')));
    }
}
