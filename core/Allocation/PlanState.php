<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

use Brick\Math\BigRational;
use Random\Randomizer;

/**
 * A plan while it is worked out, part after part.
 *
 * @internal
 */
final class PlanState
{
    /** @var array<string, array<string, int>> markers by script and part; markers that are not planned for are -1 */
    private array $has = [];

    /** @var array<string, array<int, int>> loads by part and marker */
    private array $loads;

    /** @var array<int, array<int, int>> */
    private array $common = [];

    /** @var list<GivenScript> */
    private array $given = [];

    /** @var list<UnplacedMark> */
    private array $unplaced = [];

    /** @var list<int> */
    private array $shares;

    /** @var array<string, list<int>> who may have a script, by script */
    private array $allowed = [];

    /**
     * @param  list<Work>  $works
     * @param  list<Marker>  $markers
     * @param  list<GivenScript>  $kept
     */
    public function __construct(
        private readonly array $works,
        private readonly array $markers,
        array $kept,
    ) {
        $numbers = array_flip($this->markerIds());
        $this->loads = array_fill_keys(GivenScript::PARTS, array_fill(0, count($markers), 0));
        $this->shares = self::whole($markers);
        foreach ($kept as $one) {
            $number = $numbers[$one->marker] ?? -1;
            $this->has[$one->script][$one->part] = $number;
            if ($number >= 0) {
                $this->loads[$one->part][$number]++;
            }
        }
        foreach ($this->has as $parts) {
            $this->link(array_values($parts));
        }
        foreach ($works as $work) {
            $this->allowed[$work->id] = array_keys(
                array_filter($markers, fn (Marker $marker) => $marker->mayHave($work))
            );
        }
    }

    /**
     * @return list<string>
     */
    public function markerIds(): array
    {
        return array_map(fn (Marker $marker) => $marker->id, $this->markers);
    }

    /**
     * @return list<Work>
     */
    public function works(): array
    {
        return $this->works;
    }

    /**
     * @return list<GivenScript>
     */
    public function given(): array
    {
        return $this->given;
    }

    /**
     * @return list<UnplacedMark>
     */
    public function unplaced(): array
    {
        return $this->unplaced;
    }

    /**
     * So many scripts that get a second mark: those that have one first, then those for which there is someone.
     *
     * @return list<Work>
     */
    public function draw(int $wanted): array
    {
        $order = [[], [], []];
        foreach ($this->works as $work) {
            $order[
                isset($this->has[$work->id]['second']) ? 0 : ($this->open($work, 'second') === [] ? 2 : 1)
            ][] = $work;
        }

        return array_slice(array_merge(...$order), 0, $wanted);
    }

    /**
     * Places one mark of each script, evenly, then mixed with who has the others.
     *
     * @param  list<Work>  $works
     */
    public function place(string $part, array $works, Randomizer $random): void
    {
        $classes = [];
        foreach ($works as $work) {
            if (isset($this->has[$work->id][$part])) {
                continue;
            }
            $open = $this->open($work, $part);
            if ($open === []) {
                $this->unplaced[] = $this->nobodyLeft($work, $part);

                continue;
            }
            $classes[implode(',', $open)][] = $work;
        }
        $groups = array_values($classes);
        $flow = EvenFlow::of(
            array_map(fn (array $class) => [count($class), $this->open($class[0], $part)], $groups), $this->shares,
            $this->loads[$part],
        );
        $placed = [];
        $common = $this->common;
        foreach ($groups as $n => $class) {
            $units = $flow[$n] ?? [];
            foreach ($random->shuffleArray($class) as $work) {
                $with = $this->others($work->id);
                $marker = $this->leastInCommon($units, $with, $common, $random);
                $units[$marker]--;
                foreach ($with as $other) {
                    $common[$other][$marker] = ($common[$other][$marker] ?? 0) + 1;
                    $common[$marker][$other] = $common[$other][$marker];
                }
                $placed[$work->id] = ['marker' => $marker, 'with' => $with, 'allowed' => $this->allowed[$work->id]];
            }
        }
        $mixed = $part === 'first'
            ? array_map(fn (array $one) => $one['marker'], $placed)
            : Mixing::of($placed, $this->common);
        foreach ($mixed as $script => $marker) {
            $this->give((string) $script, $marker, $part);
        }
    }

    /**
     * Whoever of those with units left has marked least with the others; drawn where they are equal.
     *
     * @param  array<int, int>  $units  by marker
     * @param  list<int>  $with
     * @param  array<int, array<int, int>>  $common
     */
    private function leastInCommon(array $units, array $with, array $common, Randomizer $random): int
    {
        $least = PHP_INT_MAX;
        $equal = [];
        foreach ($units as $marker => $left) {
            if ($left === 0) {
                continue;
            }
            $shared = 0;
            foreach ($with as $other) {
                $shared += $common[$other][$marker] ?? 0;
            }
            if ($shared < $least) {
                [$least, $equal] = [$shared, []];
            }
            if ($shared === $least) { // of markers with much left, more are drawn
                array_push($equal, ...array_fill(0, $left, $marker));
            }
        }

        return $equal[$random->getInt(0, count($equal) - 1)];
    }

