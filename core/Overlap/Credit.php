<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Overlap;

/**
 * Credits every matched word to exactly one source: the longest run first, then by source name, then by place.
 *
 * What is left of a run after longer ones have taken their words still counts, so that the sources' counts add up to
 * the whole.
 */
final class Credit
{
    /**
     * @param  list<Run>  $runs
     * @return list<Run> in the order of the script, no word in two of them
     */
    public static function share(array $runs): array
    {
        usort(
            $runs,
            fn (Run $a, Run $b) => [$b->words(), $a->source, $a->from()] <=> [$a->words(), $b->source, $b->from()],
        );
        $taken = [];
        $shared = [];
        foreach ($runs as $run) {
            $pieces = [];
            foreach ($run->pieces as $piece) {
                array_push($pieces, ...self::free($piece, $taken));
            }
            foreach ($pieces as $piece) {
                for ($i = $piece->from; $i < $piece->to(); $i++) {
                    $taken[$i] = true;
                }
            }
            if ($pieces !== []) {
                $shared[] = new Run($run->source, $pieces);
            }
        }
        usort($shared, fn (Run $a, Run $b) => $a->from() <=> $b->from());

        return $shared;
    }

    /**
     * @param  array<int, true>  $taken
     * @return list<Piece>
     */
    private static function free(Piece $piece, array $taken): array
    {
        $free = [];
        $start = null;
        for ($i = $piece->from; $i <= $piece->to(); $i++) {
            $isFree = $i < $piece->to() && ! isset($taken[$i]);
            if ($isFree) {
                $start ??= $i;
            } elseif ($start !== null) {
                $free[] = new Piece($start, $piece->sourceFrom + $start - $piece->from, $i - $start);
                $start = null;
            }
        }

        return $free;
    }
}
