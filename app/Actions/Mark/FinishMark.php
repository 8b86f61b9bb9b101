<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Actions\Moderate\SettleByRule;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Mark;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Criterion;

/**
 * Declares a mark done. The last mark of a script to be done settles it when the rule can.
 */
final class FinishMark
{
    public function __construct(
        private readonly ChangeMark $change,
        private readonly SettleByRule $settle,
        private readonly Logbook $logbook,
        private readonly StoreStandings $standings,
    ) {
    }

    /**
     * @throws Refused while the rubric is incomplete
     */
    public function __invoke(Mark $mark): Mark
    {
        return DB::transaction(function () use ($mark): Mark {
            $done = ($this->change)($mark, function (Mark $stored): void {
                $score = $stored->score();
                if (! $score->isComplete()) {
                    $missing = array_map(fn (Criterion $criterion) => $criterion->title(), $score->missing());
                    throw new Refused(
                        'Not done yet: '.implode(', ', $missing).(count($missing) === 1 ? ' has' : ' have')
                            .' no mark. Everything you chose and wrote is kept.'
                    );
                }
                $stored->total = (string) $score->percent();
                $stored->done_at = Carbon::now();
                $stored->aside_reason = null;
            });
            $this->logbook->write(
                Entry::of(LogEvent::MarkFinished)->on($done->script)
                    ->with(seat: $done->seat, total: $done->shownTotal())
            );
            if ($done->counts) {
                ($this->settle)($done->script->refresh());
                ($this->standings)([$done->script_id]);
            }

            return $done;
        });
    }
}
