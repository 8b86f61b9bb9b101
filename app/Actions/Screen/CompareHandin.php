<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Enums\SourceKind;
use App\Enums\WebState;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\OverlapMatch;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Screening\Candidates;
use App\Screening\ReportFigures;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Hiding;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\LeftOut;
use YoungHarbor\Core\Overlap\MatchedSource;
use YoungHarbor\Core\Overlap\ScriptComparison;
use YoungHarbor\Core\Text\Words;

/**
 * Compares one hand-in with all it may share text with: candidates by shared prints, then exact alignment of each. What
 * is found is kept source by source; the reports of the hand-ins it shares text with learn of it in the same step.
 *
 * It may be run again at any time, and by a second worker: what it found before is replaced, and what another worker
 * adds meanwhile stays.
 */
final class CompareHandin
{
    /** Progress is written this often, in compared texts; a stop is noticed then. */
    public const STEP = 10;

    public function __construct(
        private readonly ShelveHandin $shelve,
        private readonly TakeOffShelf $takeOff,
        private readonly Candidates $candidates,
    ) {
    }

    /**
     * @return bool whether it has to be compared once more, since the settings changed meanwhile
     */
    public function __invoke(Handin $handin): bool
    {
        $script = $handin->script;
        if ($script->current_handin_id !== $handin->id) {
            // Replaced meanwhile: a later attempt is compared in its place.
            ($this->takeOff)([$handin->id]);

            return false;
        }
        if ($handin->read_at === null) { // it is compared once it is read
            return false;
        }
        $report = OverlapReport::query()->firstOrCreate(['handin_id' => $handin->id]);
        if ($report->state === ReportState::Stopped) {
            return false;
        }
        if ($handin->words === 0) {
            $report->update(
                [
                    'state' => ReportState::Nothing,
                    'failure' => 'A link was handed in. Nothing is fetched from it, so nothing was compared: open it and judge for yourself.',
                    'web_state' => WebState::Off, 'finished_at' => now(),
                ]
            );

            return false;
        }
        $assignment = $script->assignment;
        $settings = $assignment->overlapSettings();
        $report->update(['state' => ReportState::Running, 'failure' => null, 'compared' => 0, 'to_compare' => 0]);
        $words = Words::of($handin->text);
        ($this->shelve)($handin, $script, $words);
        $before = $report->matches()->whereHas('source', fn ($source) => $source->where('kind', '<>', SourceKind::Web))
            ->pluck('overlap_source_id')->all();
        $places = $assignment->places($words);
        $comparison = new ScriptComparison(
            $words, new Alignment($assignment->screening->minWords, max(0, (int) config('harbor.overlap.gap'))),
        );
        $found = $this->found(
            $report, $this->candidates->of($script, $words), $comparison, $handin, LeftOut::because('given', $places),
        );
        if ($found === null) {
            return false;
        }

        return $this->store(
            $report, $found, $before, $words, $places, $this->hiding($handin, $words, $places), $settings,
        );
    }

    /**
     * @param  array<int, bool>  $candidates  source ids, and whether close wording is looked for in each
     * @return list<int>|null sources with something in common; null when it was stopped
     */
    private function found(
        OverlapReport $report, array $candidates, ScriptComparison $comparison, Handin $handin, LeftOut $given,
    ): ?array {
        $report->update(['to_compare' => count($candidates)]);
        $own = (int) OverlapSource::query()->where('kind', SourceKind::Handin)->where('handin_id', $handin->id)
            ->value('id');
        $found = [];
        $compared = 0;
        foreach (array_chunk($candidates, self::STEP, true) as $chunk) {
            foreach (
                OverlapSource::query()->whereKey(array_keys($chunk))->whereNull('taken_out_at')->get() as $source
            ) {
                $numbers = $source->unpacked();
                $matched = $comparison->with($numbers, $source->name(), $chunk[$source->id]);
                if (! $matched->isEmpty()) {
                    $found[] = $source->id;
                    OverlapMatch::keep($report->id, $source->id, $matched, $given);
                }
                if ($source->kind === SourceKind::Handin && $source->handin_id !== null) {
                    $this->tell(
                        $source->handin_id, $own,
                        $matched->isEmpty()
                            ? $matched
                            : $comparison->mirrored($numbers, $matched, OverlapSource::nameOf($own)),
                    );
                }
            }
            $compared += count($chunk);
            if (! $this->goesOn($report, $compared)) {
                return null;
            }
        }

        return $found;
    }

