<?php

declare(strict_types=1);

namespace App\Queries;

use Collator;

/**
 * The order of names everywhere: as people look for them, whatever accents they have, and "Group 2" before "Group 10"
 * (Unicode Collation Algorithm, with numbers as numbers). The database's own order of names is the same but for numbers.
 */
final class NameOrder
{
    private static ?Collator $collator = null;

    /** A key by which names fall into order when it is compared. */
    public static function key(?string $name): string
    {
        if (self::$collator === null) {
            self::$collator = new Collator('en');
            self::$collator->setAttribute(Collator::NUMERIC_COLLATION, Collator::ON);
        }

        return (string) self::$collator->getSortKey((string) $name);
    }
}
