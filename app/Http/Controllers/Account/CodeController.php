<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Account\PendingSignIn;
use App\Account\SecondStep;
use App\Actions\Account\SignIn;
use App\Http\Controllers\Controller;
use App\Http\Requests\Account\CodeRequest;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * The second step of signing in: a code from the phone, or one of the codes kept for the day it is lost.
 */
final class CodeController extends Controller
{
    public function create(Request $request): View|RedirectResponse
    {
        return PendingSignIn::of($request->session()) === null ? $this->again() : view('account.code');
    }

    public function store(
        CodeRequest $request, SecondStep $second, SignIn $signIn, Logbook $logbook,
    ): RedirectResponse {
        $pending = PendingSignIn::of($request->session());
        if ($pending === null) {
            return $this->again();
        }
        if ($second->takes($pending->user, $request->string('code')->toString())) {
            $pending->end();
            $signIn($pending->user->refresh(), $request->session(), "{$pending->how}-and-code");

            return redirect()->intended(route('today'));
        }
        if ($pending->wrong()) {
            return back()->withErrors(['code' => __('accounts.second.wrong')]);
        }
        $logbook->note(Entry::of(LogEvent::WrongCodes)->on($pending->user));

        return $this->again(__('accounts.second.too_many'));
    }

    private function again(?string $why = null): RedirectResponse
    {
        return redirect()->route('sign-in')->withErrors(['expired' => $why ?? __('accounts.second.begin_again')]);
    }
}
