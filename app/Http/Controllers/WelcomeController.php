<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Account\ChooseFirstPassword;
use App\Actions\Account\SignIn;
use App\Http\Requests\WelcomeRequest;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

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

    public function store(
        WelcomeRequest $request, User $user, ChooseFirstPassword $choose, SignIn $signIn,
    ): RedirectResponse|Response {
        if (! $request->holds()) {
            return $this->old($user, $request);
        }
        if (! $choose($user, $request->string('password')->toString())) {
            return $this->old($user->refresh(), $request);
        }
        $signIn($user->refresh(), $request->session(), 'first-password');

        return redirect()->route('today');
    }

    private function holds(Request $request, User $user): bool
    {
        return $request->hasValidSignature() && $user->joined_at === null && $user->closed_at === null;
    }

    /** Nothing about a person is told to who has no valid link. */
    private function old(User $user, Request $request): Response
    {
        return response()->view(
            'welcome-old', ['used' => $request->hasValidSignature() && $user->joined_at !== null], 410,
        );
    }
}
