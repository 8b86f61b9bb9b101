<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\User;

/**
 * Light, dark, or as the device has it.
 */
final class ChooseTheme
{
    public function __invoke(User $person, string $theme): void
    {
        $person->update(['theme' => $theme]);
    }
}
