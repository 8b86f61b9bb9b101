<?php

declare(strict_types=1);

namespace App\Http\Controllers\Institution;

use App\Actions\Keeping\ErasePerson;
use App\Actions\Keeping\SetHold;
use App\Http\Controllers\Controller;
use App\Http\Requests\Institution\EraseRequest;
use App\Http\Requests\Institution\HoldRequest;
use App\Keeping\ErasureObstacles;
use App\Keeping\PersonalData;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/**
 * Erasing what is kept of a student: what would go, what stands in the way, and doing it; a hold that keeps it.
 */
final class EraseController extends Controller
{
    public function show(User $user, PersonalData $data): View
    {
        $this->authorize('administer', User::class);

        return view('institution.erase', [
            'user' => $user, 'obstacles' => ErasureObstacles::of($user), 'counts' => $data->counts($user),
        ]);
    }

    public function store(EraseRequest $request, User $user, ErasePerson $erase): RedirectResponse
    {
        $erase($user, $request->string('reason')->trim()->toString(), $request->person());

        return redirect()->route('institution.person', $user)->with('said', __('keeping.erase.said'));
    }

    public function hold(HoldRequest $request, User $user, SetHold $set): RedirectResponse
    {
        $set($user, $request->boolean('end') ? null : $request->string('reason')->trim()->toString(), $request->person());

        return redirect()->route('institution.erase', $user)->with('said', __('keeping.erase.hold_said'));
    }
}
