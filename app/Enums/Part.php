<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Which of a script's marks a mark is.
 */
enum Part: string
{
    case First = 'first';
    case Second = 'second';

    /** Of a script that every marker marks before the real marking begins; it counts for nothing. */
    case Together = 'together';

    public function counts(): bool
    {
        return $this !== self::Together;
    }

    /** As the desk names it. */
    public function inWords(): string
    {
        return $this === self::Together ? 'together, counts for nothing' : "{$this->value} mark";
    }
}
