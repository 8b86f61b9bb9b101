<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * A new password. Every other session of the person ends with the old one, when it next asks for a page.
 */
final class ChangePassword
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  LogEvent  $how  which of the ways of choosing one it was
     */
    public function __invoke(User $user, #[\SensitiveParameter] string $password, LogEvent $how): void
    {
        DB::transaction(function () use ($user, $password, $how): void {
            $user->forceFill(
                ['password' => $password, 'remember_token' => Str::random(60), 'joined_at' => $user->joined_at ?? now()]
            )->save();
            $this->logbook->write(Entry::of($how)->by($user));
        });
    }
}
