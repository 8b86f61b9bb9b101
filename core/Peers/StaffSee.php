<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * What of students' ratings whoever marks sees beside their own mark, once it is done.
 */
enum StaffSee: string
{
    case Nothing = 'nothing';

    /** What its author gave the work. */
    case Own = 'own';

    /** That, and what peers gave it. */
    case All = 'all';

    public function shows(bool $own): bool
    {
        return $this === self::All || ($this === self::Own && $own);
    }
}
