<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Account\SecondStep;
use App\Account\SignedInPlaces;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\SecondStepChanged;
use App\Models\RecoveryCode;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * No code is asked for any more: by the person themselves, or by an administrator for someone who has lost phone and
 * codes. The latter ends every session of the person.
 */
final class TakeSecondStepOff
{
    public function __construct(private readonly Logbook $logbook, private readonly SignedInPlaces $places)
    {
    }

    /**
     * @param  string  $reason  an administrator's: how they knew the person
     *
     * @throws Refused when the person has to have one
     */
    public function __invoke(User $person, User $by, string $reason = ''): void
    {
        if ($by->is($person) && SecondStep::isAskedOf($person)) {
            throw new Refused(__('accounts.second.needed_stays'));
        }
        DB::transaction(function () use ($person, $by, $reason): void {
            $person->forceFill(['second_secret' => null, 'second_since' => null, 'second_step' => null])->save();
            RecoveryCode::query()->where('user_id', $person->id)->delete();
            $by->is($person) || $this->places->endAll($person);
            $this->logbook->write(
                $by->is($person)
                    ? Entry::of(LogEvent::SecondStepGone)->by($by)
                    : Entry::of(LogEvent::SecondStepTakenOff)->on($person)->because($reason)->by($by)
            );
            Mail::to($person->email)->queue(
                (new SecondStepChanged($person, $by->is($person) ? 'gone' : 'taken_off'))->afterCommit()
            );
        });
    }
}
