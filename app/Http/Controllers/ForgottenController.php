<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Account\ChangePassword;
use App\Actions\Account\SendPasswordLink;
use App\Http\Requests\ForgottenRequest;
use App\Http\Requests\NewPasswordRequest;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;

/**
 * Someone cannot sign in: a link comes by mail, for a new password or for the first one. Whether an address is known
 * shows neither in the words nor in what happens before them.
 */
final class ForgottenController extends Controller
{
    public function create(Request $request): View
    {
        return view('forgotten', ['email' => $request->query('email')]);
    }

    public function store(ForgottenRequest $request, SendPasswordLink $send): RedirectResponse
    {
        $email = User::addressKey($request->validated('email'));
        // After the answer has gone: it takes as long for an address that nobody has.
        defer(fn () => $send($email));

        return redirect()->route('sign-in')
            ->with(
                'said',
                'If there is an account with that address, a link is on its way to it. It works once, for an hour.',
            );
    }

    public function edit(Request $request, string $token): View
    {
        return view('new-password', ['token' => $token, 'email' => $request->query('email')]);
    }

    public function update(NewPasswordRequest $request, ChangePassword $change): RedirectResponse
    {
        $email = $request->address();
        $status = Password::broker()->reset(
            ['email' => $email, 'token' => $request->validated('token'), 'password' => $request->validated('password')],
            fn (User $user, string $password) => $change($user, $password, LogEvent::PasswordReset),
        );

        return $status === Password::PasswordReset
            ? redirect()->route('sign-in')
                ->with(
                    'said',
                    'Your new password holds. Sign in with it; wherever else you were signed in, you no longer are.',
                )
            : redirect()->route('forgotten', ['email' => $email])
                ->withErrors(
                    [
                        'email' => 'This link has been used, or is more than an hour old. Ask for another one here; your old password still holds.',
                    ]
                );
    }
}
