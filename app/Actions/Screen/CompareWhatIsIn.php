<?php

declare(strict_types=1);

namespace App\Actions\Screen;

use App\Models\Assignment;

/**
 * What students were given has changed: what was handed in so far is compared and measured again.
 */
final class CompareWhatIsIn
{
    public function __construct(
        private readonly RerunScreening $rerun,
        private readonly MeasureAgain $measure,
    ) {
    }

    public function __invoke(Assignment $assignment): void
    {
        if ($assignment->scripts()->whereNotNull('current_handin_id')->exists()) {
            ($this->rerun)($assignment, RerunScreening::ALL);
            $assignment->writing_baseline_id === null || ($this->measure)($assignment->id);
        }
    }
}
