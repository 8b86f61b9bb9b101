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
    /** The third marker, where the rule is that they decide. */
    case Third = 'third';
    case Agreement = 'agreement';

    /** A coordinator who marked neither, as the last resort. */
    case Coordinator = 'coordinator';
}
