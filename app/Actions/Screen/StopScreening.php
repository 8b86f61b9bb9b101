<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Enums\WebState;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\OverlapReport;
use Illuminate\Support\Facades\DB;

/**
 * Stops what is waiting or under way in an assignment's comparison. What is ready stays; the rest can be taken up again.
 */
final class StopScreening
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreScreenings $screenings,
    ) {
    }

    /**
     * @return int how many were stopped
     */
    public function __invoke(Assignment $assignment): int
    {
        return DB::transaction(function () use ($assignment): int {
            $ids = $assignment->scripts()->whereNotNull('current_handin_id')->pluck('current_handin_id');
            $stopped = OverlapReport::query()->whereIn('handin_id', $ids)
                ->whereIn('state', [ReportState::Waiting, ReportState::Running])
                ->update(['state' => ReportState::Stopped]);
            $web = OverlapReport::query()->whereIn('handin_id', $ids)
                ->whereIn('web_state', [WebState::Waiting, WebState::Running])
                ->update(['web_state' => WebState::Part, 'web_failure' => 'The search was stopped.']);
            ($this->screenings)($assignment->scripts()->pluck('id'));
            $this->logbook->write(
                Entry::of(LogEvent::ComparingStopped)->on($assignment)->with(handins: $stopped, searches: $web)
            );

            return $stopped + $web;
        });
    }
}
