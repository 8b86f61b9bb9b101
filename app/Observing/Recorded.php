<?php

declare(strict_types=1);

namespace App\Observing;

use App\Models\Mark;
use App\Models\ObservationEvent;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Observing\Observation;
use YoungHarbor\Core\Observing\StepSeen;
use YoungHarbor\Core\Rubric\ChecklistCriterion;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\CriterionMark;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\RailStop;
use YoungHarbor\Core\Rubric\ScaleCriterion;

/**
 * What one observer recorded, and what it is on a rubric.
 */
final class Recorded
{
    public static function of(Mark $mark): Observation
    {
        return Observation::of(array_values(
            ObservationEvent::query()->where('mark_id', $mark->id)->get()->map(
                fn (ObservationEvent $one) => $one->toCore(),
            )->all()
        ));
    }

    /**
     * What was recorded on a criterion: a step that was done has its points, one done partly half of them, any other
     * none.
     *
     * @return CriterionMark|null null when nothing was
     */
    public static function onCriterion(Criterion $criterion, Observation $seen): ?CriterionMark
    {
        if ($criterion instanceof LevelCriterion) {
            $stop = $seen->levels[$criterion->id()]['stop'] ?? '';
            try {
                return $stop === '' ? null : RailStop::mark($criterion, $stop);
            } catch (InvalidInput) {
                return null; // a stop that this rubric does not have
            }
        }
        if ($criterion instanceof ScaleCriterion) {
            $mark = new CriterionMark(points: $seen->levels[$criterion->id()]['stop'] ?? null);
            try {
                return $criterion->points($mark) === null ? null : $mark;
            } catch (InvalidInput) {
                return null; // a number that this scale does not have
            }
        }
        if (! $criterion instanceof ChecklistCriterion) {
            return null;
        }
        $done = $partly = [];
        $any = false;
        foreach ($criterion->items as $item) {
            $step = $seen->steps["{$criterion->id()}/{$item->id}"]['seen'] ?? null;
            $any = $any || $step !== null;
            $step === StepSeen::Done && $done[] = $item->id;
            $step === StepSeen::Partly && $partly[$item->id] = (string) $item->points->dividedBy(
                2, 2, RoundingMode::HALF_UP,
            )
                ->stripTrailingZeros();
        }

        return $any ? new CriterionMark(done: $done, partly: $partly) : null;
    }
}
