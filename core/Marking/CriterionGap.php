<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigRational;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\Score;

/**
 * What one criterion adds to how far two marks lie apart: in marks out of 100, exact, so that all of them add up to the
 * whole difference before either total is rounded.
 */
final readonly class CriterionGap
{
    private function __construct(
        public Criterion $criterion,
        public BigRational $first,
        public BigRational $second,
    ) {
    }

    /** How much higher the first lies on it; negative when it lies lower. */
    public function gap(): BigRational
    {
        return $this->first->minus($this->second)->simplified();
    }

    /**
     * The largest first, of equal ones in the order of the rubric.
     *
     * @return list<self>
     */
    public static function between(Score $first, Score $second): array
    {
        $gaps = [];
        foreach ($first->lines as $line) {
            $gaps[] = new self(
                $line->criterion, self::share($first, $line->contribution),
                self::share($second, $second->line($line->criterion->id())->contribution ?? BigRational::zero()),
            );
        }
        usort($gaps, fn (self $a, self $b) => $b->gap()->abs()->compareTo($a->gap()->abs()));

        return $gaps;
    }

    private static function share(Score $score, BigRational $contribution): BigRational
    {
        return $score->outOf->isZero()
            ? BigRational::zero()
            : $contribution->multipliedBy(100)->dividedBy($score->outOf);
    }
}
