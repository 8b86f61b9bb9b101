<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Takes the password that someone chooses when they come for the first time.
 */
final class ChooseFirstPassword
{
    public function __construct(private readonly ChangePassword $change)
    {
    }

    /**
     * @return bool false when one was chosen meanwhile: opened in two places at once, the link works in the first
     */
    public function __invoke(User $user, #[\SensitiveParameter] string $password): bool
    {
        return DB::transaction(function () use ($user, $password): bool {
            $stored = User::query()->lockForUpdate()->findOrFail($user->id);
            if ($stored->joined_at !== null) {
                return false;
            }
            ($this->change)($stored, $password, LogEvent::PasswordChosen);

            return true;
        });
    }
}
