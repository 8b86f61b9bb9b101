<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * Which scripts of an assignment are marked a second time.
 */
enum SecondMarks: string
{
    case None = 'none';
    case Every = 'every';
}
