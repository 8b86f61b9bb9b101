<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Screening;

use YoungHarbor\Core\Overlap\Attention;

/**
 * Where the screening of a script is, and whether it asks for a look: what lists and counts are made of.
 */
enum Verdict: string
{
    case NotBegun = 'not-begun';
    case UnderWay = 'under-way';
    case Failed = 'failed';

    /** There are no words to compare, as with links. */
    case NothingToCompare = 'nothing-to-compare';

    case BelowLines = 'below-lines';

    /** Past a line, and nothing is in the conversation record. */
    case ToLookAt = 'to-look-at';

    /** Past a line, and something has been recorded. */
    case LookedAt = 'looked-at';

    /** Of a report that is ready. */
    public static function ofReport(string $share, Settings $settings, bool $recorded): self
    {
        return match (true) {
            $settings->attention($share) === Attention::None => self::BelowLines,
            $recorded => self::LookedAt,
            default => self::ToLookAt,
        };
    }

    /**
     * Those of a report that is ready.
     *
     * @return list<self>
     */
    public static function compared(): array
    {
        return [self::BelowLines, self::ToLookAt, self::LookedAt];
    }

    /**
     * Those past a line.
     *
     * @return list<self>
     */
    public static function pastALine(): array
    {
        return [self::ToLookAt, self::LookedAt];
    }
}
