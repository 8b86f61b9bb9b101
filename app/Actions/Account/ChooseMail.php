<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Models\User;

/**
 * Chooses which mails a person gets. Results always come, and at once.
 */
final class ChooseMail
{
    public function __invoke(User $person, bool $daily, bool $noReminders): void
    {
        $person->update(['daily_mail' => $daily, 'no_reminders' => $noReminders]);
    }
}
