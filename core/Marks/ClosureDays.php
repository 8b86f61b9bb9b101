<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use DateTimeImmutable;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Days on which the institution is closed, as people write them: a line each, "2026-12-25 Name" or "2026-12-24 to
 * 2027-01-01 Name".
 */
final class ClosureDays
{
    private const MOST = 200;

    /** Days in one line, beyond the first. */
    private const LONGEST = 60;

    /**
     * @return array<string, string> names by date as Y-m-d
     *
     * @throws InvalidInput naming each line that cannot be read
     */
    public static function read(string $lines): array
    {
        $in = new Document;
        $days = [];
        foreach (preg_split('/\R/u', $lines) ?: [] as $n => $line) {
            if (trim($line) === '') {
                continue;
            }
            $read = preg_match(
                '/\A\s*(\d{4}-\d\d-\d\d)(?:\s*(?:to|–|-)\s*(\d{4}-\d\d-\d\d))?[\s,]*(.*?)\s*\z/u', $line, $match,
            );
            $from = $read === 1 ? self::day($match[1]) : null;
            $to = $read !== 1 || $match[2] === '' ? $from : self::day($match[2]);
            if ($from === null || $to === null || $to < $from || $from->diff($to)->days > self::LONGEST) {
                $in->fault(
                    'Line '.($n + 1),
                    'write a day as 2026-12-25, or days as 2026-12-24 to 2027-01-01 (two months at most), and then a name',
                );

                continue;
            }
            for ($day = $from; $day <= $to; $day = $day->modify('+1 day')) {
                $days[$day->format('Y-m-d')] = mb_substr($match[3], 0, 80);
            }
        }
        if (count($days) > self::MOST) {
            $in->fault('All', 'there are '.count($days).' days; at most '.self::MOST.' are kept');
        }
        $in->throwFaults();

        return $days;
    }

    private static function day(string $written): ?DateTimeImmutable
    {
        $day = DateTimeImmutable::createFromFormat('!Y-m-d', $written);

        return $day === false || $day->format('Y-m-d') !== $written ? null : $day;
    }
}
