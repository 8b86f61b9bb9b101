<?php

declare(strict_types=1);

namespace App\Http\Controllers\Peers;

use App\Actions\Peers\CloseContribution;
use App\Actions\Peers\OpenContribution;
use App\Actions\Peers\RateMembers;
use App\Actions\Peers\ReopenContribution;
use App\Actions\Peers\SaveContribution;
use App\Actions\Peers\SetMultiplier;
use App\Http\Controllers\Controller;
use App\Http\Requests\Peers\ContributionRequest;
use App\Http\Requests\Peers\MultiplierRequest;
use App\Http\Requests\Peers\RateMembersRequest;
use App\Http\Requests\Peers\ReopenContributionRequest;
use App\Models\Assignment;
use App\Models\Contribution;
use App\Notices\Notices;
use App\Queries\Peers\ContributionPage;
use App\Queries\Peers\OwnContribution;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Members of groups say who did how much; coordinators see it, and what it does to each mark.
 */
final class ContributionController extends Controller
{
    public function index(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view('peers.contribution', ['assignment' => $assignment, 'page' => ContributionPage::of($assignment)]);
    }

    public function save(ContributionRequest $request, Assignment $assignment, SaveContribution $save): RedirectResponse
    {
        $contribution = $save($assignment, $request->settings(), $request->dueAt(), $request->person());

        return redirect()->route('contribution.index', $assignment)
            ->with('said', __($contribution->opened_at === null ? 'contribution.made' : 'contribution.saved'));
    }

    public function open(Request $request, Contribution $contribution, OpenContribution $open): RedirectResponse
    {
        $this->authorize('coordinate', $contribution);
        $open($contribution, $this->person($request));

        return redirect()->route('contribution.index', $contribution->assignment)
            ->with('said', __('contribution.opened'));
    }

    public function close(Request $request, Contribution $contribution, CloseContribution $close): RedirectResponse
    {
        $this->authorize('coordinate', $contribution);
        $close($contribution, $this->person($request));

        return redirect()->route('contribution.index', $contribution->assignment)
            ->with('said', __('contribution.closed'));
    }

    public function reopen(
        ReopenContributionRequest $request, Contribution $contribution, ReopenContribution $reopen,
    ): RedirectResponse {
        $reopen($contribution, $request->dueAt(), $request->person());

        return redirect()->route('contribution.index', $contribution->assignment)
            ->with('said', __('contribution.reopened'));
    }

    public function set(MultiplierRequest $request, Contribution $contribution, SetMultiplier $set): RedirectResponse
    {
        $set(
            $contribution, $request->member(), $request->instead(), $request->string('reason')->toString(),
            $request->person(),
        );

        return redirect()->route('contribution.index', $contribution->assignment)
            ->with('said', __($request->instead() === null ? 'contribution.unset' : 'contribution.set'));
    }

    public function show(Request $request, Contribution $contribution, Notices $notices): View|RedirectResponse
    {
        $person = $this->person($request);
        if ($person->can('coordinate', $contribution)) {
            return redirect()->route('contribution.index', $contribution->assignment);
        }
        $this->authorize('take', $contribution);
        $notices->readAt($person->id, route('contributions.show', $contribution, false));

        return view('peers.own-contribution', [
            'contribution' => $contribution, 'own' => OwnContribution::of($contribution, $person),
        ]);
    }

    public function rate(RateMembersRequest $request, Contribution $contribution, RateMembers $rate): RedirectResponse
    {
        $rate($contribution, $request->points(), $request->notes(), $request->person());

        return redirect()->route('contributions.show', $contribution)->with('said', __('contribution.rated'));
    }
}
