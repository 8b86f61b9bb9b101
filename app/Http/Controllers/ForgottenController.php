<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Account\ChangePassword;
use App\Logbook\LogEvent;
use App\Mail\NewPassword;
use App\Mail\Welcome;
use App\Models\Membership;
use App\Models\User;
use App\Rules\SafePassword;
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

    public function store(Request $request): RedirectResponse
    {
        $email = User::addressKey(
            $request->validate(
                ['email' => ['required', 'string', 'max:190']],
                ['email.*' => 'Write the e-mail address that your account has.'],
            )['email']
        );
        // After the answer has gone: it takes as long for an address that nobody has.
        defer(function () use ($email): void {
            $user = User::query()->where('email', $email)->first();
            if ($user === null) {
                return;
            }
            if ($user->joined_at !== null) {
                Password::broker()->sendResetLink(
                    ['email' => $email],
                    fn (User $user, string $token) => Mail::to($user->email)->queue(new NewPassword($user, $token)),
                );

                return;
            }
            $module = Membership::query()->where('user_id', $user->id)->latest('id')->with('module')->first()?->module;
            Mail::to($user->email)->queue(new Welcome($user, $module));
        });

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

    public function update(Request $request, ChangePassword $change): RedirectResponse
    {
        $email = User::addressKey(
            (string) (
                $request->validate(
                    ['email' => ['required', 'string', 'max:190'], 'token' => ['required', 'string', 'max:200']]
                )['email']
            )
        );
        $name = (string) User::query()->where('email', $email)->value('name');
        $request->validate(
            ['password' => ['required', 'string', 'max:200', 'confirmed', new SafePassword($email, $name)]],
            ['password.confirmed' => 'The two passwords are not the same.'],
        );
        $status = Password::broker()->reset(
            [
                'email' => $email, 'token' => $request->string('token')->toString(),
                'password' => $request->string('password')->toString(),
            ],
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