    /**
     * Places first marks so that the scripts of a group have one marker. A group of which someone has begun stays with
     * them.
     */
    public function placeGroups(Randomizer $random): void
    {
        $groups = [];
        foreach ($this->works as $work) {
            $groups[$work->group === null ? "script {$work->id}" : "group {$work->group}"][] = $work;
        }
        $packed = [];
        foreach ($groups as $name => $works) {
            $begun = array_values(
                array_filter(
                    array_map(fn (Work $work) => $this->has[$work->id]['first'] ?? null, $works),
                    fn (?int $marker) => $marker !== null && $marker >= 0,
                )
            );
            $works = array_values(array_filter($works, fn (Work $work) => ! isset($this->has[$work->id]['first'])));
            if ($works === []) {
                continue;
            }
            $open = array_values(
                array_intersect(...array_map(fn (Work $work) => $this->open($work, 'first'), [...$works, $works[0]]))
            );
            if ($begun !== [] && in_array($begun[0], $open, true)) {
                $open = [$begun[0]];
            }
            if ($open === []) {
                foreach ($works as $work) {
                    $this->unplaced[] = $this->open($work, 'first') === []
                        ? $this->nobodyLeft($work, 'first')
                        : new UnplacedMark($work->id, 'first', WhyUnplaced::GroupTogether);
                }

                continue;
            }
            $packed[$name] = [count($works), $open];
            $groups[$name] = $works;
        }
        if ($packed === []) {
            return;
        }
        foreach (GroupPacking::of($packed, $this->shares, $this->loads['first'], $random) as $name => $marker) {
            foreach ($groups[$name] as $work) {
                $this->give($work->id, $marker, 'first');
            }
        }
    }

    /**
     * @param  list<string>  $order
     * @return list<Load>
     */
    public function loads(array $order): array
    {
        $total = array_sum(array_map(array_sum(...), $this->loads));
        $sum = array_sum($this->shares);
        $numbers = array_flip($this->markerIds());

        return array_map(
            fn (string $id) => new Load(
                $id, array_map(fn (array $loads) => $loads[$numbers[$id]], $this->loads),
                BigRational::of($total)->multipliedBy($this->shares[$numbers[$id]])->dividedBy($sum),
            ),
            $order,
        );
    }

    private function give(string $script, int $marker, string $part): void
    {
        foreach ($this->others($script) as $other) {
            $this->common[$other][$marker] = ($this->common[$other][$marker] ?? 0) + 1;
            $this->common[$marker][$other] = ($this->common[$marker][$other] ?? 0) + 1;
        }
        $this->has[$script][$part] = $marker;
        $this->loads[$part][$marker]++;
        $this->given[] = new GivenScript($script, $this->markers[$marker]->id, $part);
    }

    /**
     * @return list<int>
     */
    private function open(Work $work, string $part): array
    {
        return array_values(
            array_diff($this->allowed[$work->id], array_diff_key($this->has[$work->id] ?? [], [$part => true]))
        );
    }

    /**
     * @return list<int> planned markers who have the script
     */
    private function others(string $script): array
    {
        return array_values(array_filter($this->has[$script] ?? [], fn (int $marker) => $marker >= 0));
    }

    /**
     * @param  list<int>  $markers
     */
    private function link(array $markers): void
    {
        foreach ($markers as $a) {
            foreach ($markers as $b) {
                if ($a !== $b && $a >= 0 && $b >= 0) {
                    $this->common[$a][$b] = ($this->common[$a][$b] ?? 0) + 1;
                }
            }
        }
    }

    /** What keeps a script from the markers, with how many. */
    private function nobodyLeft(Work $work, string $part): UnplacedMark
    {
        $counts = array_fill_keys(array_column(MarkerObstacle::cases(), 'value'), 0);
        foreach ($this->markers as $number => $marker) {
            $obstacle = $marker->obstacle($work)
                ?? (in_array($number, $this->has[$work->id] ?? [], true) ? MarkerObstacle::Marks : null);
            if ($obstacle !== null) {
                $counts[$obstacle->value]++;
            }
        }

        return new UnplacedMark(
            $work->id, $part, WhyUnplaced::NobodyLeft,
            ['markers' => count($this->markers), ...array_filter($counts, fn (int $count) => $count > 0)],
        );
    }

    /**
     * Shares as whole numbers in the smallest terms.
     *
     * @param  list<Marker>  $markers
     * @return list<int>
     */
    private static function whole(array $markers): array
    {
        $whole = array_map(
            fn (Marker $marker) => $marker->share->withPointMovedRight(Marker::DECIMALS)->toInt(), $markers,
        );
        $divisor = array_reduce($whole, function (int $a, int $b): int {
            while ($b !== 0) {
                [$a, $b] = [$b, $a % $b];
            }

            return $a;
        }, 0);

        return array_map(fn (int $share) => intdiv($share, max(1, $divisor)), $whole);
    }
}
