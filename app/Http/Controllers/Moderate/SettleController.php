<?php

declare(strict_types=1);

namespace App\Http\Controllers\Moderate;

use App\Actions\Moderate\AcceptProposal;
use App\Actions\Moderate\AskForThird;
use App\Actions\Moderate\ChooseFeedback;
use App\Actions\Moderate\DecideMark;
use App\Actions\Moderate\OpenSettled;
use App\Actions\Moderate\ProposeMark;
use App\Actions\Moderate\SayInSettling;
use App\Documents\ResultDocument;
use App\Exceptions\Refused;
use App\Http\Controllers\Controller;
use App\Http\Requests\Moderate\AcceptProposalRequest;
use App\Http\Requests\Moderate\DecideMarkRequest;
use App\Http\Requests\Moderate\FeedbackRequest;
use App\Http\Requests\Moderate\OpenSettledRequest;
use App\Http\Requests\Moderate\PreviewRequest;
use App\Http\Requests\Moderate\ProposeMarkRequest;
use App\Http\Requests\Moderate\SayRequest;
use App\Http\Requests\Moderate\ThirdRequest;
use App\Models\Script;
use App\Models\Settlement;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Marking\MarkOffer;

/**
 * Settling a script: proposing and accepting, messages, a third marker, a coordinator's decision, opening again.
 */
final class SettleController extends Controller
{
    public function propose(ProposeMarkRequest $request, Script $script, ProposeMark $propose): RedirectResponse
    {
        $propose($script, $this->person($request), $request->offer());

        return $this->back($request, $script, 'Proposed. The other marker sees it on Today.');
    }

    public function accept(AcceptProposalRequest $request, Script $script, AcceptProposal $accept): RedirectResponse
    {
        $accept($script, $request->integer('proposal'), $this->person($request));

        return $this->back($request, $script, "{$script->code} is settled.");
    }

    public function decide(DecideMarkRequest $request, Script $script, DecideMark $decide): RedirectResponse
    {
        $decide($script, $this->person($request), $request->offer());

        return $this->back($request, $script, "You decided the mark of {$script->code}. Its markers see your reason.");
    }

    public function third(ThirdRequest $request, Script $script, AskForThird $ask): RedirectResponse
    {
        $mark = $ask(
            $script, $request->view(), $this->person($request), $request->string('why')->trim()->value(),
        );

        return $this->back($request, $script, "{$script->code} is with a third marker, {$mark->marker->name}.");
    }

    public function open(OpenSettledRequest $request, Script $script, OpenSettled $open): RedirectResponse
    {
        $open($script, $this->person($request), $request->string('why')->trim()->value());

        return $this->back($request, $script, "{$script->code} is open again. What was settled stays to be read below.");
    }

    public function feedback(FeedbackRequest $request, Script $script, ChooseFeedback $choose): RedirectResponse
    {
        $choose($script, $request->feedback(), $this->person($request));

        return $this->back($request, $script, 'Saved whose comments the student reads.');
    }

    public function say(SayRequest $request, Script $script, SayInSettling $say): RedirectResponse
    {
        $say($script, $this->person($request), $request->string('body')->trim()->value());

        return redirect()->to(route('moderate.show', [$script, ...$this->shown($request)]).'#said');
    }

    /** What the student would see, were this the agreed mark. */
    public function preview(PreviewRequest $request, Script $script, ResultDocument $document): View
    {
        try {
            $offer = $request->offer();
        } catch (Refused $e) {
            return view('moderate.preview-refused', ['why' => $e->getMessage()]);
        }
        $as = $this->asSettled($script, $offer);
        $data = [
            'script' => $script, 'assignment' => $script->assignment, 'offer' => $offer,
            'd' => $document->of($as)['document'], 'working' => $as->settlement->working ?? [],
        ];

        return $request->hasHeader('HX-Request')
            ? view('moderate.preview', $data)
            : view('moderate.preview-page', $data);
    }

    private function asSettled(Script $script, MarkOffer $offer): Script
    {
        $as = new Settlement;
        $as->fill(Settlement::columns(
            $script->panel()->agreed($offer->mark, $offer->reason, $offer->isByCriterion()), $offer,
        ));

        return (clone $script)->setRelation('settlement', $as);
    }

    private function back(Request $request, Script $script, string $said): RedirectResponse
    {
        return redirect()->route('moderate.show', [$script, ...$this->shown($request)])->with('said', $said);
    }

    /**
     * @return array<string, string> the filter it was opened from
     */
    private function shown(Request $request): array
    {
        $show = $request->query('show');

        return is_string($show) ? ['show' => $show] : [];
    }
}
