<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Text;

/**
 * Slices of a text by code points, as quick at its end as at its beginning: PHP counts code points from the start each
 * time it is asked.
 */
final readonly class TextSlices
{
    /** Code points of a piece. */
    private const PIECE = 256;

    /** @var list<string> */
    private array $pieces;

    public function __construct(string $text)
    {
        $this->pieces = mb_str_split($text, self::PIECE);
    }

    /**
     * @param  int  $start  code points from 0, not beyond $end
     * @param  int  $end  exclusive
     * @return string what there is of it
     */
    public function between(int $start, int $end): string
    {
        $first = intdiv($start, self::PIECE);
        $pieces = array_slice($this->pieces, $first, intdiv($end, self::PIECE) - $first + 1);

        return mb_substr(implode('', $pieces), $start - $first * self::PIECE, $end - $start);
    }
}
