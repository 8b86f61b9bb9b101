<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Allocation;

/**
 * Mixes who marks with whom: exchanges markers between scripts, loads unchanged, while that lowers the sum of the
 * squares of how many scripts each pair of markers has in common. The even linking is what makes markers comparable
 * afterwards. Where no exchange of two helps, rings of more are passed on. A local optimum; small cases are checked
 * against all possibilities.
 */
final class Mixing
{
    /**
     * Rings looked for, times scripts: among thousands of scripts one more in common hardly matters, and takes long.
     */
    private const RINGS = 4_000;

    /** @var array<int, array<int, int>> scripts in common, by either marker first */
    private array $common = [];

    /** @var array<int, array{with: list<int>, allowed: array<int, true>}> rows: scripts that are alike */
    private array $rows = [];

    /** @var array<int, array<int, list<string>>> scripts by row and by the marker that can change */
    private array $cells = [];

    /** @var array<string, array{list<int>, list<int>}> rows by who marks besides */
    private array $alike = [];

    /** @var array<int, int> how often what a marker has in common with others has changed */
    private array $changes = [];

    /** @var array<int, array<int, array{int, int}>> the changes at which it was worked out, and the most a change can gain */
    private array $most = [];

    /**
     * @param  array<int, array<int, int>>  $common  scripts in common before
     */
    private function __construct(array $common)
    {
        $this->common = $common;
    }

    /**
     * @param  array<string, array{marker: int, with: list<int>, allowed: list<int>}>  $scripts  may change marker
     * @param  array<int, array<int, int>>  $common  of scripts that stay as they are; symmetric
     * @return array<string, int> markers by script
     */
    public static function of(array $scripts, array $common): array
    {
        $mixing = new self($common);
        $rows = [];
        foreach ($scripts as $id => $script) {
            $key = implode(',', $script['with']).'|'.implode(',', $script['allowed']);
            if (! isset($rows[$key])) {
                $beside = implode(',', $script['with']);
                $mixing->alike[$beside] ??= [$script['with'], []];
                $mixing->alike[$beside][1][] = count($rows);
            }
            $row = $rows[$key] ??= count($rows);
            $mixing->rows[$row] = ['with' => $script['with'], 'allowed' => array_fill_keys($script['allowed'], true)];
            $mixing->cells[$row][$script['marker']][] = (string) $id;
            $mixing->link($script['with'], $script['marker'], 1);
        }
        $rings = intdiv(self::RINGS, max(1, count($scripts)));
        do {
            while ($mixing->pass()) {
                // each exchange lowers the sum of squares
            }
        } while ($rings-- > 0 && $mixing->rotate());
        $markers = [];
        foreach ($mixing->cells as $cells) {
            foreach ($cells as $marker => $ids) {
                foreach ($ids as $id) {
                    $markers[$id] = $marker;
                }
            }
        }

        return $markers;
    }

    private function pass(): bool
    {
        $improved = false;
        foreach (array_keys($this->rows) as $row) {
            foreach (array_keys($this->cells[$row]) as $marker) {
                while ($this->cells[$row][$marker] !== [] && $this->exchange($row, $marker)) {
                    $improved = true;
                }
            }
        }

        return $improved;
    }

    /** Finds the best exchange for one script of a cell and makes it. */
    private function exchange(int $row, int $marker): bool
    {
        $with = $this->rows[$row]['with'];
        $best = 0;
        $found = null;
        foreach ($this->rows[$row]['allowed'] as $other => $_) {
            if ($other === $marker || in_array($other, $with, true)) {
                continue;
            }
            $here = $this->gain($with, $marker, $other);
            if ($here + $this->mostGain($other, $marker, count($with)) <= $best) {
                continue;
            }
            foreach ($this->alike as [$theirs, $rows]) {
                $gain = $here + $this->gain($theirs, $other, $marker);
                if ($gain <= $best || in_array($marker, $theirs, true)) {
                    continue;
                }
                foreach ($rows as $there) {
                    if (($this->cells[$there][$other] ?? []) !== [] && isset($this->rows[$there]['allowed'][$marker])) {
                        $best = $gain;
                        $found = [$there, $other];

                        break;
                    }
                }
            }
        }
        if ($found === null) {
            return false;
        }
        [$there, $other] = $found;
        $this->shift($row, $marker, $other);
        $this->shift($there, $other, $marker);

        return true;
    }

