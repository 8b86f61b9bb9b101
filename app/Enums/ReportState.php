<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where the comparison of one hand-in is.
 */
enum ReportState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Ready = 'ready';
    case Failed = 'failed';
    case Stopped = 'stopped';

    /** There are no words to compare: what was handed in leads to a page elsewhere. */
    case Nothing = 'nothing';

    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Running;
    }
}
