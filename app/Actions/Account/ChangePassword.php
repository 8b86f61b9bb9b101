<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Account\SignedInPlaces;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * A new password. Every other session of the person ends with the old one.
 */
final class ChangePassword
{
    public function __construct(private readonly Logbook $logbook, private readonly SignedInPlaces $places)
    {
    }

    /**
     * @param  LogEvent  $how  which of the ways of choosing one it was
     * @param  string  $here  the session that stays
     */
    public function __invoke(
        User $user, #[\SensitiveParameter] string $password, LogEvent $how, string $here = '',
    ): void {
        DB::transaction(function () use ($user, $password, $how, $here): void {
            $user->forceFill(
                ['password' => $password, 'joined_at' => $user->joined_at ?? now()]
            )->save();
            $this->places->endAll($user, $here);
            $this->logbook->write(Entry::of($how)->by($user));
        });
    }
}
