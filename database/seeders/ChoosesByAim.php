<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Mark;
use YoungHarbor\Core\Rubric\CriterionMarks;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\RailStop;

/**
 * Marks that come near to a total on whatever rails a rubric has.
 */
trait ChoosesByAim
{
    /** Stops on the rails that together come near to a total: what one criterion misses the next makes up for. */
    private function choices(Mark $mark, float $aim): CriterionMarks
    {
        $choices = CriterionMarks::usual();
        $missed = 0.0;
        foreach ($mark->rubricVersion->toCore()->criteria as $criterion) {
            assert($criterion instanceof LevelCriterion);
            $most = (float) (string) $criterion->max();
            $weight = (float) (string) $criterion->weight();
            $wanted = $most * ($aim + $missed / $weight * 100) / 100;
            $stops = RailStop::of($criterion);
            usort($stops, fn (RailStop $a, RailStop $b) => abs((float) (string) $a->points - $wanted)
                <=> abs((float) (string) $b->points - $wanted));
            $missed += $weight * ($aim / 100 - (float) (string) $stops[0]->points / $most);
            $choices = $choices->with($criterion->id(), RailStop::mark($criterion, $stops[0]->key));
        }

        return $choices;
    }
}
