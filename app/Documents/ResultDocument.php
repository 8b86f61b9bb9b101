<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Mark;
use App\Models\MarkAttachment;
use App\Models\MarkComment;
use App\Models\Script;
use App\Models\Settlement;
use Brick\Math\BigDecimal;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Rubric\ChecklistCriterion;
use YoungHarbor\Core\Rubric\ChecklistItem;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\CriterionScore;
use YoungHarbor\Core\Rubric\Level;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\Rubric;
use YoungHarbor\Core\Rubric\ScoreWorking;
use YoungHarbor\Core\Text\CommentKind;
use YoungHarbor\Core\Text\TextAnchor;

/**
 * Writes down what a student is to see: mark, band, working, each criterion with all its levels and the one reached.
 *
 * Levels and comments are the first marker's; the working says how the mark came from both.
 */
final class ResultDocument
{
    /**
     * @return array{document: array<string, mixed>, mark: string|null, band: string|null} without a mark when the assignment gives feedback alone
     */
    public function of(Script $script): array
    {
        $marked = $script->leadScript();
        $first = $marked->mark(Seat::First);
        $settlement = $marked->settlement;
        assert($first instanceof Mark && $settlement instanceof Settlement);
        $rubric = $first->rubricVersion->toCore();
        $scale = $script->assignment->scale();
        $final = $script->finalMark($rubric->decimals);
        $score = $first->score();

        $isMarked = ! $script->assignment->release->feedbackOnly;

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
                'late' => $script->currentHandin->late ?? false,
                'points_shown' => $rubric->pointsShown && $isMarked,
                'two_marks' => $marked->marks->count() > 1,
                'group' => $script->group_name === null ? null : $script->names(),
                'general_comment' => $first->general_comment,
                'comments' => $this->comments($first, $rubric),
                'attachments' => $this->attachments($first, $rubric),
                'criteria' => array_map(
                    fn (Criterion $criterion) => [
                        ...$this->criterion($criterion, $first, $score->lines),
                        ...($isMarked ? [] : ['weight' => null, 'points' => null]),
                    ],
                    $rubric->criteria,
                ),
            ],
        ];
    }

    /**
     * Comments on the script as they stand, with the words they are about, in the order of those.
     *
     * @return list<array{number: int, kind: string, criterion: string|null, quote: string|null, page: int|null, body: string}>
     */
    private function comments(Mark $mark, Rubric $rubric): array
    {
        $text = ScriptText::of($mark->handin);
        $place = fn (MarkComment $one): array => $one->isOnPage()
            ? [1, (int) $one->anchor['page'], (float) $one->anchor['points'][0][1]]
            : [0, TextAnchor::fromArray($one->anchor)->in($text)[0] ?? PHP_INT_MAX, 0.0];
        $said = $mark->comments()->whereNull('gone_at')->orderBy('id')->get()
            ->filter(fn (MarkComment $one) => trim($one->body) !== '' || $one->kind !== CommentKind::Remark)
            ->sortBy($place)->values();

        return array_values($said->map(fn (MarkComment $one, int $n) => [
            'number' => $n + 1, 'kind' => __('mark.comment_kind.'.$one->kind->value),
            'criterion' => $one->criterion === null ? null : $rubric->criterion($one->criterion)?->title(),
            'quote' => $one->isOnPage() ? null : (string) $one->anchor['exact'],
            'page' => $one->isOnPage() ? (int) $one->anchor['page'] : null, 'body' => $one->body,
        ])->all());
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
    private function criterion(Criterion $criterion, Mark $mark, array $lines): array
    {
        $set = $mark->choices->on($criterion->id());
        $line = array_values(
            array_filter($lines, fn (CriterionScore $line) => $line->criterion->id() === $criterion->id())
        )[0] ?? null;
        $points = $line?->points;
        $levels = $criterion instanceof LevelCriterion ? $this->levels($criterion, $set, $points) : [];

        return [
            'title' => $criterion->title(),
            'purpose' => $criterion->purpose(),
            'weight' => $criterion->weight()->isZero() ? null : Figure::plain($criterion->weight()),
            'points' => $points === null ? null : Figure::plain($points),
            'max' => Figure::plain($criterion->max()),
            'applies' => $line->applicable ?? true,
            'between' => $set->between !== null,
            'levels' => $levels,
            'steps' => $criterion instanceof ChecklistCriterion ? $this->steps($criterion, $set) : [],
            'comment' => $set->comment,
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
