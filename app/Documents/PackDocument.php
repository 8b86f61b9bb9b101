<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Assignment;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Models\Script;
use App\Models\Settlement;
use App\Wording\SecondMarking;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\Rubric;

/**
 * What a sample pack holds of an assignment and of a script, as it is frozen: no name, no lateness, no allowance.
 * Markers are told apart by letters.
 */
final class PackDocument
{
    /**
     * @return array<string, mixed>
     */
    public function assignment(Assignment $assignment): array
    {
        $rubric = $assignment->rubricVersion?->toCore();
        $scale = $assignment->scale();
        $marks = Settlement::query()->whereNull('undone_at')
            ->whereIn('script_id', $assignment->scripts()->whereNull('lead_id')->select('id'))->pluck('mark')
            ->map(
                fn (mixed $mark) => BigRational::of((string) $mark)->toScale(
                    $rubric->decimals ?? 1, RoundingMode::HALF_UP,
                )
            );
        $counts = $marks->countBy(fn (BigDecimal $mark) => $scale->bandFor($mark)->name);

        return [
            'title' => $assignment->title, 'module' => $assignment->module->fullTitle(), 'brief' => $assignment->brief,
            'rubric' => $assignment->rubricVersion?->document, 'scheme' => SecondMarking::short($assignment->scheme),
            'settings' => $assignment->scheme->toArray(), 'bands' => array_map(
                fn ($band) => [
                    'name' => $band->name, 'from' => Figure::plain($band->from),
                    'scripts' => (int) ($counts[$band->name] ?? 0),
                ],
                $scale->bands,
            ),
            'agreed' => $marks->count(), 'handed_in' => $assignment->scripts()->whereNull('lead_id')
                ->whereNotNull('current_handin_id')->count(),
            'mean' => $marks->isEmpty() ? null : (string) BigRational::sum(...$marks->map(
                fn (BigDecimal $mark) => $mark->toBigRational(),
            )->all())->dividedBy($marks->count())->toScale(1, RoundingMode::HALF_UP),
        ];
    }

    /**
     * @param  array<int, string>  $letters  of markers, by their ids
     * @return array<string, mixed>
     */
    public function script(Script $script, array $letters): array
    {
        $marks = $script->marks->filter(fn (Mark $mark) => $mark->isDone())
            ->sortBy(fn (Mark $mark) => array_search($mark->seat, Seat::cases(), true))->values();
        $first = $marks->first();
        $settlement = $script->settlement;

        return [
            'code' => $script->code, 'words' => $first?->handin->words, 'text' => $first?->handin->html,
            'links' => $first?->handin->files->pluck('link')->filter()->values()->all() ?? [],
            'marks' => $marks->map(fn (Mark $mark) => $this->mark($mark, $letters))->all(),
            'agreed' => $settlement?->shownMark(),
            'band' => $settlement === null ? null : $this->band($script, $settlement),
            'working' => $settlement->working ?? [], 'settled_by' => $settlement?->settled_by->value,
            'opened_again' => Settlement::query()->where('script_id', $script->id)->whereNotNull('undone_at')
                ->orderBy('id')->get()->map(fn (Settlement $one) => [
                    'mark' => $one->shownMark(), 'why' => $one->undone_reason,
                ])->all(),
        ];
    }

    /**
     * What a frozen document is known by.
     *
     * @param  array<string, mixed>  $document
     */
    public static function sha256(array $document): string
    {
        return hash(
            'sha256', json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        );
    }

    /**
     * Letters for markers, in the order of their random ids, so that they say nothing of who they are.
     *
     * @param  Collection<int, Mark>  $marks  with their markers
     * @return array<int, string>
     */
    public static function letters(Collection $marks): array
    {
        $letters = [];
        foreach (
            $marks->map(fn (Mark $mark) => $mark->marker)->unique('id')->sortBy('public_id')->values() as $n => $marker
        ) {
            $letters[$marker->id] = ($n < 26 ? '' : chr(64 + intdiv($n, 26))).chr(65 + $n % 26);
        }

        return $letters;
    }

    private function band(Script $script, Settlement $settlement): string
    {
        $decimals = $script->assignment->rubricVersion?->toCore()->decimals ?? 1;

        return $script->assignment->scale()->bandFor(
            BigRational::of($settlement->mark)->toScale($decimals, RoundingMode::HALF_UP),
        )->name;
    }

    /**
     * @param  array<int, string>  $letters
     * @return array<string, mixed>
     */
    private function mark(Mark $mark, array $letters): array
    {
        $rubric = $mark->rubricVersion->toCore();
        $text = ScriptText::of($mark->handin);

        return [
            'seat' => $mark->seat->value, 'view' => $mark->view->value, 'marker' => $letters[$mark->marker_id] ?? '?',
            'total' => $mark->shownTotal(), 'agrees' => $mark->agrees, 'reason' => $mark->reason,
            'general' => $mark->general_comment, 'criteria' => array_map(
                fn (Criterion $criterion) => $this->criterion($criterion, $mark), $rubric->criteria,
            ),
            'comments' => $mark->comments()->whereNull('gone_at')->orderBy('id')->get()
                ->map(fn (MarkComment $one) => $this->comment($one, $rubric, $text))
                ->sortBy(fn (array $one) => $one['place'][0] ?? PHP_INT_MAX)->values()->all(),
            'recordings' => $mark->attachments()->where('kind', '<>', 'file')->count(),
        ];
    }

    /**
     * @return array<string, mixed>
     */
    private function criterion(Criterion $criterion, Mark $mark): array
    {
        $set = $mark->choices->on($criterion->id());
        $points = $set->isUnset() || $set->notApplicable ? null : $criterion->points($set);

        return [
            'title' => $criterion->title(), 'points' => $points === null ? null : Figure::plain($points),
            'max' => Figure::plain($criterion->max()),
            'said' => $set->isUnset() ? '' : MarkForm::inWords($criterion, $set),
            'comment' => $set->comment,
        ];
    }

    /**
     * @return array<string, mixed>
     */
    private function comment(MarkComment $one, Rubric $rubric, string $text): array
    {
        return [
            'kind' => $one->kind->value, 'body' => $one->body,
            'criterion' => $one->criterion === null ? null : $rubric->criterion($one->criterion)?->title(),
            'quote' => $one->isOnPage() ? null : (string) $one->anchor['exact'],
            'page' => $one->isOnPage() ? (int) $one->anchor['page'] : null,
            'place' => $one->isOnPage() ? null
                : \YoungHarbor\Core\Text\TextAnchor::fromArray($one->anchor)->in($text),
        ];
    }
}
