<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A place on a criterion's rail where the pin can stand: a level, or half-way between two neighbouring ones.
 */
final readonly class RailStop
{
    private function __construct(
        public string $key,
        public BigDecimal $points,
        public Level $level,
        public ?Level $above,
    ) {
    }

    /**
     * From the fewest points to the most. Half-way stops stand only between levels with a single point each and
     * different points.
     *
     * @return list<self>
     */
    public static function of(LevelCriterion $criterion): array
    {
        $stops = [];
        $usable = $criterion->usable();
        foreach ($usable as $i => $level) {
            $before = $usable[$i - 1] ?? null;
            if ($before !== null && $before->highest()->isLessThan($level->points)) {
                $half = $before->highest()->plus($level->points)->dividedBy(2, 6, RoundingMode::HALF_UP)
                    ->stripTrailingZeros();
                $stops[] = new self("{$before->id}~{$level->id}", $half, $before, $level);
            }
            $stops[] = new self($level->id, $level->points, $level, null);
        }

        return $stops;
    }

    public function isBetween(): bool
    {
        return $this->above !== null;
    }

    /** How a screen reader and a tooltip name the stop. */
    public function label(): string
    {
        return $this->above === null
            ? "{$this->level->title}, ".(MarkForm::range($this->level) ?: Figure::plain($this->points))
            : "between {$this->level->title} and {$this->above->title}, ".Figure::plain($this->points);
    }

    /** Whether a mark stands on this stop. */
    public function holds(CriterionMark $mark): bool
    {
        return $this->above === null
            ? $mark->level === $this->level->id
            : $mark->between === [$this->level->id, $this->above->id];
    }

    /**
     * The mark of a stop's key; empty when the key is.
     *
     * @throws InvalidInput for a key that is not on the criterion's rail
     */
    public static function mark(Criterion $criterion, string $key): CriterionMark
    {
        if ($key === '') {
            return new CriterionMark;
        }
        foreach ($criterion instanceof LevelCriterion ? self::of($criterion) : [] as $stop) {
            if ($stop->key !== $key) {
                continue;
            }

            return $stop->above === null
                ? new CriterionMark(level: $stop->level->id)
                : new CriterionMark(
                    between: [$stop->level->id, $stop->above->id], points: Figure::plain($stop->points),
                );
        }
        throw InvalidInput::at($criterion->title(), 'has no such level');
    }
}
