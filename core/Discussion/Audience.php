<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Discussion;

/**
 * Who talks with whom in a topic.
 */
enum Audience: string
{
    case All = 'all';

    /** Each section by itself. */
    case Section = 'section';

    /** Each group of the assignment by itself. */
    case Group = 'group';
}
