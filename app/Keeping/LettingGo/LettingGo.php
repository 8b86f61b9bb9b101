<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Models\Assignment;

/**
 * How what an assignment keeps of one kind goes, in a transaction of its caller's.
 */
interface LettingGo
{
    /** SQL that is true of a row of scripts of which something of the kind is still there. */
    public function isThere(): string;

    /** Whether it goes for all scripts of the assignment or for none. */
    public function isWhole(): bool;

    /**
     * @param  list<int>  $scripts  ids, all of the assignment
     */
    public function __invoke(Assignment $assignment, array $scripts): Gone;
}
