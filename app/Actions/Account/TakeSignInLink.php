<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\Institution;
use App\Models\SignInLink;
use App\Models\User;

/**
 * Whose link it is, once: it is gone with being taken, and with the institution's wish to have none.
 */
final class TakeSignInLink
{
    public function __invoke(#[\SensitiveParameter] string $token): ?User
    {
        $link = Institution::settings()->sign_in->mailLinks ? SignInLink::holding($token) : null;

        // Opened in two places at once, it works in the first.
        return $link !== null && SignInLink::query()->whereKey($link->id)->where('hash', $link->hash)->delete() === 1
            && $link->user->closed_at === null ? $link->user : null;
    }
}
