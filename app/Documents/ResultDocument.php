<?php

declare(strict_types=1);

namespace App\Documents;

use App\Enums\CaseKind;
use App\Models\Mark;
use App\Models\MarkAttachment;
use App\Models\Script;
use App\Models\Settlement;
use Brick\Math\BigDecimal;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Rubric\ChecklistCriterion;
use YoungHarbor\Core\Rubric\ChecklistItem;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\CriterionScore;
use YoungHarbor\Core\Rubric\Level;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\Scorer;
use YoungHarbor\Core\Rubric\ScoreWorking;
use YoungHarbor\Core\Text\CommentKind;
use YoungHarbor\Core\Text\TextAnchor;

/**
 * Writes down what a student is to see: mark, band, working, each criterion with all its levels and the one reached.
 *
 * Levels are the first marker's, or those that were agreed, or the third's who decided; comments are those of the seats
 * that were chosen; the working says how the mark came about.
 */
final class ResultDocument
{
    /**
     * @param  bool  $withMark  or feedback alone for now
     * @return array{document: array<string, mixed>, mark: string|null, band: string|null} without a mark when the assignment gives feedback alone
     */
    public function of(Script $script, bool $withMark = true): array
    {
        if ($script->openCase(CaseKind::Zero) !== null) {
            return $this->ofNothing($script);
        }
        $marked = $script->leadScript();
        $first = $marked->mark(Seat::First);
        $settlement = $marked->settlement;
        assert($first instanceof Mark && $settlement instanceof Settlement);
        $levels = $settlement->levelsOf();
        $choices = $levels === null ? $settlement->choices : $marked->mark($levels)->choices ?? $first->choices;
        $rubric = $first->rubricVersion->toCore();
        $scale = $script->assignment->scale();
        $final = $script->finalMark($rubric->decimals);
        $score = Scorer::score($rubric, $choices);
        $said = $marked->marks->filter(fn (Mark $mark) => $settlement->feedback->has($mark->seat))
            ->sortBy(fn (Mark $mark) => array_search($mark->seat, Seat::cases(), true))->values();

        $isMarked = $withMark && ! $script->assignment->release->feedbackOnly
            && $script->openCase(CaseKind::FeedbackOnly) === null;

        return [
            'mark' => $isMarked ? (string) $final->mark : null,
            'band' => $isMarked ? $final->band->name : null,
            'document' => [
                ...($isMarked ? [
                    'mark' => (string) $final->mark,
                    'out_of' => Figure::plain($score->outOf),
                    'band' => $final->band->name,
                    'band_span' => $scale->span($final->band, $rubric->decimals),
                    'working' => $final->working->toArray(),
                    // Where students see no points, the working begins at the marker's total.
                    'first_working' => $rubric->pointsShown
                        ? ScoreWorking::of($score, $rubric->weighting, $rubric->decimals)->toArray()
                        : [],
                ] : []),
                'handin' => $first->handin->public_id,
                'late' => $script->currentHandin->late ?? false,
                'points_shown' => $rubric->pointsShown && $isMarked,
                'two_marks' => $marked->marks->count() > 1,
                'levels_of' => $levels->value ?? 'agreed',
                'whose' => match (true) {
                    $levels === Seat::First && $settlement->settled_by === SettledBy::Coordinator => 'decided',
                    default => $levels->value ?? 'agreed',
                },
                'second_view' => $marked->mark(Seat::Second)?->view->value,
                'said_by' => $said->map(fn (Mark $mark) => $mark->seat->value)->all(),
                'group' => $script->group_name === null ? null : $script->names(),
                'general_comment' => $settlement->feedback->general ?? $said
                    ->map(fn (Mark $mark) => trim($mark->general_comment))->filter()->implode("\n\n"),
                'comments' => $this->comments($said, $rubric),
                'attachments' => $said->flatMap(fn (Mark $mark) => $this->attachments($mark, $rubric))->all(),
                'criteria' => array_map(
                    fn (Criterion $criterion) => [
                        ...$this->criterion($criterion, $choices->on($criterion->id()), $score->lines),
                        'comment' => $levels === null
                            ? $choices->on($criterion->id())->comment
                            : $said->map(fn (Mark $mark) => trim($mark->choices->on($criterion->id())->comment))
                                ->filter()->implode("\n\n"),
                        ...($isMarked ? [] : ['weight' => null, 'points' => null]),
                    ],
                    $rubric->criteria,
                ),
            ],
        ];
    }

