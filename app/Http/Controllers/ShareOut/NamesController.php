<?php

declare(strict_types=1);

namespace App\Http\Controllers\ShareOut;

use App\Actions\Collect\DecideAlone;
use App\Actions\ShareOut\LookThroughAgain;
use App\Extraction\Cage;
use App\Extraction\Pages\Sight;
use App\Http\Controllers\Controller;
use App\Http\Requests\ShareOut\NameDecisionRequest;
use App\Models\Assignment;
use App\Models\Script;
use App\Queries\ShareOut\NamesToCheck;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * Names in scripts that a coordinator should look at before scripts are shared out.
 */
final class NamesController extends Controller
{
    public function index(Assignment $assignment): View
    {
        $this->authorize('coordinate', $assignment);

        return view(
            'share-out.names',
            [
                'assignment' => $assignment, 'names' => NamesToCheck::of($assignment), 'caged' => Cage::holds(),
                'sight' => Sight::isThere(),
            ],
        );
    }

    /** Looks once more through what could not be looked through. */
    public function again(Assignment $assignment, LookThroughAgain $again): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);

        return redirect()->route('names.index', $assignment)
            ->with(
                'said',
                $again($assignment) === 0
                    ? 'There is nothing to look through again.'
                    : 'Being looked through again. This page tells when it is done.',
            );
    }

    public function decide(NameDecisionRequest $request, Script $script, DecideAlone $decide): RedirectResponse
    {
        $hide = $request->validated()['what'] === 'hide';
        $decide($script, $hide, $this->person($request));

        return redirect()->route('names.index', $script->assignment)
            ->with('said', $hide ? "Hidden everywhere in {$script->code}." : "Left as it is in {$script->code}.");
    }
}
