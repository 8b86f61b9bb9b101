<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * What a walk over the logbook can find.
 */
enum WhyBroken: string
{
    case LineMissing = 'line-missing';

    /** Altered, or moved from where it was written. */
    case NotAsWritten = 'not-as-written';

    /** What a line said is gone, and no line says that it was let go. */
    case ContentMissing = 'content-missing';
    case HeadMissing = 'head-missing';

    /** Or signed with another key. */
    case HeadAltered = 'head-altered';
    case EndMissing = 'end-missing';
    case NotTheSignedLine = 'not-the-signed-line';
}
