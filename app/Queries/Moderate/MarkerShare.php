<?php

declare(strict_types=1);

namespace App\Queries\Moderate;

/**
 * How far one first marker is, as a sample to be drawn sees it.
 */
final readonly class MarkerShare
{
    /**
     * @param  int  $scripts  all of theirs
     * @param  int  $done  of these, with a finished first mark
     * @param  int  $open  of these, that a sample can be drawn from now
     */
    public function __construct(
        public string $id,
        public string $name,
        public int $scripts,
        public int $done,
        public int $open,
    ) {
    }

    public function isFinished(): bool
    {
        return $this->done === $this->scripts;
    }
}
