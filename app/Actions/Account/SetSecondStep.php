<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Account\SignedInPlaces;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\SecondStepChanged;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use YoungHarbor\Core\Accounts\TimeCode;

/**
 * From now on a phone's code is asked for at sign-in. It is set once the phone has made a right one, so that nobody is
 * shut out by a picture that was read wrong. Wherever else the person was signed in, they no longer are.
 */
final class SetSecondStep
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly MakeRecoveryCodes $codes,
        private readonly SignedInPlaces $places,
    ) {
    }

    /**
     * @param  string  $secret  bytes
     * @param  string  $here  the session that stays
     * @return list<string> codes to keep for the day the phone is lost, shown once
     *
     * @throws Refused when the code is not one of the secret's
     */
    public function __invoke(
        User $person, #[\SensitiveParameter] string $secret, #[\SensitiveParameter] string $code, string $here,
    ): array {
        $step = TimeCode::accepted($secret, $code, now()->getTimestamp());
        if ($step === null) {
            throw new Refused(__('accounts.second.wrong_new'), 'code');
        }

        return DB::transaction(function () use ($person, $secret, $step, $here): array {
            $person->forceFill(['second_secret' => $secret, 'second_since' => now(), 'second_step' => $step])->save();
            $this->logbook->write(Entry::of(LogEvent::SecondStepSet)->by($person));
            $this->places->endAll($person, $here);
            Mail::to($person->email)->queue((new SecondStepChanged($person, 'set'))->afterCommit());

            return ($this->codes)($person);
        });
    }
}
