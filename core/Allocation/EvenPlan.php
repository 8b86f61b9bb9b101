<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * Spreads scripts evenly over markers, with a different second marker for each.
 *
 * Loads of first marks differ by at most one, those of second marks likewise whenever a change of one second marker
 * can make it so, and pairs of markers are mixed. The same input and seed give the same plan.
 */
final readonly class EvenPlan
{
    /**
     * @param  list<Pairing>  $pairings  in the order the scripts were given
     */
    private function __construct(
        public array $pairings,
        public int $seed,
    ) {
    }

    /**
     * @param  list<string>  $scripts
     * @param  list<string>  $markers
     * @param  array<string, int>  $firstsAlready  scripts a marker already has as first marker
     * @param  array<string, int>  $secondsAlready
     *
     * @throws InvalidInput without markers, or with one marker when second marks are wanted
     */
    public static function make(array $scripts, array $markers, bool $withSecond, int $seed, array $firstsAlready = [], array $secondsAlready = []): self
    {
        $markers = array_values(array_unique($markers));
        if ($markers === []) {
            throw InvalidInput::at('markers', 'choose at least one marker');
        }
        if ($withSecond && count($markers) < 2) {
            throw InvalidInput::at('markers', 'second marking needs at least two markers, since nobody marks a script twice');
        }
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $order = $random->shuffleArray($scripts);
        $markers = $random->shuffleArray($markers);

        $firsts = self::startingLoads($markers, $firstsAlready);
        $first = [];
        foreach ($order as $script) {
            $marker = self::least($markers, $firsts);
            $first[$script] = $marker;
            $firsts[$marker]++;
        }
        $second = $withSecond ? self::seconds($first, $markers, self::startingLoads($markers, $secondsAlready)) : [];

        return new self(array_map(fn (string $script) => new Pairing($script, $first[$script], $second[$script] ?? null), $scripts), $seed);
    }

    /**
     * @return array<string, array{first: int, second: int}> new scripts by marker
     */
    public function loads(): array
    {
        $loads = [];
        foreach ($this->pairings as $pairing) {
            $loads[$pairing->first] ??= ['first' => 0, 'second' => 0];
            $loads[$pairing->first]['first']++;
            if ($pairing->second !== null) {
                $loads[$pairing->second] ??= ['first' => 0, 'second' => 0];
                $loads[$pairing->second]['second']++;
            }
        }

        return $loads;
    }

    /**
     * @param  array<string, string>  $first
     * @param  list<string>  $markers
     * @param  array<string, int>  $loads
     * @return array<string, string>
     */
    private static function seconds(array $first, array $markers, array $loads): array
    {
        $second = [];
        $together = [];
        foreach ($first as $script => $marker) {
            $others = array_values(array_filter($markers, fn (string $other) => $other !== $marker));
            $lowest = $loads[self::least($others, $loads)];
            $others = array_values(array_filter($others, fn (string $other) => $loads[$other] === $lowest));
            $chosen = self::least($others, $together[$marker] ?? []);
            $second[$script] = $chosen;
            $loads[$chosen]++;
            $together[$marker][$chosen] = ($together[$marker][$chosen] ?? 0) + 1;
        }

        return self::levelled($first, $second, $markers, $loads);
    }

    /**
     * Moves one second mark at a time from the fullest marker to the emptiest while that evens the loads out.
     *
     * @param  array<string, string>  $first
     * @param  array<string, string>  $second
     * @param  list<string>  $markers
     * @param  array<string, int>  $loads
     * @return array<string, string>
     */
    private static function levelled(array $first, array $second, array $markers, array $loads): array
    {
        do {
            $moved = false;
            foreach ($second as $script => $from) {
                $open = array_values(array_filter($markers, fn (string $marker) => $marker !== $first[$script]));
                $to = self::least($open, $loads);
                if ($loads[$from] - $loads[$to] >= 2) {
                    $second[$script] = $to;
                    $loads[$from]--;
                    $loads[$to]++;
                    $moved = true;
                }
            }
        } while ($moved);

        return $second;
    }

    /**
     * @param  list<string>  $markers
     * @param  array<string, int>  $already
     * @return array<string, int>
     */
    private static function startingLoads(array $markers, array $already): array
    {
        $loads = [];
        foreach ($markers as $marker) {
            $loads[$marker] = $already[$marker] ?? 0;
        }

        return $loads;
    }

    /**
     * @param  list<string>  $markers
     * @param  array<string, int>  $loads
     */
    private static function least(array $markers, array $loads): string
    {
        $least = $markers[0];
        foreach ($markers as $marker) {
            if (($loads[$marker] ?? 0) < ($loads[$least] ?? 0)) {
                $least = $marker;
            }
        }

        return $least;
    }
}
