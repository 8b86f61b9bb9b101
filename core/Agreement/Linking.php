<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Agreement;

use YoungHarbor\Core\Statistics\LinearSystem;

/**
 * Who marks with whom, and what differences between markers that can show.
 *
 * The model: on a script, first mark − second mark = the first marker's effect − the second's + noise of standard
 * deviation S. Effects of markers who are linked, directly or over others, are estimated by least squares with a sum of
 * zero; of markers who are not linked nothing can be said. The normal equations are the Laplacian of the pairs, as in a
 * network of resistors (R. B. Bapat, "Graphs and Matrices", 2010, chapters 4 and 9).
 */
final readonly class Linking
{
    /**
     * @param  list<list<string>>  $sets  markers who are linked with each other, each marker in one
     * @param  array<string, array<string, int>>  $pairs  scripts in common; symmetric
     */
    private function __construct(public array $sets, private array $pairs)
    {
    }

    /**
     * @param  list<string>  $markers
     * @param  iterable<array{string, string}>  $pairs  the two markers of each script
     */
    public static function of(array $markers, iterable $pairs): self
    {
        $common = array_fill_keys($markers, []);
        foreach ($pairs as [$a, $b]) {
            if ($a !== $b) {
                $common[$a][$b] = ($common[$a][$b] ?? 0) + 1;
                $common[$b][$a] = ($common[$b][$a] ?? 0) + 1;
            }
        }
        $sets = [];
        $seen = [];
        foreach (array_keys($common) as $marker) {
            $set = [];
            for ($reach = [$marker]; $reach !== [];) {
                $next = (string) array_pop($reach);
                if (isset($seen[$next])) {
                    continue;
                }
                $seen[$next] = true;
                $set[] = $next;
                array_push($reach, ...array_map(strval(...), array_keys($common[$next])));
            }
            $set === [] || $sets[] = $set;
        }

        return new self($sets, $common);
    }

    /** Scripts that a marker has in common with others. */
    public function pairsOf(string $marker): int
    {
        return array_sum($this->pairs[$marker] ?? []);
    }

    /** Pairs less what is estimated from them: what is left over to say how large the noise is. */
    public function degrees(): int
    {
        $pairs = intdiv(array_sum(array_map(array_sum(...), $this->pairs)), 2);

        return $pairs - array_sum(array_map(fn (array $set) => count($set) - 1, $this->sets));
    }

    /**
     * The standard error of how far a marker lies from the mean of those linked with them, in units of S.
     *
     * @param  float  $times  as if they had so many times as many scripts in common with the same others
     * @return float|null null for one who is linked with nobody
     */
    public function error(string $marker, float $times = 1.0): ?float
    {
        foreach ($this->sets as $set) {
            if (in_array($marker, $set, true)) {
                $others = array_values(array_diff($set, [$marker]));

                return $others === [] ? null : $this->errorBeside($marker, $others, $times);
            }
        }

        return null;
    }

    /**
     * Each marker's effect beside the mean of their set, and the noise that is left.
     *
     * @param  iterable<array{string, string, float}>  $differences  first marker, second marker, first mark − second mark
     * @return array{effects: array<string, float>, sd: float|null} the noise null without a degree of freedom
     */
    public function fit(iterable $differences): array
    {
        $differences = is_array($differences) ? $differences : iterator_to_array($differences, false);
        $sums = array_fill_keys(array_keys($this->pairs), 0.0);
        foreach ($differences as [$first, $second, $difference]) {
            $sums[$first] += $difference;
            $sums[$second] -= $difference;
        }
        $effects = [];
        foreach ($this->sets as $set) {
            $others = array_slice($set, 1);
            $solved = LinearSystem::solve(
                $this->grounded($others, $set[0], 1.0), array_map(fn (string $marker) => $sums[$marker], $others),
            );
            $mean = array_sum($solved) / count($set);
            foreach ([0.0, ...$solved] as $i => $effect) {
                $effects[$set[$i]] = $effect - $mean;
            }
        }
        $squares = 0.0;
        foreach ($differences as [$first, $second, $difference]) {
            $squares += ($difference - $effects[$first] + $effects[$second]) ** 2;
        }

        return ['effects' => $effects, 'sd' => $this->degrees() < 1 ? null : sqrt($squares / $this->degrees())];
    }

    /**
     * @param  non-empty-list<string>  $others  linked with the marker
     */
    private function errorBeside(string $marker, array $others, float $times): float
    {
        // Measured from the marker, the mean of the others has the variance 1ᵀA⁻¹1 ÷ (their number)².
        $solved = LinearSystem::solve($this->grounded($others, $marker, $times), array_fill(0, count($others), 1.0));

        return sqrt(array_sum($solved)) / count($others);
    }

    /**
     * The Laplacian of some markers without the row and column of the one that they are measured from.
     *
     * @param  list<string>  $others
     * @return list<list<float>>
     */
    private function grounded(array $others, string $marker, float $times): array
    {
        $rows = [];
        foreach ($others as $a) {
            $own = 0.0;
            foreach ($this->pairs[$a] as $b => $scripts) {
                $own += $scripts * ((string) $b === $marker ? $times : 1.0);
            }
            $rows[] = array_map(
                fn (string $b) => $b === $a ? $own : -(float) ($this->pairs[$a][$b] ?? 0), $others,
            );
        }

        return $rows;
    }
}
