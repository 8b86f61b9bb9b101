<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Collect;

use DateTimeImmutable;

/**
 * Which attempt counts, and from when.
 */
final class Attempts
{
    /** Work that had arrived so many minutes before its form counts from then: reading and a second try take a moment. */
    private const MINUTES = 15;

    /** Whether a new attempt counts by itself: in time, or the first. Later the one that counts stays until the student picks another. */
    public static function newOneCounts(bool $first, DateTimeImmutable $received, DateTimeImmutable $due): bool
    {
        return $first || ! self::isLate($received, $due);
    }

    /** On the second of the due time is in time. */
    public static function isLate(DateTimeImmutable $received, DateTimeImmutable $due): bool
    {
        return $received > $due;
    }

    /**
     * When work counts as received.
     *
     * @param  DateTimeImmutable|null  $arrived  when the last of files sent ahead had arrived; null when all came with the form
     */
    public static function received(?DateTimeImmutable $arrived, DateTimeImmutable $now): DateTimeImmutable
    {
        return $arrived !== null && $arrived > $now->modify('-'.self::MINUTES.' minutes') ? $arrived : $now;
    }
}
