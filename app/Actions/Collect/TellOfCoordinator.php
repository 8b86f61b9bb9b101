<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\Role;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\NewCoordinator;
use App\Models\Membership;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\Mail;

/**
 * Nobody comes to see names and marks unseen: a new coordinator is a line of the logbook, and the others are told.
 */
final class TellOfCoordinator
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Module $module, User $user, ?User $by): void
    {
        $this->logbook->write(Entry::of(LogEvent::CoordinatorMade)->on($user)->in($module)->with(
            themselves: $by?->is($user) === true,
            as_administrator: $by !== null && $by->is_admin && ! $by->coordinates($module->id),
        )->by($by));
        $others = Membership::query()->where('module_id', $module->id)->where('role', Role::Coordinator)
            ->whereNull('left_at')->where('user_id', '!=', $user->id)->with('user')->get();
        foreach ($others as $other) {
            $other->user_id === $by?->id
                || Mail::to($other->user->email)->queue((new NewCoordinator($module, $user, $by))->afterCommit());
        }
    }
}
