<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/**
 * Signing in and out.
 */
final class SignInController extends Controller
{
    public function create(): View
    {
        return view('sign-in');
    }

    public function store(Request $request): RedirectResponse
    {
        $credentials = $request->validate(['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']]);
        if (! Auth::attempt($credentials)) {
            throw ValidationException::withMessages(['email' => 'That mail address and password do not go together.']);
        }
        $request->session()->regenerate();

        return redirect()->intended(route('today'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        // Whoever sits here next finds nothing of it. What was not saved yet was sent, or asked about, before.
        return redirect()->route('sign-in')->withHeaders(['Clear-Site-Data' => '"cache", "storage"']);
    }
}
