<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Enums\WebState;
use App\Enums\WritingState;
use App\Jobs\AskDetectorJob;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Script;
use App\Models\WritingBaseline;
use App\Models\WritingReport;
use App\Models\WritingText;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Text\Words;
use YoungHarbor\Core\Writing\Baseline;
use YoungHarbor\Core\Writing\Conformal;
use YoungHarbor\Core\Writing\Fit;
use YoungHarbor\Core\Writing\Language;
use YoungHarbor\Core\Writing\Prose;
use YoungHarbor\Core\Writing\SameHand;
use YoungHarbor\Core\Writing\SignalReading;
use YoungHarbor\Core\Writing\TrustedTexts;
use YoungHarbor\Core\Writing\Turn;
use YoungHarbor\Core\Writing\Turns;

/**
 * Measures the writing of the hand-ins of an assignment that wait for it, beside the assignment's baseline. It may be
 * stopped and run again at any time.
 */
final class MeasureWriting
{
    /** Seconds after which it leaves the rest to another run. */
    private const SECONDS = 100;

    private const TURN = 0.05;

    /**
     * @return bool whether more waits
     */
    public function __invoke(Assignment $assignment): bool
    {
        $baseline = $assignment->writingBaseline;
        if ($baseline === null || ! $baseline->isWorkedOut()) {
            return false; // measured when the baseline is ready
        }
        $waiting = $this->waiting($assignment)->with('handin.script.assignment')->orderBy('id')->get();
        if ($waiting->isEmpty()) {
            return false;
        }
        $trusted = $baseline->trusted();
        $core = $trusted->size() < Conformal::least($assignment->screening->alarm->toFloat())
            ? null
            : $trusted->baseline();
        $cohort = $this->cohort($assignment);
        $earlier = $this->earlier($assignment, array_keys($cohort));
        $language = Language::of($trusted->texts);
        $words = $trusted->frequentWords(Turns::FREQUENT);
        $until = microtime(true) + self::SECONDS;
        // Longest first: the baseline is prepared anew for each length.
        foreach ($waiting->sortByDesc(fn (WritingReport $report) => $report->handin->words) as $report) {
            $this->store($report, $baseline, $core === null
                ? [
                    'state' => WritingState::Nothing,
                    'reason' => "The baseline has {$trusted->size()} texts that can be used; an alarm of "
                        .$assignment->screening->alarm->toFloat().' needs '
                        .Conformal::least($assignment->screening->alarm->toFloat()).'.',
                ]
                : $this->measured(
                    $report->handin, $assignment, $trusted, $core, $language, $words, $baseline->texts, $cohort,
                    $earlier,
                ));
            if (microtime(true) > $until) {
                break;
            }
        }

        return $this->waiting($assignment)->exists();
    }

    /**
     * @return Builder<WritingReport>
     */
    private function waiting(Assignment $assignment): Builder
    {
        return WritingReport::query()->where('state', WritingState::Waiting)
            ->whereIn('handin_id', $assignment->scripts()->whereNull('lead_id')->select('current_handin_id'))
            ->whereHas('handin', fn ($handin) => $handin->whereNotNull('read_at'));
    }

    /**
     * What each script is made of, for comparing a student's earlier work with that of others.
     *
     * @return array<int, Prose> by student
     */
    private function cohort(Assignment $assignment): array
    {
        $texts = [];
        foreach (
            $assignment->scripts()->whereNotNull('current_handin_id')->whereNull('lead_id')
                ->with('currentHandin:id,text')->orderBy('id')->get() as $script
        ) {
            $texts[$script->student_id] = $this->prose($assignment, (string) $script->currentHandin?->text);
        }

        return $texts;
    }

    private function prose(Assignment $assignment, string $text): Prose
    {
        $words = Words::of($text);

        return Prose::without($words, $assignment->places($words));
    }

