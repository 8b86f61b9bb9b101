<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Makes someone an administrator, or no longer one. There is always one left who can sign in.
 */
final class NameAdministrator
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused when nobody would be left, or the account is closed
     */
    public function __invoke(User $person, bool $is, User $by): void
    {
        DB::transaction(function () use ($person, $is, $by): void {
            $admins = User::query()->where('is_admin', true)->lockForUpdate()->get();
            $stored = User::query()->lockForUpdate()->findOrFail($person->id);
            if ($stored->is_admin === $is) {
                return;
            }
            if ($is && $stored->closed_at !== null) {
                throw new Refused(__('accounts.administrator.closed'));
            }
            $left = $admins->contains(
                fn (User $one) => ! $one->is($stored) && $one->closed_at === null && $one->joined_at !== null,
            );
            if (! $is && ! $left) {
                throw new Refused(__('accounts.administrator.last'));
            }
            $stored->forceFill(['is_admin' => $is])->save();
            $this->logbook->write(
                Entry::of($is ? LogEvent::AdministratorNamed : LogEvent::AdministratorNoMore)->on($stored)->by($by)
            );
        });
    }
}
