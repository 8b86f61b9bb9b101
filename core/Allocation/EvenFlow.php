<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * Spreads scripts over markers so that the squares of the distances from the fair shares are as small as the rules
 * allow: a minimum-cost flow from scripts through markers with convex costs.
 *
 * Scripts that the same markers may have are one class, so the network stays small. From any flow, a unit is moved
 * along a path of markers (each step: a class one of them has and the next may have) while that lowers the cost; when
 * no such path is left, the flow is optimal (negative-cycle optimality; Ahuja, Magnanti, Orlin, *Network Flows*, 1993,
 * chapters 9 and 14, from memory). An optimum differs from every fair share by less than one whenever any flow does:
 * the cost of a step outside that range is higher than of any step inside it.
 */
final class EvenFlow
{
    /** @var array<int, array<int, int>> units by class and marker */
    private array $units = [];

    /** @var array<int, array<int, int>> how many classes let a unit go from one marker to another */
    private array $ways = [];

    /** @var array<int, list<int>> */
    private array $allowed = [];

    /**
     * @param  list<int>  $shares  0 to 1,000,000 each, not all 0
     * @param  array<int, int>  $loads  what each marker has before
     * @param  int  $total  of all loads and all units: what the fair shares are shares of
     */
    private function __construct(
        private readonly array $shares,
        private array $loads,
        private readonly int $total,
        private readonly int $sum,
    ) {
    }

    /**
     * @param  array<int, array{int, list<int>}>  $classes  units and the markers they may go to (at least one), by class
     * @param  list<int>  $shares
     * @param  array<int, int>  $loads
     * @return array<int, array<int, int>> units by class and marker
     */
    public static function of(array $classes, array $shares, array $loads): array
    {
        $total = array_sum($loads) + array_sum(array_column($classes, 0));
        $flow = new self($shares, $loads, $total, array_sum($shares));
        foreach ($classes as $class => [$count, $allowed]) {
            $flow->allowed[$class] = $allowed;
            for ($unit = 0; $unit < $count; $unit++) {
                $flow->add($class, $flow->cheapest($allowed));
            }
        }
        while ($flow->improve()) {
            // each step lowers the cost, which is bounded below
        }

        return $flow->units;
    }

    /** The cost of one more unit with a marker, up to a factor and a constant that all markers share. */
    private function next(int $marker): int
    {
        return $this->sum * $this->loads[$marker] - $this->total * $this->shares[$marker];
    }

    /**
     * @param  list<int>  $allowed
     */
    private function cheapest(array $allowed): int
    {
        $best = $allowed[0];
        foreach ($allowed as $marker) {
            if ($this->next($marker) < $this->next($best)) {
                $best = $marker;
            }
        }

        return $best;
    }

    private function improve(): bool
    {
        $order = array_keys($this->shares);
        usort($order, fn (int $a, int $b) => $this->next($b) <=> $this->next($a) ?: $a <=> $b);
        $improved = false;
        foreach ($order as $from) {
            while (($path = $this->pathFrom($from)) !== null) {
                foreach ($path as [$one, $other]) {
                    $this->move($one, $other);
                }
                $improved = true;
            }
        }

        return $improved;
    }

    /**
     * A path along which a unit less here and a unit more at its end costs less.
     *
     * @return list<array{int, int}>|null
     */
    private function pathFrom(int $from): ?array
    {
        $before = [$from => null];
        $queue = [$from];
        for ($at = 0; $at < count($queue); $at++) {
            foreach ($this->ways[$queue[$at]] ?? [] as $to => $ways) {
                if ($ways > 0 && ! array_key_exists($to, $before)) {
                    $before[$to] = $queue[$at];
                    $queue[] = $to;
                }
            }
        }
        $end = $this->cheapest($queue);
        if ($this->next($end) >= $this->next($from) - $this->sum) {
            return null;
        }
        $path = [];
        for ($to = $end; $before[$to] !== null; $to = $before[$to]) {
            array_unshift($path, [$before[$to], $to]);
        }

        return $path;
    }

    private function move(int $from, int $to): void
    {
        foreach ($this->units as $class => $units) {
            if (($units[$from] ?? 0) > 0 && in_array($to, $this->allowed[$class], true)) {
                $this->take($class, $from);
                $this->add($class, $to);

                return;
            }
        }
    }

    private function add(int $class, int $marker): void
    {
        $this->loads[$marker]++;
        $this->units[$class][$marker] = ($this->units[$class][$marker] ?? 0) + 1;
        if ($this->units[$class][$marker] === 1) {
            $this->count($class, $marker, 1);
        }
    }

    private function take(int $class, int $marker): void
    {
        $this->loads[$marker]--;
        $this->units[$class][$marker]--;
        if ($this->units[$class][$marker] === 0) {
            $this->count($class, $marker, -1);
        }
    }

    private function count(int $class, int $marker, int $by): void
    {
        foreach ($this->allowed[$class] as $other) {
            if ($other !== $marker) {
                $this->ways[$marker][$other] = ($this->ways[$marker][$other] ?? 0) + $by;
            }
        }
    }
}
