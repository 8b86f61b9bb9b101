<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;

/**
 * What an assignment does to a settled mark before it is rounded: what joins it, corrections in their order, the part
 * in a group, lateness, then over-length, then the cap of a resit, then what is adjusted for one student. Everything
 * stays exact; each step that did something is a line of the working.
 */
final readonly class MarkRules
{
    private const MOST = 100;

    /**
     * @param  list<Correction>  $corrections  that move this mark
     * @param  list<JoinedMark>  $joined  in their order
     */
    public function __construct(
        public ?LateRule $late = null,
        public ?LengthRule $length = null,
        public ?BigDecimal $cap = null,
        public array $corrections = [],
        public ?Adjustment $adjustment = null,
        public array $joined = [],
        public ?Contribution $contribution = null,
    ) {
    }

    /**
     * @return array{BigRational, Working}
     */
    public function apply(BigRational $mark, Working $working, Lateness $lateness, Length $length): array
    {
        $step = function (BigRational $after, string $what, string $how) use (&$mark, &$working): void {
            if (! $after->isEqualTo($mark)) {
                $mark = $after;
                $working = $working->then(new WorkingLine($what, $how, Figure::shown($mark)));
            }
        };
        foreach ($this->joined as $one) {
            $one->mark === null
                ? $working = $working->then(new WorkingLine($one->what, $one->working($mark), Figure::shown($mark)))
                : $step($one->of($mark), $one->what, $one->working($mark));
        }
        foreach ($this->corrections as $one) {
            $step($one->of($mark), $one->what, $one->working($mark));
        }
        if ($this->contribution !== null) {
            $step($this->contribution->of($mark), 'Your part in the group', $this->contribution->inWords());
        }
        if ($this->late !== null) {
            if ($lateness->waived && $lateness->elapsed() > 0) {
                $working = $working->then(
                    new WorkingLine('Late', "{$lateness->inWords()}, waived", Figure::shown($mark))
                );
            }
            $step($this->late->apply($mark, $lateness), 'Late', $this->late->working($lateness));
        }
        if ($this->length !== null) {
            $step($this->length->apply($mark, $length), 'Over length', $this->length->working($length));
        }
        if ($this->cap !== null) {
            $step(BigRational::min($mark, $this->cap), 'Capped', 'a resit gives '.Figure::plain($this->cap).' at most');
        }
        if ($this->adjustment !== null) {
            $step(
                $this->adjustment->apply($mark), 'Adjusted',
                "{$this->adjustment->inWords()} for you alone, decided by a coordinator",
            );
        }

        $step(BigRational::max(0, BigRational::min($mark, self::MOST)), 'Within the scale', 'no mark is above '.self::MOST);

        return [$mark, $working];
    }
}
