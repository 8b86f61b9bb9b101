<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Account\ChangePassword;
use App\Logbook\LogEvent;
use App\Models\User;
use App\Rules\SafePassword;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * Someone who was added to a module chooses a password, through the signed link in their mail. It works once; one that
 * is used or old says so and offers another.
 */
final class WelcomeController extends Controller
{
    public function create(Request $request, User $user): View|Response
    {
        return $this->holds($request, $user) ? view('welcome', ['user' => $user]) : $this->old($user, $request);
    }

    public function store(Request $request, User $user, ChangePassword $change): RedirectResponse|Response
    {
        if (! $this->holds($request, $user)) {
            return $this->old($user, $request);
        }
        $request->validate(
            ['password' => ['required', 'string', 'max:200', 'confirmed', new SafePassword($user->email, $user->name)]],
            [
                'password.required' => 'Choose a password.',
                'password.confirmed' => 'The two passwords are not the same.',
            ],
        );
        $chosen = DB::transaction(function () use ($user, $request, $change): bool {
            // Opened in two places at once, it works in the first.
            $stored = User::query()->lockForUpdate()->findOrFail($user->id);
            if ($stored->joined_at !== null) {
                return false;
            }
            $change($stored, $request->string('password')->toString(), LogEvent::PasswordChosen);

            return true;
        });
        if (! $chosen) {
            return $this->old($user->refresh(), $request);
        }
        Auth::login($user->refresh());
        $request->session()->regenerate();

        return redirect()->route('today');
    }

    private function holds(Request $request, User $user): bool
    {
        return $request->hasValidSignature() && $user->joined_at === null;
    }

    /** Nothing about a person is told to who has no valid link. */
    private function old(User $user, Request $request): Response
    {
        return response()->view(
            'welcome-old', ['used' => $request->hasValidSignature() && $user->joined_at !== null], 410,
        );
    }
}
