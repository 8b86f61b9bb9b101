<?php

declare(strict_types=1);

namespace App\Account;

use App\Enums\Role;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\RecoveryCodeUsed;
use App\Models\Institution;
use App\Models\Membership;
use App\Models\RecoveryCode;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use YoungHarbor\Core\Accounts\Staff;
use YoungHarbor\Core\Accounts\TimeCode;

/**
 * The second step at sign-in: whether someone has to have one, and whether a code is right.
 */
final class SecondStep
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /** Whether the institution asks it of someone. */
    public static function isAskedOf(User $person): bool
    {
        $kinds = self::kinds($person);

        return $kinds !== [] && Institution::settings()->sign_in->wantsSecondStep($kinds);
    }

    /**
     * A code from the phone or one of the recovery codes, each taken once.
     */
    public function takes(User $person, #[\SensitiveParameter] string $code): bool
    {
        return DB::transaction(function () use ($person, $code): bool {
            $stored = User::query()->lockForUpdate()->findOrFail($person->id);
            $step = TimeCode::accepted(
                (string) $stored->second_secret, $code, now()->getTimestamp(), $stored->second_step,
            );
            if ($step !== null) {
                $stored->forceFill(['second_step' => $step])->save();

                return true;
            }
            $kept = RecoveryCode::query()->where('user_id', $stored->id)->where('hash', RecoveryCode::hashOf($code))
                ->whereNull('used_at')->first();
            if ($kept === null) {
                return false;
            }
            $kept->update(['used_at' => now()]);
            $left = $stored->recoveryCodes()->whereNull('used_at')->count();
            $this->logbook->write(Entry::of(LogEvent::RecoveryCodeUsed)->by($stored)->with(left: $left));
            Mail::to($stored->email)->queue((new RecoveryCodeUsed($stored, $left))->afterCommit());

            return true;
        });
    }

    /**
     * @return list<Staff>
     */
    private static function kinds(User $person): array
    {
        $roles = $person->memberships->filter(fn (Membership $one) => $one->left_at === null)
            ->map(fn (Membership $one) => match ($one->role) {
                Role::Coordinator => Staff::Coordinators, Role::Tutor => Staff::Tutors,
                Role::Examiner => Staff::Examiners, default => null,
            })->filter()->unique()->values()->all();

        return [...$roles, ...($person->is_admin ? [Staff::Administrators] : [])];
    }
}
