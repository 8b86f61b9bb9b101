<?php

declare(strict_types=1);

namespace App\Http\Controllers\Observe;

use App\Actions\Observe\DrawSlots;
use App\Actions\Observe\MoveSlot;
use App\Actions\Observe\PublishSlots;
use App\Actions\Observe\RemoveGround;
use App\Actions\Observe\SaveGround;
use App\Actions\Observe\TakeNoShows;
use App\Documents\SlotCalendar;
use App\Http\Controllers\Controller;
use App\Http\Requests\Observe\GroundRequest;
use App\Http\Requests\Observe\MoveSlotRequest;
use App\Models\Assignment;
use App\Models\ObservationGround;
use App\Models\Script;
use App\Models\Slot;
use App\Queries\Observe\SlotList;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * When and where people are observed: rooms and days, drawing, moving, publishing, and the calendar file.
 */
final class SlotController extends Controller
{
    public function index(Request $request, Assignment $assignment): View
    {
        $this->authorize('seeSlots', $assignment);

        return view('observe.slots', [
            'assignment' => $assignment->load('grounds', 'module'), 'list' => SlotList::of($assignment),
            'coordinates' => $this->person($request)->can('coordinate', $assignment), 'person' => $this->person($request),
        ]);
    }

    public function ground(GroundRequest $request, Assignment $assignment, SaveGround $save): RedirectResponse
    {
        $save(
            $assignment, $request->string('room')->trim()->toString(),
            $request->at('from'), $request->at('to'), $request->observers(),
        );

        return redirect()->route('slots.index', $assignment)->with('said', __('observe.said.ground'));
    }

    public function removeGround(ObservationGround $ground, RemoveGround $remove): RedirectResponse
    {
        $this->authorize('coordinate', $ground);
        $remove($ground);

        return redirect()->route('slots.index', $ground->assignment)->with('said', __('observe.said.ground_gone'));
    }

    public function draw(Request $request, Assignment $assignment, DrawSlots $draw): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $left = $draw($assignment, $this->person($request));
        $names = Script::query()->whereKey(array_keys($left))->with('student')->get()
            ->map(fn (Script $one) => __("observe.unplaced.{$left[$one->id]}", ['who' => $one->names()]))->all();

        return redirect()->route('slots.index', $assignment)
            ->with('said', $left === [] ? __('observe.said.drawn') : trans_choice('observe.said.drawn_but', count($left)))
            ->with('unplaced', $names);
    }

    public function publish(Request $request, Assignment $assignment, PublishSlots $publish): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $count = $publish($assignment, $this->person($request));

        return redirect()->route('slots.index', $assignment)->with('said', trans_choice('observe.said.published', $count));
    }

    public function noShows(Request $request, Assignment $assignment, TakeNoShows $take): RedirectResponse
    {
        $this->authorize('coordinate', $assignment);
        $count = $take($assignment, $this->person($request));

        return redirect()->route('slots.index', $assignment)->with('said', trans_choice('observe.said.no_shows', $count));
    }

    public function move(MoveSlotRequest $request, Slot $slot, MoveSlot $move): RedirectResponse
    {
        $move($slot, $request->ground(), $request->at(), $request->person());

        return redirect()->to(route('slots.index', $slot->assignment)."#s-{$slot->public_id}")->with('said', __('observe.said.moved'));
    }

    /** One's own slot, for whoever is observed; those one observes, for observers; all, for coordinators. */
    public function calendar(Request $request, Assignment $assignment, SlotCalendar $calendar): Response
    {
        $person = $this->person($request);
        $person->can('seeSlots', $assignment) || $this->authorize('handIn', $assignment);

        return response($calendar->of($assignment, $person), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="slots.ics"',
        ]);
    }
}
