<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Observing;

use DateTimeImmutable;
use DateTimeZone;

/**
 * Slots as a calendar file: iCalendar, RFC 5545. Times are written in UTC (section 3.3.5, form 2), so that they are
 * right
 * whatever a calendar knows of time zones and across a change of the clock; texts are escaped (3.3.11), lines end
 * with CRLF
 * and are folded after 75 octets between characters (3.1). An appointment keeps its UID; a higher SEQUENCE takes the
 * place
 * of a lower one (3.8.7.4).
 */
final class Calendar
{
    private const LONGEST = 75;

    /**
     * @param  list<array{uid: string, from: DateTimeImmutable, to: DateTimeImmutable, title: string, place: string, words: string, sequence: int, cancelled: bool}>  $appointments
     * @param  DateTimeImmutable  $made  when the file is made
     */
    public static function text(array $appointments, DateTimeImmutable $made, string $name): string
    {
        $lines = [
            'BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Young Harbor//Slots//EN', 'CALSCALE:GREGORIAN', 'METHOD:PUBLISH',
            'X-WR-CALNAME:'.self::escaped($name),
        ];
        foreach ($appointments as $one) {
            array_push(
                $lines, 'BEGIN:VEVENT', 'UID:'.self::escaped($one['uid']), 'DTSTAMP:'.self::utc($made),
                'DTSTART:'.self::utc($one['from']), 'DTEND:'.self::utc($one['to']), 'SUMMARY:'.self::escaped($one['title']),
                'LOCATION:'.self::escaped($one['place']), 'DESCRIPTION:'.self::escaped($one['words']),
                'SEQUENCE:'.$one['sequence'], 'STATUS:'.($one['cancelled'] ? 'CANCELLED' : 'CONFIRMED'), 'END:VEVENT',
            );
        }
        $lines[] = 'END:VCALENDAR';

        return implode('', array_map(fn (string $line) => self::folded($line)."\r\n", $lines));
    }

    private static function utc(DateTimeImmutable $at): string
    {
        return $at->setTimezone(new DateTimeZone('UTC'))->format('Ymd\THis\Z');
    }

    private static function escaped(string $text): string
    {
        $text = (string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', '', str_replace(["\r\n", "\r"], "\n", mb_scrub($text)));

        return strtr($text, ['\\' => '\\\\', ';' => '\\;', ',' => '\\,', "\n" => '\\n', "\t" => ' ']);
    }

    /** Between characters, never inside one. */
    private static function folded(string $line): string
    {
        $folded = '';
        $length = 0;
        foreach (mb_str_split($line) as $character) {
            if ($length + strlen($character) > self::LONGEST) {
                $folded .= "\r\n ";
                $length = 1;
            }
            $folded .= $character;
            $length += strlen($character);
        }

        return $folded;
    }
}
