<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Figures\Working;
use YoungHarbor\Core\Figures\WorkingLine;
use YoungHarbor\Core\Input\InvalidInput;

/**
 * A student's mark in a module: the weighted sum of its parts, exact, rounded half up once.
 *
 * Exempt parts drop out and the weights of the others are divided by what remains of 100. What is not there yet counts
 * as 0, and is said. Passed is a module whose rounded mark reaches the pass mark, with every part passed that must be.
 */
final readonly class ModuleMark
{
    /**
     * @param  list<ModulePart>  $parts
     * @param  BigRational  $exact  before the rounding
     * @param  BigDecimal  $mark  rounded
     * @param  list<string>  $missing  ids of parts that are not all there
     * @param  list<string>  $notPassed  ids of parts that must be passed and are not
     */
    private function __construct(
        public array $parts,
        public BigRational $exact,
        public BigDecimal $mark,
        public bool $passed,
        public array $missing,
        public array $notPassed,
        private BigRational $weighs,
        private int $decimals,
    ) {
    }

    /**
     * @param  list<ModulePart>  $parts  whose weights total 100
     * @param  int<0, 3>  $decimals
     * @param  BigDecimal  $pass  0 to 100
     *
     * @throws InvalidInput when nothing that weighs is left
     */
    public static function of(array $parts, int $decimals, BigDecimal $pass): self
    {
        $counted = array_filter($parts, fn (ModulePart $part) => ! $part->isExempt());
        $weighs = BigRational::sum(
            BigRational::zero(), ...array_map(fn (ModulePart $part) => $part->weight, array_values($counted)),
        );
        $weighs->isZero() && throw InvalidInput::at('parts', 'every part that weighs is exempt: there is no mark');
        $sum = BigRational::zero();
        foreach ($counted as $part) {
            $sum = $sum->plus($part->mark()->multipliedBy($part->weight));
        }
        $exact = $sum->dividedBy($weighs)->simplified();
        $mark = $exact->toScale($decimals, RoundingMode::HALF_UP);
        $ids = fn (callable $which): array => array_map(
            fn (ModulePart $part) => $part->id, array_values(array_filter($parts, $which)),
        );
        $notPassed = $ids(fn (ModulePart $part) => ! $part->passes());

        return new self(
            $parts, $exact, $mark, $mark->isGreaterThanOrEqualTo($pass) && $notPassed === [],
            $ids(fn (ModulePart $part) => $part->isMissing()), $notPassed, $weighs, $decimals,
        );
    }

    public function isComplete(): bool
    {
        return $this->missing === [];
    }

    /** What a part weighs in it, of 100; 0 where it is exempt. */
    public function weightOf(ModulePart $part): BigRational
    {
        return $part->isExempt()
            ? BigRational::zero()
            : BigRational::of($part->weight)->multipliedBy(100)->dividedBy($this->weighs);
    }

    /** What a part adds to it. */
    public function shareOf(ModulePart $part): BigRational
    {
        return $part->mark()->multipliedBy($this->weightOf($part))->dividedBy(100);
    }

    public function isRounded(): bool
    {
        return ! $this->exact->isEqualTo($this->mark);
    }

    /** A line a part with its mark, its weight and what it adds; the sum; the rounding where it did something. */
    public function working(): Working
    {
        $lines = [];
        foreach ($this->parts as $part) {
            $words = $part->inWords();
            $lines[] = $part->isExempt()
                ? new WorkingLine($part->title, 'exempt: the weights of the others are divided by what remains', '–')
                : new WorkingLine(
                    $part->title,
                    Figure::shown($part->mark()).' × '.Figure::shown($this->weightOf($part)).' %'
                        .($words === '' ? '' : " ({$words})")
                        .($part->passes() ? '' : '; must reach '.Figure::plain($part->mustPass ?? BigDecimal::zero())),
                    Figure::shown($this->shareOf($part)),
                );
        }
        $lines[] = new WorkingLine('Sum', 'exact', Figure::shown($this->exact));
        $this->isRounded() && $lines[] = new WorkingLine(
            'Rounded', 'half up, to '.$this->decimals.' '.($this->decimals === 1 ? 'decimal' : 'decimals'),
            (string) $this->mark,
        );

        return new Working($lines);
    }
}
