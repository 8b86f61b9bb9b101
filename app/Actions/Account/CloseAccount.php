<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Account\SignedInPlaces;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Closes an account, or opens it again. Nobody signs in to a closed one; what its person did, and their marks, stay.
 */
final class CloseAccount
{
    public function __construct(private readonly Logbook $logbook, private readonly SignedInPlaces $places)
    {
    }

    /**
     * @throws Refused when it is one's own, or was merged into another
     */
    public function __invoke(User $person, bool $close, string $reason, User $by): void
    {
        if ($by->is($person)) {
            throw new Refused(__('accounts.closed.own'));
        }
        if ($person->merged_into_id !== null) {
            throw new Refused(__('accounts.closed.merged'));
        }
        DB::transaction(function () use ($person, $close, $reason, $by): void {
            $stored = User::query()->lockForUpdate()->findOrFail($person->id);
            if (($stored->closed_at !== null) === $close) {
                return;
            }
            $stored->forceFill(['closed_at' => $close ? now() : null])->save();
            if ($close) {
                $this->places->endAll($stored);
                DB::table('password_reset_tokens')->where('email', $stored->email)->delete();
                SignInLink::query()->where('user_id', $stored->id)->delete();
            }
            $this->logbook->write(
                Entry::of($close ? LogEvent::AccountClosed : LogEvent::AccountOpened)->on($stored)->because($reason)
                    ->by($by)
            );
        });
    }
}
