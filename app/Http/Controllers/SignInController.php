<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
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

    public function store(SignInRequest $request, Logbook $logbook): RedirectResponse
    {
        $fields = $request->validated();
        $user = User::query()->where('email', User::addressKey($fields['email']))->first();
        if (! $this->matches($fields['password'], $user) || $user === null) {
            throw ValidationException::withMessages(
                ['email' => 'That e-mail address and password do not go together.']
            );
        }
        Auth::login($user);
        $request->session()->regenerate();
        $logbook->note(Entry::of(LogEvent::SignedIn)->by($user));

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

    /**
     * An address that nobody has costs one hash too, so that the time of an answer does not tell who has an account.
     */
    private function matches(#[\SensitiveParameter] string $password, ?User $user): bool
    {
        return $user?->password === null ? Hash::make($password) === '' : Hash::check($password, $user->password);
    }
}
