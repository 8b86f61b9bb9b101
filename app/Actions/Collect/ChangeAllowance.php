<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Allowance;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Gives a student a standing allowance in a module, in place of the one before, or ends it. Every assignment
 * that is not yet due applies it by itself; those that were due stay as they were.
 */
final class ChangeAllowance
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly SetDueTimes $setDueTimes,
    ) {
    }

    /**
     * @param  int  $days  0 to 60
     * @param  int  $percent  0 to 200, of the time from opening to due in timed assignments
     *
     * @throws Refused
     */
    public function __invoke(Membership $member, int $days, int $percent, string $reason, User $by): void
    {
        DB::transaction(function () use ($member, $days, $percent, $reason, $by): void {
            Membership::query()->lockForUpdate()->findOrFail($member->id);
            $ended = Allowance::query()->where('module_id', $member->module_id)->where('student_id', $member->user_id)
                ->whereNull('ended_at')->update(['ended_at' => now(), 'ended_by' => $by->id]);
            if ($days === 0 && $percent === 0 && $ended === 0) {
                throw new Refused(
                    'There is no allowance to end. Write a number of days, or a share of extra time, to give one.',
                    'extra_days',
                );
            }
            if ($days > 0 || $percent > 0) {
                Allowance::query()->create(
                    [
                        'module_id' => $member->module_id, 'student_id' => $member->user_id, 'extra_days' => $days,
                        'extra_percent' => $percent, 'reason' => $reason, 'given_by' => $by->id,
                    ]
                );
            }
            // The reason stays on the student's page: it can be about someone's health.
            $this->logbook->write(
                Entry::of($days > 0 || $percent > 0 ? LogEvent::AllowanceGiven : LogEvent::AllowanceEnded)
                    ->on($member->user)->in($member->module)->with(extra_days: $days, extra_percent: $percent)->by($by)
            );
            Assignment::query()->where('module_id', $member->module_id)->whereNotNull('due_at')
                ->whereNotNull('published_at')->with('module.closureDays')->get()
                ->each(fn (Assignment $assignment) => ($this->setDueTimes)($assignment));
        });
    }
}
