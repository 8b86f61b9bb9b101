<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * Someone who may review, for a plan.
 */
final readonly class PlannedReviewer
{
    /**
     * @param  int  $room  reviews they may have in all, those they have included
     * @param  bool  $idle  given reviews before and has begun none: what they have may go to others
     */
    public function __construct(public string $id, public int $room, public bool $idle = false)
    {
    }
}
