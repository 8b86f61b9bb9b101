<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\ReportState;
use App\Models\DraftCheck;
use App\Models\OverlapSource;
use App\Screening\Candidates;
use App\Screening\Web\WebFinder;
use YoungHarbor\Core\Overlap\Alignment;
use YoungHarbor\Core\Overlap\Interval;
use YoungHarbor\Core\Overlap\MatchedSource;
use YoungHarbor\Core\Overlap\ScriptComparison;
use YoungHarbor\Core\Text\Words;

/**
 * Compares a draft as a hand-in of its assignment is compared. Nothing of the draft is put where others could be
 * compared with it, and no report learns of it.
 */
final class CompareDraft
{
    public function __construct(
        private readonly Candidates $candidates,
        private readonly WebFinder $finder,
    ) {
    }

    public function __invoke(DraftCheck $draft): void
    {
        $words = Words::of($draft->text);
        $assignment = $draft->script->assignment;
        $candidates = $this->candidates->of($draft->script, $words);
        $draft->update(['state' => ReportState::Running, 'compared' => 0, 'to_compare' => count($candidates)]);
        $comparison = new ScriptComparison(
            $words, new Alignment($assignment->screening->minWords, max(0, (int) config('harbor.overlap.gap'))),
        );
        $places = $assignment->places($words);
        $found = [];
        foreach (array_chunk($candidates, CompareHandin::STEP, true) as $chunk) {
            array_push($found, ...$this->matched($comparison, $chunk));
            $draft->update(['compared' => $draft->compared + count($chunk)]);
        }
        $failure = null;
        if ($assignment->screening->web) {
            $outcome = $this->finder->find($words, $places, fn (): bool => true);
            $failure = $outcome->failure;
            array_push($found, ...$this->matched($comparison, array_fill_keys($outcome->sources, true)));
        }
        $draft->found = [
            'words' => $words->count(),
            'places' => array_map(fn (Interval $place) => [$place->why, $place->from, $place->to], $places),
            'matches' => array_map(
                fn (MatchedSource $one) => [
                    (int) $one->source, MatchedSource::keep($one->runs), MatchedSource::keep($one->close),
                ],
                $found,
            ),
        ];
        $draft->fill(
            [
                'state' => ReportState::Ready, 'failure' => $failure,
                'share' => (string) $draft->figures()->report->share(),
            ]
        )->save();
    }

    /**
     * @param  array<int, bool>  $sources  ids, and whether close wording is looked for in each
     * @return list<MatchedSource> what the draft shares with each that it shares something with
     */
    private function matched(ScriptComparison $comparison, array $sources): array
    {
        $matched = OverlapSource::query()->whereKey(array_keys($sources))->orderBy('id')->get()
            ->map(
                fn (OverlapSource $source) => $comparison->with(
                    $source->unpacked(), $source->name(), $sources[$source->id],
                )
            );

        return array_values($matched->reject(fn (MatchedSource $one) => $one->isEmpty())->all());
    }
}
