<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\HoldScript;
use App\Actions\Release\ReleaseResults;
use App\Actions\Release\RevealNames;
use App\Http\Controllers\Controller;
use App\Models\Assignment;
use App\Models\Script;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Release\ReadyCheck;

/**
 * The ready check, releasing results, holding one back, and revealing names.
 */
final class ReleaseController extends Controller
{
    public function index(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);
        $scripts = $assignment->scripts()
            ->with(
                [
                    'marks', 'settlement', 'result',
                    'currentHandin:id,script_id,words,hidden_words,quoted_words,bibliography_words,due_at,received_at',
                    'lead.marks', 'lead.settlement',
                ]
            )
            ->orderBy('code')->get();
        $standings = $scripts->mapWithKeys(fn (Script $script) => [$script->code => $script->standing])->all();
        $decimals = $assignment->rubricVersion?->toCore()->decimals ?? 1;
        $finals = $scripts->filter(fn (Script $script) => $script->leadScript()->settlement !== null)
            ->mapWithKeys(
                fn (Script $script) => [
                    $script->code => $script->setRelation('assignment', $assignment)->finalMark($decimals),
                ]
            );

        return view('release.index', [
            'assignment' => $assignment,
            'check' => ReadyCheck::of($standings, $assignment->scheme->wants(Seat::Second)), 'scripts' => $scripts,
            'standings' => $standings, 'finals' => $finals,
            'below' => $assignment->release->feedbackOnly
                ? []
                : $finals->filter(
                    fn (FinalMark $final, string $code) => $assignment->scheme->losesThePass(
                        $scripts->firstWhere('code', $code)?->leadScript()->settlement?->toCore()->mark ?? $final->mark,
                        $final->mark,
                    )
                )->keys()->all(),
            'ready' => $scripts->filter(fn (Script $script) => $standings[$script->code] === Standing::Agreed),
            'unopened' => $scripts->filter(
                fn (Script $script) => $script->result !== null && $script->result->first_opened_at === null
            )->count(),
        ]);
    }

    public function store(Request $request, Assignment $assignment, ReleaseResults $release): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $fields = $request->validate([
            'which' => ['required', 'in:all,some'],
            'scripts' => ['array', 'required_if:which,some'],
            'scripts.*' => ['string', 'max:20'],
            'expected' => ['nullable', 'integer'],
        ], ['scripts.required_if' => 'Choose the scripts to release in the list, or release all that are ready.']);
        $expected = isset($fields['expected']) ? (int) $fields['expected'] : null;
        $count = $release(
            $assignment, $fields['which'] === 'some' ? array_values($fields['scripts']) : null,
            $this->person($request), $expected,
        );

        return redirect()->route('release.index', $assignment)
            ->with(
                'said',
                $count === 1
                    ? '1 result is released; its student is being told by mail.'
                    : "{$count} results are released; their students are being told by mail.",
            );
    }

    public function reveal(Request $request, Assignment $assignment, RevealNames $reveal): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $request->validate(
            ['sure' => ['required', 'accepted']],
            ['sure.*' => 'Tick the box to say that you know this cannot be undone.'],
        );
        $reveal($assignment);

        return redirect()->route('release.index', $assignment)
            ->with('said', 'Markers now see whose scripts they marked.');
    }

    public function hold(Request $request, Script $script, HoldScript $hold): RedirectResponse
    {
        $this->authorize('coordinate', $script);
        $letGo = $request->input('let_go') === '1';
        $fields = $request->validate(
            ['reason' => [$letGo ? 'nullable' : 'required', 'string', 'min:5', 'max:500']],
            ['reason.*' => 'Say in a few words why it is held (5 letters at least); it is written in the logbook.'],
        );
        $hold($script, $letGo ? null : $fields['reason']);

        return redirect()->route('release.index', $script->assignment)
            ->with('said', $letGo ? "{$script->code} is no longer held." : "{$script->code} is held.");
    }
}
