<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * When authors see the reviews of their work.
 */
enum ReviewsSeen: string
{
    /** Each once it is done, for authors whose own reviews are done. */
    case OwnDone = 'own-done';

    /** All at once, when the time for reviewing is over. */
    case Due = 'due';

    /** When a coordinator closes the round. */
    case Closed = 'closed';
}
