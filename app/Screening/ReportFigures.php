<?php

declare(strict_types=1);

namespace App\Screening;

use App\Models\OverlapReport;
use YoungHarbor\Core\Overlap\Figures;

/**
 * The figures of a report, worked out from what is kept of it.
 */
final class ReportFigures
{
    /** Sources that were taken out since no longer count; the report names them. */
    public static function of(OverlapReport $report): Figures
    {
        $report->loadMissing(['matches.source:id,taken_out_at', 'choices', 'handin.script.assignment']);
        $runs = $close = [];
        foreach ($report->matches as $match) {
            if ($match->source->taken_out_at === null) {
                $found = $match->toCore();
                array_push($runs, ...$found->runs);
                array_push($close, ...$found->close);
            }
        }

        return Figures::of(
            $report->words, $report->intervals(), $runs, $close,
            $report->toChoices($report->handin->script->assignment),
        );
    }

    /**
     * The columns of a report that tell its figures, for lists of many.
     *
     * @return array<string, mixed>
     */
    public static function columns(Figures $figures): array
    {
        $bySource = $figures->report->bySource();
        $largest = array_key_first($bySource);

        return [
            'words' => $figures->words, 'counted' => $figures->report->counted,
            'matched' => $figures->report->matched(), 'share' => (string) $figures->report->share(),
            'runs' => count($figures->report->runs), 'close_runs' => count($figures->close),
            'close_words' => $figures->closeWords(), 'sources' => count($bySource),
            'largest_source_id' => $largest === null ? null : (int) $largest,
            'largest_words' => $largest === null ? 0 : $bySource[$largest], 'left_out' => $figures->leftOut,
        ];
    }
}
