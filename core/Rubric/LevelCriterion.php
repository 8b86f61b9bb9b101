<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A criterion marked by choosing a level, a point between two levels, or points by hand.
 */
final readonly class LevelCriterion implements Criterion
{
    use CommonParts;

    /** @var list<Level> */
    private array $usable;

    private BigDecimal $max;

    /**
     * @param  list<Level>  $levels  in the rubric's order, those not used on this criterion included
     */
    public function __construct(
        private CriterionHead $head,
        public array $levels,
    ) {
        $usable = array_values(array_filter($levels, fn (Level $level) => $level->used));
        usort(
            $usable,
            fn (Level $a, Level $b) => $a->points->compareTo($b->points) ?: $a->highest()->compareTo($b->highest()),
        );
        $max = BigDecimal::zero();
        foreach ($usable as $level) {
            $max = BigDecimal::max($max, $level->highest());
        }
        $this->usable = $usable;
        $this->max = $max;
    }

    /**
     * Whether its points look like marks out of 100 and stop short of it: a highest level of 85 counts in full, as 10
     * of 10 would, which is easily overlooked.
     */
    public function stopsShort(): bool
    {
        return $this->max->isGreaterThan(50) && $this->max->isLessThan(100);
    }

    public function kind(): CriterionKind
    {
        return CriterionKind::Levels;
    }

    /**
     * The levels that can be chosen here, from the fewest points to the most.
     *
     * @return list<Level>
     */
    public function usable(): array
    {
        return $this->usable;
    }

    public function level(string $id): ?Level
    {
        foreach ($this->levels as $level) {
            if ($level->id === $id) {
                return $level;
            }
        }

        return null;
    }

    public function max(): BigDecimal
    {
        return $this->max;
    }

    public function points(CriterionMark $mark): ?BigDecimal
    {
        if ($mark->between !== null) {
            return $this->between($mark, $mark->between);
        }
        if ($mark->level === null) {
            return $mark->points === null ? null : $this->ownPoints($mark);
        }
        $level = $this->level($mark->level);
        if ($level === null) {
            throw InvalidInput::at($this->id().'.level', 'is not a level of this criterion');
        }
        if (! $level->used) {
            throw InvalidInput::at($this->id().'.level', "the level \"{$level->title}\" is not used on this criterion");
        }
        if (! $level->isRange()) {
            return $mark->points === null ? $level->points : $this->within($mark, $level->points, $level->points);
        }

        return $mark->points === null ? null : $this->within($mark, $level->points, $level->highest());
    }

    /** Whether this criterion can have a mark. */
    public function accepts(CriterionMark $mark): bool
    {
        try {
            $this->points($mark);
        } catch (InvalidInput) {
            return false;
        }

        return true;
    }

    /**
     * The level that points fall on, or the nearest one below them; null below every level.
     */
    public function reached(BigDecimal $points): ?Level
    {
        $reached = null;
        foreach ($this->usable() as $level) {
            if ($level->points->isLessThanOrEqualTo($points)) {
                $reached = $level;
            }
        }

        return $reached;
    }

    /**
     * @param  array{string, string}  $ends
     */
    private function between(CriterionMark $mark, array $ends): ?BigDecimal
    {
        $place = $this->id().'.between';
        $usable = $this->usable();
        foreach ($usable as $i => $low) {
            $high = $usable[$i + 1] ?? null;
            if ($high === null || ! in_array([$low->id, $high->id], [$ends, [$ends[1], $ends[0]]], true)) {
                continue;
            }
            if ($mark->points === null) {
                return null;
            }
            $points = $this->within($mark, $low->highest(), $high->points);
            if ($points->isEqualTo($low->highest()) || $points->isEqualTo($high->points)) {
                throw InvalidInput::at($this->id().'.points', 'must lie strictly between the two levels');
            }

            return $points;
        }
        throw InvalidInput::at($place, 'must name two neighbouring levels used on this criterion');
    }
}
