<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * What made a mark the agreed one.
 */
enum SettledBy: string
{
    case OnlyMark = 'only-mark';
    case Rule = 'rule';
    case Agreement = 'agreement';
}
