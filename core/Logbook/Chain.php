<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Logbook;

/**
 * Chains lines of the logbook: each carries a keyed hash over itself and the hash before it, so that a line altered,
 * removed, added or moved by someone without the key shows.
 *
 * HMAC-SHA-256 (RFC 2104) over the JSON of the line with its keys sorted.
 */
final readonly class Chain
{
    /** What stands before the first line. */
    public const BEGINNING = '0000000000000000000000000000000000000000000000000000000000000000';

    public function __construct(#[\SensitiveParameter] private string $key)
    {
    }

    /**
     * @param  array<string, mixed>  $line
     */
    public function hash(string $previous, int $number, array $line): string
    {
        return hash_hmac('sha256', $previous."\n".$number."\n".self::canonical($line), $this->key);
    }

    /** Seals how many lines there are and the last hash, to be kept apart from the lines. */
    public function seal(int $count, string $hash): string
    {
        return hash_hmac('sha256', "head\n{$count}\n{$hash}", $this->key);
    }

    /**
     * Walks the lines in order.
     *
     * @param  iterable<array{number: int, hash: string, line: array<string, mixed>}>  $lines
     * @param  Head|null  $head  as kept apart; null when it is missing
     */
    public function verify(iterable $lines, ?Head $head): Verification
    {
        $faults = [];
        $previous = self::BEGINNING;
        $count = 0;
        $atHead = $head !== null && $head->count === 0 ? self::BEGINNING : null;
        foreach ($lines as ['number' => $number, 'hash' => $hash, 'line' => $line]) {
            $count++;
            if ($number !== $count) {
                $faults[] = "line {$count} is missing (line {$number} stands in its place)";
                $count = $number;
            } elseif (! hash_equals($this->hash($previous, $number, $line), $hash)) {
                $faults[] = "line {$number} is not as it was written, or not where it was written";
            }
            $previous = $hash;
            if ($head !== null && $number === $head->count) {
                $atHead = $hash;
            }
        }
        if ($head === null) {
            $faults[] = 'the head kept outside the database is missing';
        } elseif (! hash_equals($this->seal($head->count, $head->hash), $head->seal)) {
            $faults[] = 'the head kept outside the database has been altered';
        } elseif ($head->count > $count) {
            $faults[] = "the last lines are missing: the logbook has {$count}, its head says {$head->count}";
        } elseif ($atHead !== $head->hash) {
            $faults[] = "line {$head->count} is not the one its head was sealed with";
        }

        return new Verification($count, $faults);
    }

    /**
     * @param  array<array-key, mixed>  $value
     */
    private static function canonical(array $value): string
    {
        return json_encode(self::sorted($value), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private static function sorted(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        if (! array_is_list($value)) {
            ksort($value, SORT_STRING);
        }

        return array_map(self::sorted(...), $value);
    }
}
