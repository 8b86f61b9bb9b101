<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * What a script has in common with one source, as it is kept: before any word is credited or left out, so that figures
 * can be worked out anew at any time.
 */
final readonly class MatchedSource
{
    /**
     * @param  list<Run>  $runs  identical words
     * @param  list<Run>  $close  close wording
     */
    public function __construct(
        public string $source,
        public array $runs,
        public array $close,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $runs  as kept
     * @param  array<array-key, mixed>  $close
     */
    public static function kept(string $source, array $runs, array $close): self
    {
        return new self($source, self::read($source, $runs), self::read($source, $close));
    }

    public function isEmpty(): bool
    {
        return $this->runs === [] && $this->close === [];
    }

    /** Identical words in all runs, without those left out. */
    public function words(LeftOut $given): int
    {
        return array_sum(array_map(fn (Run $run) => $run->words(), $given->from($this->runs)));
    }

    /** Words in common in close wording, likewise. */
    public function closeWords(LeftOut $given): int
    {
        return array_sum(array_map(fn (Run $run) => $run->words(), $given->from($this->close)));
    }

    /**
     * @param  list<Run>  $runs
     * @return list<list<array{int, int, int}>> for each run its pieces: from, in the source from, length
     */
    public static function keep(array $runs): array
    {
        return array_map(
            fn (Run $run) => array_map(
                fn (Piece $piece) => [$piece->from, $piece->sourceFrom, $piece->length], $run->pieces,
            ),
            $runs,
        );
    }

    /**
     * @param  array<array-key, mixed>  $kept
     * @return list<Run>
     */
    private static function read(string $source, array $kept): array
    {
        $runs = [];
        foreach ($kept as $pieces) {
            $read = [];
            foreach (is_array($pieces) ? $pieces : [] as $piece) {
                if (
                    is_array($piece) && is_int($piece[0] ?? null) && is_int($piece[1] ?? null)
                    && is_int($piece[2] ?? null)
                ) {
                    $read[] = new Piece($piece[0], $piece[1], $piece[2]);
                }
            }
            if ($read !== []) {
                $runs[] = new Run($source, $read);
            }
        }

        return $runs;
    }
}
