<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * What every kind of criterion has: id, title, purpose, weight, whether it is optional.
 *
 * @internal
 */
trait CommonParts
{
    public function id(): string
    {
        return $this->head->id;
    }

    public function title(): string
    {
        return $this->head->title;
    }

    public function purpose(): string
    {
        return $this->head->purpose;
    }

    public function weight(): BigDecimal
    {
        return $this->head->weight;
    }

    public function optional(): bool
    {
        return $this->head->optional;
    }

    /**
     * Points set by hand: anything from 0 to the max, with a reason.
     *
     * @throws InvalidInput
     */
    private function ownPoints(CriterionMark $mark): BigDecimal
    {
        if (trim((string) $mark->reason) === '') {
            throw InvalidInput::at($this->id().'.reason', 'points set by hand need a reason');
        }

        return $this->within($mark, BigDecimal::zero(), $this->max());
    }

    /**
     * @throws InvalidInput
     */
    private function within(CriterionMark $mark, BigDecimal $least, BigDecimal $most): BigDecimal
    {
        $points = Document::parse($mark->points)
            ?? throw InvalidInput::at($this->id().'.points', 'must be a number such as "6.5"');
        if ($points->isLessThan($least) || $points->isGreaterThan($most)) {
            throw InvalidInput::at($this->id().'.points', "must lie from {$least} to {$most}, not {$points}");
        }

        return $points;
    }
}
