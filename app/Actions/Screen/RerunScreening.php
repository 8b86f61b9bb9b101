<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Enums\SourceKind;
use App\Enums\WebState;
use App\Jobs\CompareHandinJob;
use App\Jobs\SearchWebJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use Illuminate\Support\Facades\DB;

/**
 * Compares an assignment's hand-ins again: all of them, or those whose comparison failed or was stopped; or asks the
 * open web again where it did not answer.
 */
final class RerunScreening
{
    public const ALL = 'all';

    public const UNFINISHED = 'unfinished';

    public const WEB = 'web';

    public function __construct(
        private readonly Logbook $logbook,
        private readonly StoreScreenings $screenings,
    ) {
    }

    /**
     * @return int how many were set waiting
     */
    public function __invoke(Assignment $assignment, string $which): int
    {
        return DB::transaction(function () use ($assignment, $which): int {
            $unfinished = [ReportState::Failed, ReportState::Stopped];
            $handins = $assignment->scripts()->whereNotNull('current_handin_id')->whereNull('lead_id')
                ->when(
                    $which === self::UNFINISHED,
                    fn ($query) => $query->whereHas(
                        'currentHandin.report', fn ($report) => $report->whereIn('state', $unfinished),
                    ),
                )
                ->when(
                    $which === self::WEB,
                    fn ($query) => $query->whereHas(
                        'currentHandin.report',
                        fn ($report) => $report->where('state', ReportState::Ready)->whereIn(
                            'web_state', [WebState::Part, WebState::Failed],
                        ),
                    ),
                )
                ->pluck('current_handin_id')->map(fn (mixed $id): int => (int) $id);
            if ($which === self::WEB) {
                OverlapReport::query()->whereIn('handin_id', $handins)
                    ->update(['web_state' => WebState::Waiting, 'web_asked' => 0, 'web_failure' => null]);
                $handins->each(fn (int $id) => SearchWebJob::dispatch($id)->afterCommit());
            } else {
                $missing = $handins->diff(OverlapReport::query()->whereIn('handin_id', $handins)->pluck('handin_id'));
                OverlapReport::query()->insert(
                    $missing->map(
                        fn (int $id) => ['handin_id' => $id, 'created_at' => now(), 'updated_at' => now()]
                    )->all()
                );
                OverlapReport::query()->whereIn('handin_id', $handins)
                    ->update(
                        [
                            'state' => ReportState::Waiting, 'failure' => null, 'compared' => 0, 'to_compare' => 0,
                            'web_state' => $assignment->screening->web ? WebState::Waiting : WebState::Off,
                        ]
                    );
                ($this->screenings)($assignment->scripts()->pluck('id'));
                if ($which === self::ALL) { // prints are made anew too
                    OverlapSource::query()->whereIn('handin_id', $handins)
                        ->whereIn('kind', [SourceKind::Handin, SourceKind::Archive])->update(['indexed_at' => null]);
                }
                $handins->each(fn (int $id) => CompareHandinJob::dispatch($id)->afterCommit());
            }
            $this->logbook->write(
                Entry::of($which === self::WEB ? LogEvent::SearchedAgain : LogEvent::ComparedAgain)->on($assignment)
                    ->with(handins: $handins->count())
            );

            return $handins->count();
        });
    }
}
