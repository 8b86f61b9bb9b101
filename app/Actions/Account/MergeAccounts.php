<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Account\SignedInPlaces;
use App\Events\PersonRenamed;
use App\Exceptions\Refused;
use App\Institution\AccountMerge;
use App\Institution\MergeOutcome;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\RecoveryCode;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Makes one account of two that are one person's. The one that goes is kept, closed and without an address, so that
 * what it did stays told under its name; the other has all else.
 */
final class MergeAccounts
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly AccountMerge $merge,
        private readonly SignedInPlaces $places,
    ) {
    }

    /**
     * @param  string  $reason  how one knows that they are one person
     *
     * @throws Refused naming what stands in the way
     */
    public function __invoke(User $keep, User $gone, string $reason, User $by): MergeOutcome
    {
        return DB::transaction(function () use ($keep, $gone, $reason, $by): MergeOutcome {
            $both = User::query()->whereKey([$keep->id, $gone->id])->orderBy('id')->lockForUpdate()->get()->keyBy('id');
            [$keep, $gone] = [$both->get($keep->id) ?? $keep, $both->get($gone->id) ?? $gone];
            $outcome = ($this->merge)($keep, $gone);
            if ($outcome->obstacles !== []) {
                throw new Refused(implode(' ', $outcome->obstacles));
            }
            $this->places->endAll($gone);
            RecoveryCode::query()->where('user_id', $gone->id)->delete();
            [$number, $roster, $namings] = [$gone->number, $gone->roster_id, $gone->namings()];
            $gone->forceFill([
                // Nobody has an address there (RFC 2606), and no two accounts have this one.
                'email' => "{$gone->public_id}@merged.invalid", 'number' => null, 'roster_id' => null,
                'password' => User::NO_PASSWORD, 'second_secret' => null, 'second_since' => null, 'second_step' => null,
                'is_admin' => false, 'closed_at' => now(), 'merged_into_id' => $keep->id,
            ])->save();
            // What the one was called stays hidden in what the other has now.
            $keep->rememberNaming(...$namings);
            $keep->forceFill([
                'number' => $keep->number ?? $number, 'roster_id' => $keep->roster_id ?? $roster,
                'given_name' => $keep->given_name ?? $gone->given_name,
                'family_name' => $keep->family_name ?? $gone->family_name,
            ])->save();
            PersonRenamed::dispatch($keep->id);
            $this->logbook->write(
                Entry::of(LogEvent::AccountsMerged)->on($keep)->with(who: $gone)->because($reason)->by($by)
            );

            return $outcome;
        });
    }
}
