<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

/**
 * What an observer saw of a step.
 */
enum StepSeen: string
{
    case Done = 'done';
    case Partly = 'partly';
    case Not = 'not';

    /** It may have been done: nobody could see it. */
    case Unseen = 'unseen';
}
