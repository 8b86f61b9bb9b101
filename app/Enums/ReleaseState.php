<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where a release is: set for a time, being prepared, out, or not to go out any more.
 */
enum ReleaseState: string
{
    case Set = 'set';
    case Running = 'running';
    case Out = 'out';
    case Stopped = 'stopped';
    case Refused = 'refused';
}
