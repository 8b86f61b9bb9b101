<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Actions\Account\EndSessions;
use App\Http\Controllers\Controller;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Ends one's own sessions elsewhere.
 */
final class PlacesController extends Controller
{
    public function destroy(Request $request, EndSessions $end): RedirectResponse
    {
        $place = $request->input('place');
        $person = $this->person($request);
        $ended = $end($person, $person, is_string($place) ? $place : null, $request->session()->getId());

        return redirect()->to(route('account').'#places')->with('said', trans_choice('accounts.places.ended', $ended));
    }
}
