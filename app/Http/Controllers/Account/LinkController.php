<?php

declare(strict_types=1);

namespace App\Http\Controllers\Account;

use App\Account\PendingSignIn;
use App\Actions\Account\SendSignInLink;
use App\Actions\Account\SignIn;
use App\Actions\Account\TakeSignInLink;
use App\Http\Controllers\Controller;
use App\Http\Requests\ForgottenRequest;
use App\Models\Institution;
use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/**
 * Signing in by a link that comes by mail, where the institution lets it. Opening the link asks once more, since some
 * mail programs open every link by themselves.
 */
final class LinkController extends Controller
{
    public function create(): View
    {
        abort_unless(Institution::settings()->sign_in->mailLinks, 404);

        return view('account.ask-link');
    }

    public function store(ForgottenRequest $request, SendSignInLink $send): RedirectResponse
    {
        abort_unless(Institution::settings()->sign_in->mailLinks, 404);
        $email = User::addressKey($request->validated('email'));
        // After the answer has gone: it takes as long for an address that nobody has.
        defer(fn () => $send($email));

        return redirect()->route('sign-in')
            ->with('said', __('accounts.link.said', ['minutes' => SignInLink::MINUTES]));
    }

    public function show(string $token): View|RedirectResponse
    {
        return SignInLink::holding($token) === null ? $this->old() : view('account.link', ['token' => $token]);
    }

    public function take(Request $request, string $token, TakeSignInLink $take, SignIn $signIn): RedirectResponse
    {
        $user = $take($token);
        if ($user === null) {
            return $this->old();
        }
        if ($user->hasSecondStep()) {
            PendingSignIn::begin($request->session(), $user, 'link');

            return redirect()->route('sign-in.code');
        }
        $signIn($user, $request->session(), 'link');

        return redirect()->intended(route('today'));
    }

    private function old(): RedirectResponse
    {
        return redirect()->route('sign-in')->withErrors(['expired' => __('accounts.link.old')]);
    }
}
