<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Collect;

use DateTimeImmutable;

/**
 * Which attempt counts, and from when.
 */
final class Attempts
{
    /** So many minutes after the due time a form may still come that hands in what had begun to arrive before it. */
    private const MINUTES = 15;

    /**
     * Whether a new attempt counts by itself: in time, or the first. Later the one that counts stays until the student
     * picks another.
     */
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
     * When work counts as received: when its form arrived, or, for files that are sent ahead of a form which comes a
     * little after the due time, when the first piece of the last file arrived. Size and SHA-256 were declared with
     * that piece, so what is handed in is what the student had then; how long a slow connection takes is not held
     * against them.
     *
     * @param  DateTimeImmutable  $form  when the form arrived
     * @param  DateTimeImmutable|null  $ahead  when the first piece of the last of the files sent ahead had arrived; null when anything came with the form
     */
    public static function received(
        DateTimeImmutable $form, ?DateTimeImmutable $ahead, DateTimeImmutable $due,
    ): DateTimeImmutable {
        return $ahead !== null && $ahead < $form && self::isLate($form, $due)
            && $form <= $due->modify('+'.self::MINUTES.' minutes')
            ? $ahead
            : $form;
    }
}
