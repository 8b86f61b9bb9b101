<?php

declare(strict_types=1);

namespace App\Queries\Plan;

use App\Models\Assignment;
use App\Models\Mark;
use App\Models\RubricVersion;
use App\Models\Script;
use YoungHarbor\Core\Rubric\CarriedMarks;

/**
 * What a newer version of its rubric would mean for an assignment's marks.
 */
final class RubricChange
{
    /** The newest ready version of the assignment's rubric, when it is newer than the one in use. */
    public static function newer(Assignment $assignment): ?RubricVersion
    {
        $used = $assignment->rubricVersion;

        return $used === null
            ? null
            : RubricVersion::query()->where('rubric_id', $used->rubric_id)->where('number', '>', $used->number)->get()
                ->sortByDesc('number')->first();
    }

    /** Agreed and released marks stay with the version they were made with. */
    public function stays(Script $script): bool
    {
        return $script->settlement !== null || $script->result !== null;
    }

    public function isBegun(Script $script): bool
    {
        return $script->marks->contains(fn (Mark $mark) => $this->isTouched($mark));
    }

    public function isTouched(Mark $mark): bool
    {
        return $mark->begun_at !== null || ! $mark->choices->isEmpty();
    }

    public function carried(Mark $mark, RubricVersion $to): CarriedMarks
    {
        return CarriedMarks::over($mark->rubricVersion->toCore(), $to->toCore(), $mark->choices);
    }

    /**
     * Every mark that is begun, with what it is now and what it would be.
     *
     * @return array{rows: list<array{code: string, part: string, before: string, after: string, difference: string, lost: list<string>, opens: bool}>, stays: int, open: int}
     */
    public function preview(Assignment $assignment, RubricVersion $to): array
    {
        $rows = [];
        $stays = 0;
        $open = 0;
        foreach (
            Script::query()->where('assignment_id', $assignment->id)
                ->with(['marks.rubricVersion', 'settlement', 'result'])->orderBy('code')->lazy(100) as $script
        ) {
            foreach ($script->marks->sortBy(fn (Mark $mark) => $mark->seat->value) as $mark) {
                if (! $this->isTouched($mark)) {
                    $open++;
                } elseif ($this->stays($script)) {
                    $stays++;
                } else {
                    $carried = $this->carried($mark, $to);
                    $difference = $carried->score->percent()->minus($mark->score()->percent());
                    $rows[] = [
                        'code' => $script->code, 'part' => $mark->seat->value,
                        'before' => $mark->shownTotal() ?? $mark->score()->percent().' so far',
                        'after' => (string) $carried->score->percent(),
                        'difference' => ($difference->isPositive() ? '+' : '')
                            .($difference->isZero() ? '0' : (string) $difference),
                        'lost' => $carried->lost, 'opens' => $mark->isDone() && ! $carried->score->isComplete(),
                    ];
                }
            }
        }

        return ['rows' => $rows, 'stays' => $stays, 'open' => $open];
    }
}
