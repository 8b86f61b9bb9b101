<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rules\Password;

/**
 * Someone who was added to a module chooses a password, through the signed link in their mail. It works once.
 */
final class WelcomeController extends Controller
{
    public function create(User $user): View|RedirectResponse
    {
        return $user->joined_at === null ? view('welcome', ['user' => $user]) : redirect()->route('sign-in');
    }

    public function store(Request $request, User $user): RedirectResponse
    {
        abort_if($user->joined_at !== null, 403, 'This link has been used. Sign in with the password you chose.');
        $fields = $request->validate(['password' => ['required', 'confirmed', Password::defaults()]]);
        $user->forceFill(['password' => $fields['password'], 'joined_at' => now()])->save();
        Auth::login($user);
        $request->session()->regenerate();

        return redirect()->route('today');
    }
}