    /** Passes scripts on along a ring of three or more markers, where exchanges of two no longer help. */
    private function rotate(): bool
    {
        $steps = $this->steps();
        $markers = array_keys($steps);
        // Bellman and Ford: after as many rounds as there are markers, what still falls lies behind a ring that gains.
        $cost = array_fill_keys($markers, 0);
        $before = [];
        $last = null;
        for ($round = 0; $round <= count($markers); $round++) {
            $last = null;
            foreach ($steps as $from => $ways) {
                foreach ($ways as $to => [$gain]) {
                    if ($cost[$from] - $gain < ($cost[$to] ?? PHP_INT_MAX)) {
                        $cost[$to] = $cost[$from] - $gain;
                        $before[$to] = $from;
                        $last = $to;
                    }
                }
            }
            if ($last === null) {
                return false;
            }
        }
        for ($round = 0; $round < count($markers); $round++) {
            $last = $before[$last];
        }
        $made = [];
        $gained = 0;
        $to = $last;
        do {
            $from = $before[$to];
            $row = $steps[$from][$to][1];
            if (($this->cells[$row][$from] ?? []) === []) {
                break;
            }
            $gained += $this->gain($this->rows[$row]['with'], $from, $to);
            $this->shift($row, $from, $to);
            $made[] = [$row, $from, $to];
            $to = $from;
        } while ($to !== $last);
        if ($to === $last && $gained > 0) {
            return true;
        }
        foreach (array_reverse($made) as [$row, $from, $to]) { // steps of one ring can stand in each other's way
            $this->shift($row, $to, $from);
        }

        return false;
    }

    /**
     * From each marker to each other: the best gain of passing one script on, and the row it lies in.
     *
     * @return array<int, array<int, array{int, int}>>
     */
    private function steps(): array
    {
        $steps = [];
        foreach ($this->cells as $row => $cells) {
            $with = $this->rows[$row]['with'];
            foreach ($cells as $from => $ids) {
                foreach ($ids === [] ? [] : $this->rows[$row]['allowed'] as $to => $_) {
                    if ($to === $from || in_array($to, $with, true)) {
                        continue;
                    }
                    $gain = $this->gain($with, $from, $to);
                    if ($gain > ($steps[$from][$to][0] ?? PHP_INT_MIN)) {
                        $steps[$from][$to] = [$gain, $row];
                    }
                }
            }
        }

        return $steps;
    }

    /**
     * By how much the sum of squares falls, halved, when a script goes from one marker to another.
     *
     * @param  list<int>  $with
     */
    private function gain(array $with, int $from, int $to): int
    {
        $gain = 0;
        foreach ($with as $one) {
            $gain += ($this->common[$one][$from] ?? 0) - ($this->common[$one][$to] ?? 0) - 1;
        }

        return $gain;
    }

    /** What no script's change from one marker to another can exceed: most changes need not be looked at. */
    private function mostGain(int $from, int $to, int $with): int
    {
        $changes = ($this->changes[$from] ?? 0) + ($this->changes[$to] ?? 0);
        if (($this->most[$from][$to][0] ?? -1) !== $changes) {
            $beside = $this->common[$to] ?? [];
            $most = -1;
            foreach ($this->common[$from] ?? [] as $one => $common) {
                $most = max($most, $common - ($beside[$one] ?? 0) - 1);
            }
            $this->most[$from][$to] = [$changes, $most];
        }

        return $with * $this->most[$from][$to][1];
    }

    private function shift(int $row, int $from, int $to): void
    {
        $id = array_pop($this->cells[$row][$from]);
        assert($id !== null);
        $this->cells[$row][$to][] = $id;
        $this->link($this->rows[$row]['with'], $from, -1);
        $this->link($this->rows[$row]['with'], $to, 1);
    }

    /**
     * @param  list<int>  $with
     */
    private function link(array $with, int $marker, int $by): void
    {
        foreach ($with as $one) {
            $this->common[$one][$marker] = ($this->common[$one][$marker] ?? 0) + $by;
            $this->common[$marker][$one] = ($this->common[$marker][$one] ?? 0) + $by;
            $this->changes[$one] = ($this->changes[$one] ?? 0) + 1;
        }
        $this->changes[$marker] = ($this->changes[$marker] ?? 0) + 1;
    }
}
