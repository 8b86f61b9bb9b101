<?php

declare(strict_types=1);

namespace App\Http\Controllers\Alike;

use App\Actions\Correct\AskCorrection;
use App\Actions\Correct\DecideCorrection;
use App\Actions\Correct\TakeBackCorrection;
use App\Corrections\SeverityOf;
use App\Enums\CorrectionKind;
use App\Enums\CorrectionState;
use App\Http\Controllers\Controller;
use App\Http\Requests\Alike\CorrectionRequest;
use App\Http\Requests\Alike\DecideCorrectionRequest;
use App\Models\Assignment;
use App\Models\Correction;
use App\Models\Mark;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Agreement\Severity;
use YoungHarbor\Core\Marking\Seat;

/**
 * Corrections of marks: what one would do, asking for it, approving it, taking it back.
 */
final class CorrectionController extends Controller
{
    public function index(CorrectionRequest $request, Assignment $assignment): View
    {
        [$draft, $severity, $why] = $this->draft($request, $assignment);

        return view('alike.corrections', [
            'assignment' => $assignment, 'draft' => $draft, 'severity' => $severity, 'why' => $why,
            'preview' => $draft?->preview($assignment),
            'markers' => User::query()->whereIn('id', Mark::counting()->where('assignment_id', $assignment->id)
                ->where('seat', Seat::First)->select('marker_id'))->orderBy('name')->pluck('name', 'public_id')->all(),
            'corrections' => $assignment->corrections()->with(['marker', 'asker', 'decider', 'taker'])->latest('id')
                ->get(),
        ]);
    }

    public function show(Request $request, Correction $correction): View
    {
        $this->authorize('correct', $correction->assignment);
        $correction->load(['marker', 'asker', 'decider', 'taker']);

        return view('alike.correction', [
            'assignment' => $correction->assignment, 'correction' => $correction,
            'preview' => in_array($correction->state, [CorrectionState::Asked, CorrectionState::Approved], true)
                ? $correction->preview($correction->assignment)
                : null,
            'whyNot' => $correction->whyNotDecidedBy($this->person($request)),
        ]);
    }

    public function store(CorrectionRequest $request, Assignment $assignment, AskCorrection $ask): RedirectResponse
    {
        [$draft, , $why] = $this->draft($request, $assignment);
        if ($draft === null) {
            return redirect()->route('corrections.index', $assignment)
                ->withErrors(['kind' => $why ?? 'Choose how marks are to be corrected.']);
        }
        $correction = $ask(
            $assignment, $draft, $request->string('reason')->toString(), $request->string('digest')->toString(),
            $request->person(),
        );

        return redirect()->route('corrections.show', $correction)
            ->with('said', 'The correction is asked for. It moves no mark until someone else approves it.');
    }

    public function update(
        DecideCorrectionRequest $request, Correction $correction, DecideCorrection $decide,
        TakeBackCorrection $takeBack,
    ): RedirectResponse {
        $reason = $request->string('reason')->toString();
        $decision = $request->string('decision')->toString();
        $decision === 'take-back'
            ? $takeBack($correction, $reason, $request->person())
            : $decide(
                $correction, $decision === 'approve', $reason, $request->string('digest')->toString(),
                $request->person(),
            );

        return redirect()->route('corrections.show', $correction)->with('said', match ($decision) {
            'approve' => 'Approved. Every mark it moves says so in its working.',
            'refuse' => 'Refused. No mark was moved.',
            default => 'Taken back. Every mark is again what it was without it.',
        });
    }

    /**
     * @return array{Correction|null, Severity|null, string|null} the draft, what it is worked out from, or why there is none
     */
    private function draft(CorrectionRequest $request, Assignment $assignment): array
    {
        $draft = $request->draft();
        if ($draft === null || $draft->kind !== CorrectionKind::Severity) {
            return [$draft, null, null];
        }
        $severity = SeverityOf::marker($assignment, $draft->marker);
        if ($draft->marker === null || $severity === null) {
            return [null, null, $draft->marker === null
                ? 'Choose whose marks are to be corrected: someone who made first marks here.'
                : 'Nothing can be taken out: it needs at least '.Severity::LEAST.' markers who are linked by scripts marked twice without seeing the other, this one among them.'];
        }
        $draft->constant = $severity->correction();
        $draft->working = [
            'effect' => $severity->effect, 'se' => $severity->se, 'between' => $severity->between,
            'part' => $severity->part, 'markers' => $severity->markers,
        ];

        return [$draft, $severity, null];
    }
}