    /**
     * @param  list<string>  $words  the baseline’s most frequent ones
     * @param  Collection<int, WritingText>  $texts
     * @param  array<int, Prose>  $cohort
     * @param  array<int, list<string>>  $earlier
     * @return array<string, mixed> columns of a report
     */
    private function measured(
        Handin $handin, Assignment $assignment, TrustedTexts $trusted, Baseline $baseline, Language $language,
        array $words,
        Collection $texts, array $cohort, array $earlier,
    ): array {
        $script = $handin->script;
        $prose = $cohort[$script->student_id] ?? $this->prose($assignment, $handin->text);
        $short = Fit::tooShort($prose, $assignment->screening->leastWords)
            ?? (
                in_array($prose->words, array_map(fn (Prose $one) => $one->words, $trusted->texts), true)
                    ? 'This very text is in the baseline.'
                    : null
            )
            ?? ($language->has($prose) ? null : 'It is in another language than the baseline, or no running text.');
        if ($short !== null) {
            return [
                'state' => WritingState::Nothing, 'reason' => $short, 'words' => $prose->count(), 'found' => null,
                'at_least' => null, 'among' => null,
            ];
        }
        $compared = $baseline->compared($prose);
        $conformal = $compared->conformal();
        $turns = Turns::of($prose, $words)?->beside(
            array_values(array_filter($texts->pluck('turn')->all(), fn (mixed $turn) => $turn !== null))
        );

        return [
            'state' => WritingState::Ready, 'reason' => null, 'words' => $prose->count(),
            'at_least' => $conformal->atLeast, 'among' => $conformal->of,
            'found' => [
                'signals' => array_map(
                    fn (SignalReading $one) => [
                        'name' => $one->signal->value, 'value' => $one->value, 'low' => $one->low,
                        'high' => $one->high, 'below' => $one->below, 'above' => $one->above, 'of' => $one->of,
                    ],
                    $compared->signals(),
                ),
                'usual' => $compared->usual,
                'sentences' => array_map(
                    fn (array $sentence, float $bits) => [$sentence['at'], $sentence['to'], round($bits, 3)],
                    $prose->sentences, $compared->bits,
                ),
                'turns' => array_map(
                    fn (Turn $turn) => ['at' => $turn->at, 'p' => round($turn->p, 4)], $turns?->upTo(self::TURN) ?? [],
                ),
                'own' => $this->own($script, $prose, $cohort, $earlier[$script->student_id] ?? []),
            ],
        ];
    }

    /**
     * What students handed in before, in the same module.
     *
     * @param  list<int>  $students
     * @return array<int, list<string>> texts by student
     */
    private function earlier(Assignment $assignment, array $students): array
    {
        $texts = [];
        foreach (Script::query()->whereIn(
            'student_id', $students,
        )->whereNull('lead_id')->whereNotNull('current_handin_id')
            ->whereHas(
                'assignment',
                fn ($other) => $other->where('module_id', $assignment->module_id)->whereKeyNot($assignment->id)
                    ->where('due_at', '<', $assignment->due_at),
            )->with('currentHandin:id,text')->orderBy('id')->get() as $script) {
            $texts[$script->student_id][] = (string) $script->currentHandin?->text;
        }

        return $texts;
    }

    /**
     * @param  array<int, Prose>  $cohort
     * @param  list<string>  $earlier
     * @return array{distance: float, farther: int, others: int, words: int}|null
     */
    private function own(Script $script, Prose $prose, array $cohort, array $earlier): ?array
    {
        $own = array_map(Prose::of(...), $earlier);
        unset($cohort[$script->student_id]);
        $same = $own === [] ? null : SameHand::of($prose, $own, array_values($cohort));

        return $same === null
            ? null
            : [
                'distance' => $same->distance, 'farther' => $same->farther, 'others' => $same->others,
                'words' => $same->ownWords,
            ];
    }

    /**
     * @param  array<string, mixed>  $columns
     */
    private function store(WritingReport $report, WritingBaseline $baseline, array $columns): void
    {
        DB::transaction(function () use ($report, $baseline, $columns): void {
            $stored = WritingBaseline::query()->lockForUpdate()->find($baseline->id);
            if ($stored?->version === $baseline->version) { // else it is measured with the next version
                $asks = $report->handin->script->assignment->mayAskDetector($report->handin)
                    && $columns['state'] === WritingState::Ready && $report->detector_state !== WebState::Ready;
                WritingReport::query()->findOrFail($report->id)
                    ->update(
                        [
                            ...$columns, 'writing_baseline_id' => $baseline->id,
                            'baseline_version' => $baseline->version, 'measured_at' => now(),
                            ...($asks ? ['detector_state' => WebState::Waiting] : []),
                        ]
                    );
                $asks && AskDetectorJob::dispatch($report->id)->afterCommit();
            }
        });
    }
}
