<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * How far a sample pack is.
 */
enum PackState: string
{
    /** Scripts are put in and taken out; nobody but coordinators sees it. */
    case Gathering = 'gathering';

    /** Frozen, and with its reader. */
    case Sent = 'sent';
    case Signed = 'signed';
}
