<?php

declare(strict_types=1);

namespace App\Http\Controllers\Release;

use App\Actions\Release\HoldScript;
use App\Actions\Release\ReleaseResults;
use App\Actions\Release\RevealNames;
use App\Http\Controllers\Controller;
use App\Http\Requests\Release\HoldScriptRequest;
use App\Http\Requests\Release\ReleaseResultsRequest;
use App\Http\Requests\Release\RevealNamesRequest;
use App\Models\Assignment;
use App\Models\Script;
use App\Queries\Moderate\SignOff;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Marks\FinalMark;
use YoungHarbor\Core\Release\ReadyCheck;

/**
 * The ready check, releasing results, holding one back, and revealing names.
 */
final class ReleaseController extends Controller
{
    public function index(Assignment $assignment, SignOff $signOff): View
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

        $unsigned = $signOff->missing($assignment);

        return view('release.index', [
            'assignment' => $assignment,
            'check' => ReadyCheck::of(
                $standings, $assignment->scheme->marksTwice(), $this->undecided($assignment, $scripts), $unsigned,
            ), 'scripts' => $scripts,
            'standings' => $standings, 'finals' => $finals,
            'corrections' => $assignment->corrections()->toBase()->groupBy('state')->selectRaw('state, COUNT(*) AS n')
                ->pluck('n', 'state')->all(),
            'correctedSince' => $signOff->correctedSince($assignment),
            'below' => $assignment->release->feedbackOnly
                ? []
                : $finals->filter(
                    fn (FinalMark $final, string $code) => $assignment->scheme->losesThePass(
                        $scripts->firstWhere('code', $code)?->leadScript()->settlement?->toCore()->mark ?? $final->mark,
                        $final->mark,
                    )
                )->keys()->all(),
            'ready' => $scripts->filter(fn (Script $script) => $unsigned === []
                && $standings[$script->code] === Standing::Agreed),
            'unopened' => $scripts->filter(
                fn (Script $script) => $script->result !== null && $script->result->first_opened_at === null
            )->count(),
        ]);
    }

    /**
     * @param  Collection<int, Script>  $scripts
     * @return list<string>|null codes of scripts of which no sample has been drawn; null where none is
     */
    private function undecided(Assignment $assignment, Collection $scripts): ?array
    {
        return $assignment->scheme->second !== SecondMarks::Sample
            ? null
            : array_values($scripts->filter(
                fn (Script $script) => $script->leadScript()->sampled === Sampled::Undecided,
            )->map(fn (Script $script) => $script->code)->all());
    }

    public function store(
        ReleaseResultsRequest $request, Assignment $assignment, ReleaseResults $release,
    ): RedirectResponse {
        $fields = $request->validated();
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

    public function reveal(RevealNamesRequest $request, Assignment $assignment, RevealNames $reveal): RedirectResponse
    {
        $reveal($assignment);

        return redirect()->route('release.index', $assignment)
            ->with('said', 'Markers now see whose scripts they marked.');
    }

    public function hold(HoldScriptRequest $request, Script $script, HoldScript $hold): RedirectResponse
    {
        $letGo = $request->input('let_go') === '1';
        $fields = $request->validated();
        $hold($script, $letGo ? null : $fields['reason']);

        return redirect()->route('release.index', $script->assignment)
            ->with('said', $letGo ? "{$script->code} is no longer held." : "{$script->code} is held.");
    }
}