    /** Writes how far it is, unless someone has stopped it. */
    private function goesOn(OverlapReport $report, int $compared): bool
    {
        return OverlapReport::query()->whereKey($report->id)->where('state', ReportState::Running)
            ->update(['compared' => $compared, 'updated_at' => now()]) === 1
            || OverlapReport::query()->whereKey($report->id)->where('state', ReportState::Running)->exists();
    }

    /** Lets another hand-in's report know, if it is past the point where it would find this one by itself. */
    private function tell(int $handinId, int $own, MatchedSource $matched): void
    {
        DB::transaction(function () use ($handinId, $own, $matched): void {
            $report = OverlapReport::query()->where('handin_id', $handinId)->lockForUpdate()->first();
            if ($report === null || $report->state === ReportState::Waiting) {
                return;
            }
            $had = $report->matches()->where('overlap_source_id', $own)->exists();
            if ($matched->isEmpty()) {
                $report->matches()->where('overlap_source_id', $own)->delete();
            } else {
                OverlapMatch::keep($report->id, $own, $matched, LeftOut::because('given', $report->intervals()));
            }
            if ($report->state === ReportState::Ready && ($had || ! $matched->isEmpty())) {
                $report->update(ReportFigures::columns(ReportFigures::of($report)));
            }
        });
    }

    /**
     * @param  list<Interval>  $places
     * @return list<array{kind: string, from?: int, to?: int, note?: string}>
     */
    private function hiding(Handin $handin, Words $words, array $places): array
    {
        $quotations = array_values(array_filter($places, fn (Interval $place) => $place->why === 'quotation'));
        $inText = array_map(
            fn (Interval $one) => ['kind' => $one->why, 'from' => $one->from, 'to' => $one->to],
            Hiding::of($words, $quotations),
        );
        $inFile = array_map(function (array $one) use ($words): array {
            $place = isset($one['words']) ? Hiding::place($words, (string) $one['words']) : null;

            return [
                'kind' => (string) $one['kind'],
                ...($place === null ? [] : ['from' => $place->from, 'to' => $place->to]),
                ...(isset($one['note']) ? ['note' => (string) $one['note']] : []),
            ];
        }, $handin->hidden ?? []);

        return [...$inText, ...$inFile];
    }

    /**
     * @param  list<int>  $found
     * @param  array<array-key, int>  $before  sources it had something in common with when it was begun
     * @param  list<Interval>  $places
     * @param  list<array{kind: string, from?: int, to?: int, note?: string}>  $hiding
     */
    private function store(
        OverlapReport $report, array $found, array $before, Words $words, array $places, array $hiding,
        string $settings,
    ): bool {
        return DB::transaction(function () use ($report, $found, $before, $words, $places, $hiding, $settings): bool {
            $stored = OverlapReport::query()->lockForUpdate()->find($report->id);
            if ($stored === null || $stored->state === ReportState::Stopped) {
                return false;
            }
            $stored->matches()->whereIn('overlap_source_id', array_diff($before, $found))->delete();
            $assignment = Assignment::query()->findOrFail($stored->handin->script->assignment_id);
            $stored->fill(
                [
                    'words' => $words->count(),
                    'places' => array_map(fn (Interval $place) => [$place->why, $place->from, $place->to], $places),
                    'hiding' => $hiding, 'settings' => $settings,
                ]
            );
            $changed = $assignment->overlapSettings() !== $settings;
            $stored->fill([
                ...ReportFigures::columns(ReportFigures::of($stored)),
                'state' => $changed ? ReportState::Waiting : ReportState::Ready, 'compared' => $stored->to_compare,
                'finished_at' => now(),
                'web_state' => match (true) {
                    ! $assignment->screening->web => WebState::Off,
                    $stored->web_state === WebState::Off, $stored->web_state === WebState::Running => WebState::Waiting,
                    default => $stored->web_state,
                },
            ])->save();

            return $changed;
        });
    }
}