    /**
     * Of someone who handed in nothing, once people decided that this counts as 0.
     *
     * @return array{document: array<string, mixed>, mark: string, band: string}
     */
    private function ofNothing(Script $script): array
    {
        $scale = $script->assignment->scale();
        $decimals = $script->assignment->rubricVersion?->toCore()->decimals ?? 0;
        $mark = (string) BigDecimal::zero()->toScale($decimals);
        $band = $scale->bandFor(BigDecimal::zero());

        return [
            'mark' => $mark, 'band' => $band->name,
            'document' => [
                'mark' => $mark, 'out_of' => '100', 'band' => $band->name,
                'band_span' => $scale->span($band, $decimals),
                'working' => [
                    ['what' => 'Nothing handed in', 'how' => 'decided by a coordinator', 'result' => $mark],
                    ['what' => 'Band', 'how' => $scale->name, 'result' => $band->name],
                ],
                'first_working' => [], 'late' => false, 'points_shown' => false, 'two_marks' => false, 'group' => null,
                'general_comment' => '', 'comments' => [], 'attachments' => [], 'criteria' => [],
            ],
        ];
    }

    /**
     * Mark, band, working and levels alone: without text, comments and what is attached, which would lead from a name
     * to a script code.
     *
     * @param  array<string, mixed>  $document  of a result
     * @return array<string, mixed>
     */
    public static function withoutWords(array $document): array
    {
        return [
            ...$document, 'handin' => null, 'general_comment' => '', 'comments' => [], 'attachments' => [],
            'criteria' => array_map(fn (array $one) => [...$one, 'comment' => ''], $document['criteria']),
        ];
    }

    /** Of what can change between writing a result and letting it out: the mark, its working, whose words go out. */
    public function stamp(Script $script): string
    {
        $settlement = $script->leadScript()->settlement;
        $final = $settlement === null ? null : $script->finalMark($this->rubric($script)->decimals ?? 0);

        return hash('sha256', (string) json_encode([
            $settlement?->id, $settlement?->feedback->toArray(), $settlement?->choices->toArray(),
            (string) $final?->mark, $final?->working->toArray(), $script->openCases->modelKeys(),
            $script->current_handin_id, $script->held_reason,
            $script->leadScript()->marks->map(fn (Mark $mark) => [$mark->id, (string) $mark->done_at])->all(),
        ]));
    }

    private function rubric(Script $script): ?Rubric
    {
        return $script->leadScript()->mark(Seat::First)?->rubricVersion->toCore();
    }

