<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;

/**
 * One part of a module mark with what a student has in it: a mark, or a list of which some best ones count.
 */
final readonly class ModulePart
{
    /**
     * @param  BigDecimal  $weight  of 100
     * @param  list<ListedMark>  $marks  one, or those of a list
     * @param  int|null  $best  how many of the list count; null where it is no list
     * @param  BigDecimal|null  $mustPass  the mark without which the module is not passed
     * @param  ResitMark|null  $resit  a second try; its mark counts up to its cap where that is more
     */
    public function __construct(
        public string $id,
        public string $title,
        public BigDecimal $weight,
        public array $marks,
        public ?int $best = null,
        public ?BigDecimal $mustPass = null,
        public ?ResitMark $resit = null,
    ) {
    }

    /** Whether it drops out: exempt, or every mark of its list is. */
    public function isExempt(): bool
    {
        return $this->counted() === [];
    }

    /** Whether something that counts is still to come: it is 0 so far. */
    public function isMissing(): bool
    {
        $there = array_filter($this->counted(), fn (ListedMark $one) => $one->mark !== null);

        return ! $this->isExempt() && count($there) < ($this->best ?? 1) && $this->resit?->mark === null;
    }

    /** Its mark, exact, the resit taken into account; 0 of what is not there. */
    public function mark(): BigRational
    {
        return BigRational::max($this->first(), $this->resit?->counts() ?? 0);
    }

    public function passes(): bool
    {
        return $this->mustPass === null || $this->isExempt() || $this->mark()->isGreaterThanOrEqualTo($this->mustPass);
    }

    /**
     * @return list<string> ids of what is not there and could still be
     */
    public function open(): array
    {
        return array_values(array_map(
            fn (ListedMark $one) => $one->id,
            array_filter($this->counted(), fn (ListedMark $one) => $one->mark === null),
        ));
    }

    /** How its mark came about, as people read it; "" where there is nothing to say. */
    public function inWords(): string
    {
        $said = [];
        if ($this->best !== null) {
            $there = array_map(
                fn (ListedMark $one) => $one->mark === null ? '–' : Figure::plain($one->mark), $this->counted(),
            );
            $left = count($this->marks) - count($there);
            $said[] = "best {$this->best} of ".implode(', ', $there).($left === 0 ? '' : ", {$left} exempt");
        }
        $resit = $this->resit?->counts();
        if ($resit !== null && $resit->isGreaterThan($this->first())) {
            $said[] = 'resit '.Figure::plain($this->resit->mark ?? BigDecimal::zero())
                .($this->resit->isCapped() ? ', capped at '.Figure::plain($this->resit->cap ?? BigDecimal::zero()) : '')
                .', in place of '.Figure::shown($this->first());
        }
        $this->isMissing() && $said[] = $this->best === null ? 'no mark yet: 0 so far' : 'not all marks yet: 0 for those';

        return implode('; ', $said);
    }

    private function first(): BigRational
    {
        $marks = array_map(
            fn (ListedMark $one) => ($one->mark ?? BigDecimal::zero())->toBigRational(), $this->counted(),
        );
        usort($marks, fn (BigRational $a, BigRational $b) => $b->compareTo($a));
        $best = $this->best ?? 1;

        return BigRational::sum(BigRational::zero(), ...array_slice($marks, 0, $best))->dividedBy($best);
    }

    /**
     * @return list<ListedMark>
     */
    private function counted(): array
    {
        return array_values(array_filter($this->marks, fn (ListedMark $one) => ! $one->isExempt));
    }
}
