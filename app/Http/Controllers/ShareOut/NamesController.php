<?php

declare(strict_types=1);

namespace App\Http\Controllers\ShareOut;

use App\Actions\Collect\DecideAlone;
use App\Extraction\Cage;
use App\Extraction\Pages\Sight;
use App\Http\Controllers\Controller;
use App\Jobs\PrepareHandin;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Script;
use App\Support\NamesToCheck;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

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
    public function again(Assignment $assignment): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $handins = NamesToCheck::of($assignment)->failed->map(fn (Script $script) => $script->current_handin_id)
            ->filter();
        Handin::query()->whereKey($handins)->update(['prepared_at' => null, 'prepare_failure' => null]);
        $handins->each(fn (int $id) => PrepareHandin::dispatch($id));

        return redirect()->route('names.index', $assignment)
            ->with(
                'said',
                $handins->count() === 0
                    ? 'There is nothing to look through again.'
                    : 'Being looked through again. This page tells when it is done.',
            );
    }

    public function decide(Request $request, Script $script, DecideAlone $decide): RedirectResponse
    {
        $this->authorize('coordinate', $script);
        $hide = $request->validate(
            ['what' => ['required', 'in:hide,leave']], ['what.*' => 'Choose whether the name is hidden or left.'],
        )['what'] === 'hide';
        $decide($script, $hide, $this->person($request));

        return redirect()->route('names.index', $script->assignment)
            ->with('said', $hide ? "Hidden everywhere in {$script->code}." : "Left as it is in {$script->code}.");
    }
}
