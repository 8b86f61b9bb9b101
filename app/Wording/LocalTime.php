<?php

declare(strict_types=1);

namespace App\Wording;

use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;
use InvalidArgumentException;

/**
 * Times as people here read and write them: in the institution's zone, absolute, with the weekday.
 */
final class LocalTime
{
    public static function shown(?CarbonInterface $at): string
    {
        return $at === null ? 'not set' : $at->copy()->setTimezone(self::zone())->format('D j M Y H:i');
    }

    public static function day(?CarbonInterface $at): string
    {
        return $at === null ? 'not set' : $at->format('D j M Y');
    }

    /** The day of a time, in the institution's zone. */
    public static function dayOf(?CarbonInterface $at): string
    {
        return self::day($at?->copy()->setTimezone(self::zone()));
    }

    public static function time(?CarbonInterface $at): string
    {
        return $at === null ? '' : $at->copy()->setTimezone(self::zone())->format('H:i');
    }

    /** For tables that other programs read: 2026-11-23 09:05:00, in the institution's zone. */
    public static function plain(CarbonInterface $at): string
    {
        return $at->copy()->setTimezone(self::zone())->format('Y-m-d H:i:s');
    }

    /** For a form field of the kind datetime-local. */
    public static function field(?CarbonInterface $at): string
    {
        return $at === null ? '' : $at->copy()->setTimezone(self::zone())->format('Y-m-d\TH:i');
    }

    /**
     * What was written in such a field, in UTC; of a time that the clocks show twice, going back, the second.
     *
     * @throws InvalidArgumentException for a time that does not exist, as in the hour the clocks skip
     */
    public static function parse(?string $written): ?Carbon
    {
        if ($written === null || $written === '') {
            return null;
        }
        $local = Carbon::createFromFormat('Y-m-d\TH:i', $written, self::zone());
        if ($local === null || $local->format('Y-m-d\TH:i') !== $written) {
            throw new InvalidArgumentException('that time does not exist; the clocks skip it');
        }

        $at = $local->startOfMinute()->utc();

        return self::comesTwice($at) && ! self::isSecond($at) ? $at->addHour() : $at;
    }

    /** Whether the clocks show this time twice on that day, going back. */
    public static function comesTwice(CarbonInterface $at): bool
    {
        return self::isSecond($at) || self::isSecond($at->copy()->addHour());
    }

    private static function isSecond(CarbonInterface $at): bool
    {
        return self::field($at) === self::field($at->copy()->subHour());
    }

    /** With seconds, for what happened to the second. */
    public static function exact(CarbonInterface $at): string
    {
        return $at->copy()->setTimezone(self::zone())->format('D j M Y H:i:s');
    }

    public static function zone(): string
    {
        return (string) config('harbor.timezone');
    }
}
