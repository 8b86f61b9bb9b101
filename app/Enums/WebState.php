<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * How far the search of the open web for one hand-in is.
 */
enum WebState: string
{
    case Off = 'off';
    case Waiting = 'waiting';
    case Running = 'running';
    case Ready = 'ready';
    case Part = 'part';
    case Failed = 'failed';

    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Running;
    }
}
