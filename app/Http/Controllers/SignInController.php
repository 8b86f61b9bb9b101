<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Account\PendingSignIn;
use App\Actions\Account\SignIn;
use App\Http\Requests\SignInRequest;
use App\Models\Institution;
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
        return view('sign-in', ['links' => Institution::settings()->sign_in->mailLinks]);
    }

    public function store(SignInRequest $request, SignIn $signIn): RedirectResponse
    {
        $fields = $request->validated();
        $user = User::query()->where('email', User::addressKey($fields['email']))->first();
        if (! $this->matches($fields['password'], $user) || $user === null) {
            throw ValidationException::withMessages(
                ['email' => 'That e-mail address and password do not go together.']
            );
        }
        // Told to nobody but who knows the password.
        if ($user->closed_at !== null) {
            throw ValidationException::withMessages(['email' => __('accounts.closed.sign_in')]);
        }
        if ($user->hasSecondStep()) {
            PendingSignIn::begin($request->session(), $user, 'password');

            return redirect()->route('sign-in.code');
        }
        $signIn($user, $request->session(), 'password');

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
