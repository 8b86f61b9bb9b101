<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Password;

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

    public function password(Request $request): RedirectResponse
    {
        $fields = $request->validate([
            'current_password' => ['required', 'current_password'],
            'password' => ['required', 'confirmed', Password::defaults()],
        ]);
        $this->person($request)->update(['password' => $fields['password']]);
        $request->session()->regenerate();

        return back()->with('said', 'Your password is changed.');
    }
}
