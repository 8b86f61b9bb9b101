<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Actions\Screen\Concerns\FiguresReport;
use App\Enums\LeftOutBy;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\OverlapReport;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Leaves something out of a report's figures, or lets it count after all, with a reason. The figures
 * are worked out anew in the same step.
 */
final class LeaveOut
{
    use FiguresReport;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  array{source?: int, from?: int, to?: int, leave_out?: bool}  $of  which source or passage, or the fewest words of a run; whether a switch leaves out
     *
     * @throws Refused
     */
    public function __invoke(OverlapReport $report, LeftOutBy $what, array $of, string $reason, User $by): void
    {
        DB::transaction(function () use ($report, $what, $of, $reason, $by): void {
            $stored = $this->locked($report);
            $row = [
                'what' => $what, 'leave_out' => $what->isSwitch() ? $of['leave_out'] ?? true : true,
                'overlap_source_id' => $what === LeftOutBy::Source ? $of['source'] ?? null : null,
                'from_word' => in_array($what, [LeftOutBy::Passage, LeftOutBy::Short], true)
                    ? $of['from'] ?? null
                    : null,
                'to_word' => $what === LeftOutBy::Passage ? $of['to'] ?? null : null,
            ];
            $this->refuse($stored, $row);
            if ($what->isSwitch() || $what === LeftOutBy::Short) { // the last word holds
                $stored->choices()->where('what', $what)->whereNull('undone_at')
                    ->update(['undone_at' => now(), 'undone_by' => $by->id]);
            } elseif ($stored->choices()->where($row)->whereNull('undone_at')->exists()) {
                return;
            }
            $stored->choices()->create([...$row, 'reason' => $reason, 'made_by' => $by->id]);
            $this->figured(
                $stored,
                Entry::of($row['leave_out'] ? LogEvent::LeftOut : LogEvent::LetCount)->with(what: $what)
                    ->because($reason)->by($by),
            );
        });
    }

    /**
     * @param  array{what: LeftOutBy, leave_out: bool, overlap_source_id: int|null, from_word: int|null, to_word: int|null}  $row
     */
    private function refuse(OverlapReport $report, array $row): void
    {
        if (
            $row['what'] === LeftOutBy::Source
            && ! $report->matches()->where('overlap_source_id', $row['overlap_source_id'])->exists()
        ) {
            throw new Refused('This source is no longer in the report; it may have been compared again meanwhile.');
        }
        if (
            $row['what'] === LeftOutBy::Passage
            && (
                $row['from_word'] === null || $row['to_word'] === null || $row['from_word'] >= $row['to_word']
                || $row['to_word'] > $report->words
            )
        ) {
            throw new Refused('This passage is not one of the script’s.');
        }
        if (
            $row['what'] === LeftOutBy::Short
            && ($row['from_word'] === null || $row['from_word'] < 1 || $row['from_word'] > 1000)
        ) {
            throw new Refused('Give the fewest words a run must have to count, from 1 to 1,000.');
        }
    }
}
