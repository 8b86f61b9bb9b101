<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Finds every run of identical words that a script has in common with a source.
 *
 * Words of the script that stand in any common run of at least `minWords` are covered; each is matched once, in the
 * longest run it belongs to. Pieces with at most `gap` differing words on each side between them make one run.
 */
final readonly class Alignment
{
    /**
     * @param  positive-int  $minWords
     * @param  int<0, max>  $gap
     */
    public function __construct(
        public int $minWords = 8,
        public int $gap = 2,
    ) {
    }

    /**
     * @param  list<int|string>  $script  normalised words, or their numbers
     * @param  list<int|string>  $source  likewise
     * @return list<Run>
     */
    public function runs(array $script, array $source, string $sourceName): array
    {
        return $this->joined($this->pieces(Grams::numbers($script), Grams::numbers($source)), $sourceName);
    }

    /**
     * @param  list<int>  $script
     * @param  list<int>  $source
     * @return list<Piece> in order, none overlapping another
     */
    private function pieces(array $script, array $source): array
    {
        [$kept, $places] = $this->shared($script, $source);
        if ($kept === []) {
            return [];
        }
        $longest = (new SuffixAutomaton($kept))->longestEndingAt($script);
        $pieces = [];
        foreach ($longest as $i => [$length, $end]) {
            // Only where a run cannot be made longer by the next word does it end.
            if ($length < $this->minWords || ($longest[$i + 1][0] ?? 0) === $length + 1) {
                continue;
            }
            $pieces[] = new Piece($i + 1 - $length, $places[$end - $length], $length);
        }

        return $this->apart($pieces);
    }

    /**
     * The stretches of a source that could be part of a run, one after the other with something between that stands
     * nowhere, and where each of their words stood. Most of a source shares nothing and need not be looked at again.
     *
     * @param  list<int>  $script
     * @param  list<int>  $source
     * @return array{list<int>, array<int, int>}
     */
    private function shared(array $script, array $source): array
    {
        $grams = array_fill_keys(Grams::of($script, $this->minWords), true);
        $kept = $places = [];
        $until = 0;
        $nothing = -1;
        foreach (Grams::of($source, $this->minWords) as $i => $gram) {
            if (! isset($grams[$gram])) {
                continue;
            }
            if ($i > $until && $kept !== []) {
                $kept[] = $nothing--;
            }
            for ($n = max($i, $until); $n < $i + $this->minWords; $n++) {
                $places[count($kept)] = $n;
                $kept[] = $source[$n];
            }
            $until = $i + $this->minWords;
        }

        return [$kept, $places];
    }

    /**
     * Overlapping pieces share words: the longer keeps them, the other keeps what remains.
     *
     * @param  list<Piece>  $pieces  by where they end
     * @return list<Piece>
     */
    private function apart(array $pieces): array
    {
        $kept = [];
        foreach ($pieces as $piece) {
            while (($before = end($kept)) !== false && $before->to() > $piece->from) {
                if ($before->length >= $piece->length) {
                    $piece = $piece->after($before->to());
                    break;
                }
                array_pop($kept);
                if ($before->from < $piece->from) {
                    $kept[] = new Piece($before->from, $before->sourceFrom, $piece->from - $before->from);
                    break;
                }
            }
            $kept[] = $piece;
        }

        return $kept;
    }

    /**
     * @param  list<Piece>  $pieces
     * @return list<Run>
     */
    private function joined(array $pieces, string $source): array
    {
        $groups = [];
        $before = null;
        foreach ($pieces as $piece) {
            if ($before !== null && $this->near($before, $piece)) {
                $groups[count($groups) - 1][] = $piece;
            } else {
                $groups[] = [$piece];
            }
            $before = $piece;
        }

        return array_map(fn (array $group) => new Run($source, $group), $groups);
    }

    private function near(Piece $before, Piece $piece): bool
    {
        $here = $piece->from - $before->to();
        $there = $piece->sourceFrom - $before->sourceTo();

        return $here <= $this->gap && $there >= 0 && $there <= $this->gap;
    }
}
