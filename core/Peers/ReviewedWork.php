<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * Work that is to be reviewed, for a plan.
 */
final readonly class ReviewedWork
{
    /**
     * @param  list<string>  $authors  ids of those whose work it is, who never review it
     * @param  int  $wanted  reviews it is promised, from 0 on
     */
    public function __construct(public string $id, public array $authors, public int $wanted)
    {
    }
}
