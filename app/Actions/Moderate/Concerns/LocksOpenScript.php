<?php

declare(strict_types=1);

namespace App\Actions\Moderate\Concerns;

use App\Exceptions\Refused;
use App\Models\Mark;
use App\Models\Script;
use YoungHarbor\Core\Marking\Seat;

/**
 * Locks a script that is to be settled by people.
 */
trait LocksOpenScript
{
    /**
     * @throws Refused unless its marks are in and nothing is settled yet
     */
    private function lockOpen(Script $script): Script
    {
        $stored = Script::query()->lockForUpdate()->findOrFail($script->id);
        if ($stored->result()->exists()) {
            throw new Refused('Its result is out and does not change any more.');
        }
        if ($stored->settlement()->exists()) {
            throw new Refused('This script is settled already.');
        }
        $third = $stored->mark(Seat::Third);
        if ($third !== null && ! $third->isDone()) {
            throw new Refused('A third marker has this script now. It can be settled once that mark is done.');
        }
        if ($stored->marks->count() < 2 || $stored->marks->contains(fn (Mark $mark) => ! $mark->isDone())) {
            throw new Refused('There is nothing to settle until both marks are done.');
        }

        return $stored;
    }
}
