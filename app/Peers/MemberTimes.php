<?php

declare(strict_types=1);

namespace App\Peers;

use App\Models\Allowance;
use App\Models\Round;
use App\Wording\LocalTime;
use DateTimeZone;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Marks\DueTime;

/**
 * When reviews are due for each student of a round: later for those who are always allowed more days.
 */
final class MemberTimes
{
    /**
     * @return array<int, int> by person, of those who are allowed any
     */
    public static function extraDays(Round $round): array
    {
        $days = [];
        foreach (
            Allowance::query()->where('module_id', $round->assignment->module_id)->whereNull('ended_at')->orderBy('id')
                ->get(['student_id', 'extra_days']) as $one
        ) {
            $days[$one->student_id] = $one->extra_days;
        }

        return $days;
    }

    public static function dueFor(Round $round, int $extraDays): Carbon
    {
        if ($extraDays === 0) {
            return $round->due_at->copy();
        }

        return Carbon::instance(DueTime::of(
            $round->due_at->toDateTimeImmutable(), null, null, new DateTimeZone(LocalTime::zone()), $extraDays, 0, null,
            $round->assignment->module->closedOn(),
        )->due)->utc();
    }
}
