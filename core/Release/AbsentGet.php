<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

/**
 * What an assignment gives to someone who handed in nothing, once people take that step.
 */
enum AbsentGet: string
{
    case Zero = 'zero';
    case Incomplete = 'incomplete';
    case Deferred = 'deferred';

    /** Handing in is a choice: there is nothing to decide. */
    case Nothing = 'nothing';
}
