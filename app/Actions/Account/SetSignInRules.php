<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Institution;
use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Accounts\SignInRules;
use YoungHarbor\Core\Accounts\Staff;

/**
 * Sets how people of the institution sign in.
 */
final class SetSignInRules
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused when an administrator would ask of others what they have not set up themselves
     */
    public function __invoke(SignInRules $rules, User $by): void
    {
        if (! $by->hasSecondStep() && in_array(Staff::Administrators, $rules->secondStep, true)) {
            throw new Refused(__('accounts.rules.yours_first'));
        }
        DB::transaction(function () use ($rules, $by): void {
            $institution = Institution::query()->lockForUpdate()->first() ?? new Institution;
            $institution->fill(['sign_in' => $rules])->save();
            $rules->mailLinks || SignInLink::query()->delete();
            $this->logbook->write(
                Entry::of(LogEvent::SignInRulesSet)
                    ->with(what: [...$rules->toArray()['second_step'], ...($rules->mailLinks ? ['mail-links'] : [])])->by($by)
            );
        });
    }
}
