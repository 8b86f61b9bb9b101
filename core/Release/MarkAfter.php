<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

/**
 * What comes before the mark, so that feedback is read first: opening it, or writing a reflection.
 */
enum MarkAfter: string
{
    case Opened = 'opened';
    case Reflected = 'reflected';
}
