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

    /** Begun by someone who could not finish it, and kept as it was when another took the script over. */
    case HandedOver = 'handed over';

    /** Those that make up a script's mark. */
    public const COUNTING = ['first', 'second'];

    public function counts(): bool
    {
        return in_array($this->value, self::COUNTING, true);
    }

    /** As the desk names it. */
    public function inWords(): string
    {
        return $this === self::Together ? 'together, counts for nothing' : "{$this->value} mark";
    }
}
