<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Passages whose words are mostly those of a source, in the same order, but changed here and there.
 *
 * Short runs of common words (three) are chained where they follow each other closely in both texts; between them the
 * longest common subsequence is taken. A chain counts when it is long enough and enough of both sides is in common.
 * Chaining of anchors as in genome alignment: Abouelhoda, Ohlebusch, "Chaining algorithms for multiple genome
 * comparison", Journal of Discrete Algorithms 3, 2005. The limits are our own, set on open texts; see
 * docs/overlap-checks.md.
 */
final readonly class CloseWording
{
    private const SEED = 3;

    /** A seed that stands this often in the source says little, and is not used to begin from. */
    private const TOO_COMMON = 12;

    /** Words that may lie between two seeds of a chain, on each side. */
    private const REACH = 14;

    /** How many more words may lie between them on one side than on the other. */
    private const DRIFT = 6;

    /** How many seeds back a chain is looked for. */
    private const LOOK_BACK = 40;

    /** In percent: so much of the longer side is in common. */
    private const LEAST_SHARE = 52;

    private const LEAST_WORDS = 22;

    private const LEAST_IN_COMMON = 15;

    private const LEAST_SEEDS = 4;

    /** Of the words in common so many are long ones, so that stock phrases alone make no passage. */
    private const LEAST_LONG = 7;

    private const LONG = 5;

    /**
     * @param  list<string>  $script  normalised words
     * @param  list<int|string>  $source  likewise, or their numbers
     * @return list<Run> in order, none overlapping another; their pieces are the words in common
     */
    public function passages(array $script, array $source, string $sourceName): array
    {
        $here = Grams::numbers($script);
        $there = Grams::numbers($source);
        $found = [];
        foreach ($this->chains($this->seeds($here, $there)) as $chain) {
            $run = new Run($sourceName, $this->pieces($chain, $here, $there));
            if ($this->isClose($run, $script)) {
                $found[] = $run;
            }
        }

        return $this->apart($found);
    }

    /**
     * @param  list<int>  $here
     * @param  list<int>  $there
     * @return list<array{int, int}> places of three words in common, by place in the script
     */
    private function seeds(array $here, array $there): array
    {
        $places = [];
        foreach (Grams::of($there, self::SEED) as $j => $gram) {
            $places[$gram][] = $j;
        }
        $seeds = [];
        foreach (Grams::of($here, self::SEED) as $i => $gram) {
            $at = $places[$gram] ?? [];
            if (count($at) > self::TOO_COMMON) {
                continue;
            }
            foreach ($at as $j) {
                if ($here[$i] === $there[$j] && $here[$i + 1] === $there[$j + 1] && $here[$i + 2] === $there[$j + 2]) {
                    $seeds[] = [$i, $j];
                }
            }
        }

        return $seeds;
    }

    /**
     * @param  list<array{int, int}>  $seeds
     * @return list<non-empty-list<array{int, int}>> most seeds first, none using a seed of another
     */
    private function chains(array $seeds): array
    {
        $length = $before = [];
        foreach ($seeds as $n => [$i, $j]) {
            $length[$n] = 1;
            $before[$n] = null;
            for ($m = $n - 1, $least = max(0, $n - self::LOOK_BACK); $m >= $least; $m--) {
                [$a, $b] = $seeds[$m];
                if ($i - $a > self::REACH + self::SEED) {
                    break;
                }
                if (
                    $a < $i && $b < $j && $j - $b <= self::REACH + self::SEED
                    && abs(($i - $a) - ($j - $b)) <= self::DRIFT && $length[$n] < $length[$m] + 1
                ) {
                    $length[$n] = $length[$m] + 1;
                    $before[$n] = $m;
                }
            }
        }
        arsort($length);
        $used = [];
        $chains = [];
        foreach ($length as $n => $seedsInIt) {
            if ($seedsInIt < self::LEAST_SEEDS) {
                break;
            }
            $chain = [];
            for ($at = $n; $at !== null && ! isset($used[$at]); $at = $before[$at]) {
                $used[$at] = true;
                $chain[] = $seeds[$at];
            }
            if (count($chain) >= self::LEAST_SEEDS) {
                $chains[] = array_reverse($chain);
            }
        }

        return $chains;
    }

    /**
     * The words in common from the first seed of a chain to its last.
     *
     * @param  non-empty-list<array{int, int}>  $chain
     * @param  list<int>  $here
     * @param  list<int>  $there
     * @return non-empty-list<Piece>
     */
    private function pieces(array $chain, array $here, array $there): array
    {
        $pairs = [];
        [$i, $j] = $chain[0];
        foreach ($chain as [$a, $b]) {
            array_push($pairs, ...$this->between($here, $there, $i, $a, $j, $b));
            // Seeds that overlap share words; the part already taken is left.
            for ($n = max(0, $i - $a, $j - $b); $n < self::SEED; $n++) {
                $pairs[] = [$a + $n, $b + $n];
            }
            $i = max($i, $a + self::SEED);
            $j = max($j, $b + self::SEED);
        }
        $pieces = [];
        $last = new Piece($chain[0][0], $chain[0][1], 0);
        foreach ($pairs as [$a, $b]) {
            if ($last->to() === $a && $last->sourceTo() === $b) {
                $last = new Piece($last->from, $last->sourceFrom, $last->length + 1);
            } else {
                $pieces[] = $last;
                $last = new Piece($a, $b, 1);
            }
        }
        $pieces[] = $last;

        return $pieces;
    }

    /**
     * The longest common subsequence of a few words.
     *
     * @param  list<int>  $here
     * @param  list<int>  $there
     * @return list<array{int, int}>
     */
    private function between(array $here, array $there, int $from, int $to, int $sourceFrom, int $sourceTo): array
    {
        if ($from >= $to || $sourceFrom >= $sourceTo) {
            return [];
        }
        /** @var array<int, array<int, int>> $longest */
        $longest = [];
        for ($i = $to; $i >= $from; $i--) {
            for ($j = $sourceTo; $j >= $sourceFrom; $j--) {
                $longest[$i][$j] = $i === $to || $j === $sourceTo ? 0
                    : (
                        $here[$i] === $there[$j]
                            ? $longest[$i + 1][$j + 1] + 1
                            : max($longest[$i + 1][$j], $longest[$i][$j + 1])
                    );
            }
        }
        $pairs = [];
        for ($i = $from, $j = $sourceFrom; $i < $to && $j < $sourceTo;) {
            if ($here[$i] === $there[$j]) {
                $pairs[] = [$i++, $j++];
            } elseif ($longest[$i + 1][$j] >= $longest[$i][$j + 1]) {
                $i++;
            } else {
                $j++;
            }
        }

        return $pairs;
    }

    /**
     * @param  list<string>  $script
     */
    private function isClose(Run $run, array $script): bool
    {
        $words = $run->words();
        $longer = max($run->to() - $run->from(), $run->sourceTo() - $run->sourceFrom());
        $long = [];
        foreach ($run->pieces as $piece) {
            for ($i = $piece->from; $i < $piece->to(); $i++) {
                if (mb_strlen($script[$i]) >= self::LONG) {
                    $long[$script[$i]] = true;
                }
            }
        }

        return $longer >= self::LEAST_WORDS && $words >= self::LEAST_IN_COMMON
            && $words * 100 >= self::LEAST_SHARE * $longer && count($long) >= self::LEAST_LONG;
    }

    /**
     * @param  list<Run>  $found
     * @return list<Run>
     */
    private function apart(array $found): array
    {
        usort($found, fn (Run $a, Run $b) => [$b->words(), $a->from()] <=> [$a->words(), $b->from()]);
        $kept = [];
        foreach ($found as $run) {
            foreach ($kept as $other) {
                if ($run->from() < $other->to() && $other->from() < $run->to()) {
                    continue 2;
                }
            }
            $kept[] = $run;
        }
        usort($kept, fn (Run $a, Run $b) => $a->from() <=> $b->from());

        return $kept;
    }
}
