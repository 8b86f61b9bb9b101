<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Rubric;

use Brick\Math\BigDecimal;
use YoungHarbor\Core\Input\Document;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A criterion marked step by step: done, partly done or not done.
 */
final readonly class ChecklistCriterion implements Criterion
{
    use CommonParts;

    /**
     * @param  list<ChecklistItem>  $items
     */
    public function __construct(
        private CriterionHead $head,
        public array $items,
    ) {
    }

    public function kind(): CriterionKind
    {
        return CriterionKind::Checklist;
    }

    public function max(): BigDecimal
    {
        return array_reduce(
            $this->items, fn (BigDecimal $sum, ChecklistItem $item) => $sum->plus($item->points), BigDecimal::zero(),
        );
    }

    public function points(CriterionMark $mark): ?BigDecimal
    {
        if ($mark->done === null) {
            return $mark->points === null ? null : $this->ownPoints($mark);
        }
        $sum = BigDecimal::zero();
        $seen = [];
        foreach ($mark->done as $id) {
            $item = $this->item($id, $seen);
            $sum = $sum->plus($item->points);
        }
        foreach ($mark->partly as $id => $given) {
            $item = $this->item((string) $id, $seen);
            $points = Document::parse($given);
            if ($points === null || $points->isGreaterThanOrEqualTo($item->points)) {
                throw InvalidInput::at(
                    $this->id().'.partly.'.$id, "must be fewer points than the step's own {$item->points}",
                );
            }
            $sum = $sum->plus($points);
        }

        return $sum;
    }

    /**
     * @param  array<string, true>  $seen
     */
    private function item(string $id, array &$seen): ChecklistItem
    {
        if (isset($seen[$id])) {
            throw InvalidInput::at($this->id().'.done', "names the step \"{$id}\" twice");
        }
        $seen[$id] = true;
        foreach ($this->items as $item) {
            if ($item->id === $id) {
                return $item;
            }
        }
        throw InvalidInput::at($this->id().'.done', "\"{$id}\" is not a step of this criterion");
    }
}
