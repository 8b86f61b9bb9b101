<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Plan\Concerns\StoresDraft;
use App\Models\Rubric;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Draft;

/**
 * Takes the last step of a working copy back, or makes the one taken back last again.
 */
final class WalkRubricSteps
{
    use StoresDraft;

    public const BACK = -1;

    public const FORTH = 1;

    /**
     * @param  int  $by  {@see self::BACK} or {@see self::FORTH}; nothing happens when there is no such step
     */
    public function __invoke(Rubric $rubric, User $user, int $by): Rubric
    {
        return DB::transaction(function () use ($rubric, $user, $by): Rubric {
            $stored = $this->locked($rubric);
            $step = $stored->steps()->where('number', $stored->step + $by)->first();
            if ($step !== null) {
                $stored->step = $step->number;
                $this->store($stored, Draft::of($step->document), $user);
            }

            return $stored;
        });
    }
}
