<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * What is reviewed in a round.
 */
enum ReviewedAt: string
{
    /** The attempt that is in at the round's own time, so that it can still be made better. */
    case Draft = 'draft';

    /** What counts when the assignment is due. */
    case Final = 'final';
}
