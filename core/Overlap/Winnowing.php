<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Fingerprints by winnowing: of every window of consecutive k-gram hashes the smallest is kept, the rightmost one
 * among equals, once.
 *
 * Two texts with a common run of at least window + k − 1 units share a fingerprint. Source: Schleimer, Wilkerson,
 * Aiken, "Winnowing: Local Algorithms for Document Fingerprinting", SIGMOD 2003. Grams of six words in windows of three
 * find every run of eight words and are seldom shared by chance.
 */
final readonly class Winnowing
{
    /**
     * @param  positive-int  $k  words in a gram
     * @param  positive-int  $window  hashes in a window
     */
    public function __construct(
        public int $k = 6,
        public int $window = 3,
    ) {
    }

    /**
     * The fingerprints of a text. A text too short for a whole window still gives the smallest hash it has.
     *
     * @param  list<int|string>  $words  normalised
     * @param  array<int, true>  $skipped  grams that are not kept, such as those of the brief; two texts that both skip
     *                                     them share a print wherever they share a run with one that is kept
     * @return list<Fingerprint>
     */
    public function fingerprints(array $words, array $skipped = []): array
    {
        return $this->select(Grams::of(Grams::numbers($words), $this->k), $skipped);
    }

    /**
     * @param  list<int>  $hashes
     * @param  array<int, true>  $skipped
     * @return list<Fingerprint>
     */
    public function select(array $hashes, array $skipped = []): array
    {
        $selected = [];
        $kept = -1;
        $count = count($hashes);
        $windows = $hashes === [] ? 0 : max(1, $count - $this->window + 1);
        for ($start = 0; $start < $windows; $start++) {
            $end = min($start + $this->window, $count);
            $least = null;
            for ($i = $start; $i < $end; $i++) {
                if (($least === null || $hashes[$i] <= $hashes[$least]) && ! isset($skipped[$hashes[$i]])) {
                    $least = $i;
                }
            }
            if ($least !== null && $least !== $kept) {
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
}
