<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Fingerprints by winnowing: of every window of consecutive k-gram hashes the smallest is kept, the rightmost one
 * among equals, once.
 *
 * Two texts with a common run of at least window + k − 1 units share a fingerprint. Source: Schleimer, Wilkerson,
 * Aiken, "Winnowing: Local Algorithms for Document Fingerprinting", SIGMOD 2003.
 */
final readonly class Winnowing
{
    /**
     * @param  positive-int  $k  words in a gram
     * @param  positive-int  $window  hashes in a window
     */
    public function __construct(
        public int $k = 5,
        public int $window = 4,
    ) {
    }

    /**
     * The fingerprints of a text. A text too short for a whole window still gives the smallest hash it has.
     *
     * @param  list<string>  $words  normalised
     * @return list<Fingerprint>
     */
    public function fingerprints(array $words): array
    {
        $hashes = [];
        for ($i = 0, $last = count($words) - $this->k; $i <= $last; $i++) {
            $hashes[] = self::hash(array_slice($words, $i, $this->k));
        }

        return $this->select($hashes);
    }

    /**
     * @param  list<int>  $hashes
     * @return list<Fingerprint>
     */
    public function select(array $hashes): array
    {
        $selected = [];
        $kept = -1;
        $windows = $hashes === [] ? 0 : max(1, count($hashes) - $this->window + 1);
        for ($start = 0; $start < $windows; $start++) {
            $end = min($start + $this->window, count($hashes));
            $least = $start;
            for ($i = $start + 1; $i < $end; $i++) {
                if ($hashes[$i] <= $hashes[$least]) {
                    $least = $i;
                }
            }
            if ($least !== $kept) {
                $kept = $least;
                $selected[] = new Fingerprint($hashes[$least], $least);
            }
        }

        return $selected;
    }

    /** The shortest common run that is certain to share a fingerprint, in words. */
    public function guarantee(): int
    {
        return $this->window + $this->k - 1;
    }

    /**
     * A 63-bit hash of a gram: xxh3 with its top bit dropped, so that it is a positive integer everywhere.
     *
     * @param  list<string>  $gram
     */
    private static function hash(array $gram): int
    {
        /** @var array{1: int} $parts */
        $parts = unpack('J', hash('xxh3', implode("\x1F", $gram), true));

        return $parts[1] & PHP_INT_MAX;
    }
}