    /**
     * Comments on the script as they stand, with the words they are about, in the order of those.
     *
     * @param  Collection<int, Mark>  $marks
     * @return list<array{number: int, id: string, key: string, kind: string, starred: bool, criterion: string|null,
     *     quote: string|null, page: int|null, anchor: array<string, mixed>, seat: string, body: string}>
     */
    private function comments(Collection $marks, Rubric $rubric): array
    {
        $placed = [];
        foreach ($marks as $mark) {
            $text = ScriptText::of($mark->handin);
            $version = TextAnchor::versionOf($text);
            foreach ($mark->comments()->whereNull('gone_at')->orderBy('id')->get() as $one) {
                if (trim($one->body) !== '' || $one->kind !== CommentKind::Remark) {
                    $placed[] = [$one->isOnPage()
                        ? [1, (int) $one->anchor['page'], (float) $one->anchor['points'][0][1]]
                        : [0, TextAnchor::fromArray($one->anchor)->in($text, $version)[0] ?? PHP_INT_MAX, 0.0],
                        $one, $mark->seat->value];
                }
            }
        }
        usort($placed, fn (array $a, array $b) => $a[0] <=> $b[0]);

        return array_map(fn (array $each, int $n) => [
            'number' => $n + 1, 'id' => $each[1]->public_id, 'key' => $each[1]->kind->value,
            'kind' => __('mark.comment_kind.'.$each[1]->kind->value), 'starred' => $each[1]->starred,
            'criterion' => $each[1]->criterion === null ? null : $rubric->criterion($each[1]->criterion)?->title(),
            'quote' => $each[1]->isOnPage() ? null : (string) $each[1]->anchor['exact'],
            'page' => $each[1]->isOnPage() ? (int) $each[1]->anchor['page'] : null,
            'anchor' => $each[1]->anchor, 'seat' => $each[2], 'body' => $each[1]->body,
        ], $placed, array_keys($placed));
    }

    /**
     * @return list<array{id: string, kind: string, criterion: string|null, name: string, seconds: string|null, written: string}>
     */
    private function attachments(Mark $mark, Rubric $rubric): array
    {
        return array_values($mark->attachments()->orderBy('id')->get()->map(fn (MarkAttachment $one) => [
            'id' => $one->public_id, 'kind' => $one->kind,
            'criterion' => $one->criterion === null ? null : $rubric->criterion($one->criterion)?->title(),
            'name' => $one->name, 'seconds' => $one->seconds, 'written' => $one->written,
        ])->all());
    }

    /**
     * @param  list<CriterionScore>  $lines
     * @return array<string, mixed>
     */
    private function criterion(Criterion $criterion, CriterionMark $set, array $lines): array
    {
        $line = array_values(
            array_filter($lines, fn (CriterionScore $line) => $line->criterion->id() === $criterion->id())
        )[0] ?? null;
        $points = $line?->points;
        $levels = $criterion instanceof LevelCriterion ? $this->levels($criterion, $set, $points) : [];

        return [
            'id' => $criterion->id(),
            'title' => $criterion->title(),
            'purpose' => $criterion->purpose(),
            'weight' => $criterion->weight()->isZero() ? null : Figure::plain($criterion->weight()),
            'points' => $points === null ? null : Figure::plain($points),
            'max' => Figure::plain($criterion->max()),
            'applies' => $line->applicable ?? true,
            'between' => $set->between !== null,
            'levels' => $levels,
            'steps' => $criterion instanceof ChecklistCriterion ? $this->steps($criterion, $set) : [],
        ];
    }

    /**
     * @return list<array{title: string, points: string, state: string}>
     */
    private function steps(ChecklistCriterion $criterion, CriterionMark $set): array
    {
        $done = $set->done ?? [];
        $partly = $set->partly;

        return array_map(fn (ChecklistItem $item) => [
            'title' => $item->title,
            'points' => Figure::plain($item->points),
            'state' => in_array($item->id, $done, true)
                ? 'done'
                : (isset($partly[$item->id]) ? 'partly done, '.$partly[$item->id] : 'not done'),
        ], $criterion->items);
    }

    /**
     * @return list<array{title: string, points: string, descriptor: string, guidance: string, reached: bool}>
     */
    private function levels(LevelCriterion $criterion, CriterionMark $set, ?BigDecimal $points): array
    {
        $reached = match (true) {
            $set->level !== null => $criterion->level($set->level),
            $points !== null => $criterion->reached($points),
            default => null,
        };

        return array_map(fn (Level $level) => [
            'title' => $level->title,
            'points' => Figure::plain($level->points).(
                $level->isRange() ? ' to '.Figure::plain($level->highest()) : ''
            ),
            'descriptor' => $level->descriptor,
            'guidance' => $level->guidance,
            'reached' => $reached !== null && $level->id === $reached->id,
        ], $criterion->usable());
    }
}
