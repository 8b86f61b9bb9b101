<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Account\ChangePassword;
use App\Logbook\LogEvent;
use App\Rules\SafePassword;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/**
 * A person's own settings: how pages look, and the password.
 */
final class AccountController extends Controller
{
    public function edit(Request $request): View
    {
        return view('account', ['person' => $this->person($request)]);
    }

    public function theme(Request $request): RedirectResponse
    {
        $fields = $request->validate(['theme' => ['required', Rule::in(['device', 'light', 'dark'])]]);
        $this->person($request)->update($fields);

        return back()->with('said', 'Saved.');
    }

    public function password(Request $request, ChangePassword $change): RedirectResponse
    {
        $person = $this->person($request);
        $fields = $request->validate([
            'current_password' => ['bail', 'required', 'string', 'current_password'],
            'password' => [
                'required', 'string', 'max:200', 'confirmed', new SafePassword($person->email, $person->name),
            ],
        ], [
            'current_password.*' => 'This is not your password now.', 'password.required' => 'Choose a new password.',
            'password.confirmed' => 'The two new passwords are not the same.',
        ]);
        $change($person, $fields['password'], LogEvent::PasswordChanged);
        $request->session()->regenerate();

        return back()->with('said', 'Your password is changed. Wherever else you were signed in, you no longer are.');
    }
}
