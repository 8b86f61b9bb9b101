<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Enums\SourceKind;
use App\Enums\WebState;
use App\Models\OverlapMatch;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Screening\ReportFigures;
use App\Screening\Web\WebFinder;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\LeftOut;
use YoungHarbor\Core\Overlap\ScriptComparison;
use YoungHarbor\Core\Text\Words;

/**
 * Looks for a hand-in's words in the open web: distinctive sequences go out, pages come back, are aligned like any other
 * source, and kept as evidence with the date. What fails is told with the report; the rest of it stands.
 */
final class SearchWeb
{
    public function __construct(private readonly WebFinder $finder)
    {
    }

    public function __invoke(OverlapReport $report): void
    {
        $assignment = $report->handin->script->assignment;
        if (
            ! $assignment->screening->web || $report->state !== ReportState::Ready
            || $report->handin->script->current_handin_id !== $report->handin_id
        ) {
            return;
        }
        $before = $report->matches()->whereHas('source', fn ($source) => $source->where('kind', SourceKind::Web))
            ->pluck('overlap_source_id')->all();
        $words = Words::of($report->handin->text);
        $report->update(['web_state' => WebState::Running, 'web_failure' => null, 'web_asked' => 0, 'web_to_ask' => 0]);
        $outcome = $this->finder->find($words, $report->intervals(), function (
            int $asked, int $toAsk,
        ) use ($report): bool {
            $report->update(['web_asked' => $asked, 'web_to_ask' => $toAsk]);

            return OverlapReport::query()->whereKey($report->id)->where('state', '<>', ReportState::Stopped)->exists();
        });
        $comparison = new ScriptComparison(
            $words, new Alignment($assignment->screening->minWords, max(0, (int) config('harbor.overlap.gap'))),
        );
        $found = [];
        foreach (OverlapSource::query()->whereKey($outcome->sources)->get() as $source) {
            $matched = $comparison->with($source->unpacked(), $source->name());
            if (! $matched->isEmpty()) {
                $found[$source->id] = $matched;
            }
        }
        DB::transaction(function () use ($report, $before, $found, $outcome): void {
            $stored = OverlapReport::query()->lockForUpdate()->find($report->id);
            if ($stored === null || $stored->state === ReportState::Stopped) {
                return;
            }
            // What was found before stays when the web could not be asked this time.
            $outcome->state === WebState::Ready && $stored->matches()
                ->whereIn('overlap_source_id', array_diff($before, array_keys($found)))->delete();
            foreach ($found as $id => $matched) {
                OverlapMatch::keep($stored->id, $id, $matched, LeftOut::because('given', $stored->intervals()));
            }
            $stored->fill(
                [
                    'web_state' => $outcome->state, 'web_failure' => $outcome->failure,
                    ...ReportFigures::columns(ReportFigures::of($stored)),
                ]
            )->save();
        });
    }
}
