<?php

declare(strict_types=1);

namespace App\Desk;

use App\Documents\ScriptText;
use App\Models\Mark;
use App\Models\MarkAttachment;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\MarkForm;
use YoungHarbor\Core\Rubric\ScoreWorking;
use YoungHarbor\Core\Text\TextAnchor;
use YoungHarbor\Core\Text\TextSlices;

/**
 * A mark as the page of the desk knows it.
 */
final class DeskState
{
    /**
     * @return array<string, mixed>
     */
    public function of(Mark $mark): array
    {
        $criteria = $mark->rubric()->criteria;
        $on = fn (Criterion $criterion): CriterionMark => $mark->choices->on($criterion->id());

        return [
            'version' => $mark->lock_version, 'done' => $mark->isClosed(),
            'marks' => (object) array_combine(
                array_map(fn (Criterion $criterion) => $criterion->id(), $criteria),
                array_map(fn (Criterion $criterion) => (object) MarkForm::form($criterion, $on($criterion)), $criteria),
            ),
            'words' => (object) array_combine(
                array_map(fn (Criterion $criterion) => $criterion->id(), $criteria),
                array_map(fn (Criterion $criterion) => $on($criterion)->comment, $criteria),
            ),
            'general' => $mark->general_comment, 'private' => $mark->private_note,
            'reason' => $mark->reason, 'notes' => $this->notes($mark),
        ];
    }

    /**
     * The comments on the text with where they stand now; an orphan has no place.
     *
     * @return array<string, array<string, mixed>> by public id
     */
    public function notes(Mark $mark): array
    {
        // As plain rows: there can be hundreds.
        $rows = DB::table('mark_comments')->where('mark_id', $mark->id)->whereNull('gone_at')->orderBy('id')
            ->get(['public_id', 'kind', 'criterion', 'body', 'anchor', 'starred']);
        if ($rows->isEmpty()) {
            return []; // and its text need not be read
        }
        $text = ScriptText::of($mark->handin);
        $version = TextAnchor::versionOf($text);
        $slices = new TextSlices($text);
        $notes = [];
        foreach ($rows as $row) {
            $anchor = (array) json_decode((string) $row->anchor, true, 32, JSON_THROW_ON_ERROR);
            $notes[(string) $row->public_id] = [
                'body' => $row->body, 'kind' => $row->kind, 'criterion' => $row->criterion, 'anchor' => $anchor,
                'starred' => (bool) $row->starred, 'gone' => false,
                'place' => isset($anchor['page']) ? null : TextAnchor::unmoved($anchor, $slices, $version)
                    ?? TextAnchor::fromArray($anchor)->in($text, $version),
            ];
        }

        return $notes;
    }

    /**
     * The same in the order of their places, those without one last.
     *
     * @return array<string, array<string, mixed>> by public id
     */
    public function notesInOrder(Mark $mark): array
    {
        $notes = $this->notes($mark);
        uasort($notes, fn (array $a, array $b) => self::place($a) <=> self::place($b));

        return $notes;
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array{int, int, int}
     */
    private static function place(array $note): array
    {
        return isset($note['anchor']['page'])
            ? [1, (int) $note['anchor']['page'], 0]
            : ($note['place'] === null ? [2, 0, 0] : [0, (int) $note['place'][0], (int) $note['place'][1]]);
    }

    /** The head of the rubric with the total, as the page shows it. */
    public function total(Mark $mark): string
    {
        $rubric = $mark->rubric();
        $score = $mark->score();

        return view(
            'mark.total',
            [
                'mark' => $mark, 'rubric' => $rubric, 'score' => $score,
                'working' => ScoreWorking::of($score, $rubric->weighting, $rubric->decimals),
            ],
        )->render();
    }

    /**
     * @return Collection<int, MarkAttachment>
     */
    public function attachments(Mark $mark): Collection
    {
        return MarkAttachment::query()->where('mark_id', $mark->id)->orderBy('id')->get();
    }
}
