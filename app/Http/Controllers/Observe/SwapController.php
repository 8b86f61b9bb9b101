<?php

declare(strict_types=1);

namespace App\Http\Controllers\Observe;

use App\Actions\Observe\AnswerSwap;
use App\Actions\Observe\AskSwap;
use App\Actions\Observe\DecideSwap;
use App\Http\Controllers\Controller;
use App\Http\Requests\Observe\SwapRequest;
use App\Models\Slot;
use App\Models\SlotSwap;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Swapping slots: asked by one student, agreed to by another, approved by a coordinator.
 */
final class SwapController extends Controller
{
    public function store(SwapRequest $request, Slot $slot, AskSwap $ask): RedirectResponse
    {
        $ask($slot, $request->other(), $request->person(), $request->string('words')->trim()->toString());

        return redirect()->route('hand-in.show', $slot->assignment)->with('said', __('observe.said.asked'));
    }

    public function update(Request $request, SlotSwap $swap, AnswerSwap $answer, DecideSwap $decide): RedirectResponse
    {
        $this->authorize('answer', $swap);
        $yes = $request->boolean('yes');
        if ($this->person($request)->can('decide', $swap)) {
            $decide($swap, $yes, $this->person($request));

            return redirect()->route('slots.index', $swap->slot->assignment)
                ->with('said', __($yes ? 'observe.said.swapped' : 'observe.said.not_swapped'));
        }
        $answer($swap, $yes);

        return redirect()->route('hand-in.show', $swap->slot->assignment)
            ->with('said', __($yes ? 'observe.said.agreed' : 'observe.said.not_agreed'));
    }
}
