<?php

declare(strict_types=1);

namespace App\Actions\Moderate\Concerns;

use App\Exceptions\Refused;
use App\Models\Mark;
use App\Models\Script;

/**
 * Locks a script that is to be settled by its markers.
 */
trait LocksOpenScript
{
    /**
     * @throws Refused unless both marks are in and nothing is settled yet
     */
    private function lockOpen(Script $script): Script
    {
        $stored = Script::query()->lockForUpdate()->findOrFail($script->id);
        if ($stored->settlement()->exists()) {
            throw new Refused('This script is settled already.');
        }
        if ($stored->marks->count() < 2 || $stored->marks->contains(fn (Mark $mark) => ! $mark->isDone())) {
            throw new Refused('There is nothing to settle until both marks are done.');
        }

        return $stored;
    }
}
