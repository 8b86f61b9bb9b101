<?php

declare(strict_types=1);

namespace App\Logbook;

use YoungHarbor\Core\Logbook\ChainHead;

/**
 * Where the signed head of the logbook is kept: apart from the database, so that lines cut off its end show. Several
 * web servers may come at once.
 */
interface HeadStore
{
    public function head(): ?ChainHead;

    /** Keeps a head, unless one with more lines is there already: a head never goes back. */
    public function advance(ChainHead $head): void;

    /** Puts the head where it can be looked at and none is in force. */
    public function setAside(): void;

    /** Where it is, for people who look for it. */
    public function place(): string;
}
