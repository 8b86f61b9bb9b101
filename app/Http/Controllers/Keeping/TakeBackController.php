<?php

declare(strict_types=1);

namespace App\Http\Controllers\Keeping;

use App\Actions\Keeping\TakeLettingGoBack;
use App\Http\Controllers\Controller;
use App\Models\KeepingDecision;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Takes a decision about what is kept back, as long as nothing has gone by it.
 */
final class TakeBackController extends Controller
{
    public function __invoke(Request $request, KeepingDecision $decision, TakeLettingGoBack $take): RedirectResponse
    {
        $this->authorize('takeBack', $decision);
        $take($decision, $this->person($request));

        return back()->with('said', __('keeping.due.said.back'));
    }
}
