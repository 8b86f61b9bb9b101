<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where the measuring of one hand-in's writing is.
 */
enum WritingState: string
{
    case Waiting = 'waiting';
    case Ready = 'ready';

    /** Measured, and nothing can be said of it. */
    case Nothing = 'nothing';
    case Failed = 'failed';
}
