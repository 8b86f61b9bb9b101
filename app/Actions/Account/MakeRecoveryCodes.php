<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\RecoveryCode;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Accounts\Base32;

/**
 * Ten codes for the day a phone is lost. The ones before hold no more.
 */
final class MakeRecoveryCodes
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @return list<string> ten letters and figures each, in two halves
     */
    public function __invoke(User $person): array
    {
        $codes = [];
        for ($n = 0; $n < RecoveryCode::GIVEN; $n++) {
            $codes[] = wordwrap(substr(strtolower(Base32::encode(random_bytes(7))), 0, 10), 5, '-', true);
        }
        DB::transaction(function () use ($person, $codes): void {
            RecoveryCode::query()->where('user_id', $person->id)->delete();
            foreach ($codes as $code) {
                RecoveryCode::query()->create(['user_id' => $person->id, 'hash' => RecoveryCode::hashOf($code)]);
            }
            $this->logbook->write(Entry::of(LogEvent::RecoveryCodesMade)->by($person)->with(what: count($codes)));
        });

        return $codes;
    }
}
