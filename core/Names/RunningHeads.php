<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Names;

/**
 * Lines that repeat at the edges of pages, whatever number stands in them: running heads and feet. They are found by
 * repetition alone; whether one names somebody is another question.
 */
final class RunningHeads
{
    /** Lines at the top and at the bottom of a page that can be heads. */
    private const DEEP = 2;

    private const LONGEST = 120;

    /** Without pages a short line has to come back so often. */
    private const OFTEN = 3;

    /**
     * @param  list<list<string>>  $pages  the lines of each page that are not empty
     * @return list<list<int>> by page, which of its lines are heads
     */
    public static function ofPages(array $pages): array
    {
        $times = [];
        foreach ($pages as $lines) {
            $keys = array_map(fn (int $n) => self::key($lines[$n]), self::edges($lines));
            foreach (array_unique($keys) as $key) {
                $times[$key] = ($times[$key] ?? 0) + 1;
            }
        }

        return array_map(
            fn (array $lines) => array_values(
                array_filter(
                    self::edges($lines),
                    fn (int $n) => self::key($lines[$n]) !== '' && $times[self::key($lines[$n])] > 1,
                )
            ),
            $pages,
        );
    }

    /**
     * Heads that were pasted into a text without pages, with the numbers of their pages.
     *
     * @param  list<string>  $lines
     * @return list<int>
     */
    public static function amongLines(array $lines): array
    {
        $keys = array_map(fn (string $line) => preg_match('/\d/', $line) === 1 ? self::key($line) : '', $lines);
        $times = array_count_values($keys);

        return array_keys(array_filter($keys, fn (string $key) => $key !== '' && $times[$key] >= self::OFTEN));
    }

    /**
     * @param  list<string>  $lines  of one page
     * @return list<int> those at its top and bottom
     */
    public static function edges(array $lines): array
    {
        $last = count($lines) - 1;

        return array_values(
            array_filter(array_keys($lines), fn (int $n) => $n < self::DEEP || $n > $last - self::DEEP)
        );
    }

    /** What two heads of one text have in common: everything but numbers and white space. */
    private static function key(string $line): string
    {
        if (strlen($line) > self::LONGEST) {
            return '';
        }
        $key = preg_replace(
            ['/\d+|(?<![\p{L}])[ivxlc]+(?![\p{L}])/iu', '/[\s\p{Z}\p{Cf}]+/u'], ['#', ' '], mb_strtolower($line),
        ) ?? '';

        return preg_match('/\p{L}/u', $key) === 1 ? trim($key) : '';
    }
}
