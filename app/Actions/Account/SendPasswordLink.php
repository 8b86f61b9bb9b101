<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Mail\NewPassword;
use App\Mail\Welcome;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;

/**
 * Sends someone a link to a new password; to who has never been here, the link they came with once more. An address
 * that nobody has gets nothing.
 */
final class SendPasswordLink
{
    public function __invoke(string $email): void
    {
        $user = User::query()->where('email', $email)->whereNull('closed_at')->first();
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
    }
}
