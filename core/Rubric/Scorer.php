<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Input\Fault;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Works out the total of a set of marks. All sums are exact; the total is rounded once, half up, at the end.
 */
final class Scorer
{
    /**
     * @param  CriterionMarks|array<array-key, mixed>  $marks  or their JSON form, by criterion id
     *
     * @throws InvalidInput for a criterion that is not in the rubric, a mark its criterion cannot have, or a set in
     *                      which no criterion applies
     */
    public static function score(Rubric $rubric, CriterionMarks|array $marks): Score
    {
        $marks = is_array($marks) ? CriterionMarks::fromArray($marks) : $marks;
        $faults = [];
        foreach ($marks->criteria() as $id) {
            if ($rubric->criterion($id) === null) {
                $faults[] = new Fault($id, 'is not a criterion of this rubric');
            }
        }
        $points = [];
        $applies = [];
        foreach ($rubric->criteria as $criterion) {
            $id = $criterion->id();
            $mark = $marks->on($id);
            $applies[$id] = ! $mark->notApplicable;
            array_push($faults, ...($marks->faults[$id] ?? []));
            if ($mark->notApplicable && ! $criterion->optional()) {
                $faults[] = new Fault("{$id}.not_applicable", 'only an optional criterion can be left out');
            }
            try {
                $points[$id] = $applies[$id] ? $criterion->points($mark) : null;
            } catch (InvalidInput $e) {
                $faults = [...$faults, ...$e->faults];
            }
        }
        if ($faults !== []) {
            throw new InvalidInput($faults);
        }

        return self::total($rubric, $points, $applies);
    }

    /**
     * @param  array<string, \Brick\Math\BigDecimal|null>  $points
     * @param  array<string, bool>  $applies
     */
    private static function total(Rubric $rubric, array $points, array $applies): Score
    {
        $scored = $rubric->scored();
        $remaining = BigRational::zero();
        foreach ($scored as $criterion) {
            if ($applies[$criterion->id()]) {
                $remaining = $remaining->plus($rubric->share($criterion));
            }
        }
        if ($scored !== [] && $remaining->isZero()) {
            throw InvalidInput::at('', 'no criterion applies, so there is nothing to mark');
        }
        $outOf = $rubric->weighting === Weighting::Percent ? BigRational::of(100) : $remaining;
        $total = BigRational::zero();
        $lines = [];
        foreach ($scored as $criterion) {
            $id = $criterion->id();
            $weight = $rubric->share($criterion);
            $effective = $applies[$id]
                ? (
                    $rubric->weighting === Weighting::Percent
                        ? $weight->toBigRational()->multipliedBy(100)->dividedBy($remaining)
                        : $weight->toBigRational()
                )
                : BigRational::zero();
            $contribution = $points[$id] === null
                ? BigRational::zero()
                : $effective->multipliedBy($points[$id])->dividedBy($criterion->max());
            $total = $total->plus($contribution);
            $lines[] = new CriterionScore($criterion, $points[$id], $applies[$id], $weight, $effective, $contribution);
        }

        return new Score(
            $total->toScale($rubric->decimals, RoundingMode::HALF_UP), $outOf->toBigDecimal(), $lines, $total,
        );
    }
}
