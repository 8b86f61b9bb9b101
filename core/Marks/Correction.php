<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marks;

use Brick\Math\BigRational;

/**
 * A scaling with the words that stand for it in the working of every mark it moves.
 */
final readonly class Correction
{
    public function __construct(public Scaling $scaling, public string $what, public string $how)
    {
    }

    /** The mark moved, never below 0 or above 100. */
    public function of(BigRational $mark): BigRational
    {
        return $this->scaling->clipped($mark);
    }

    /** How it reads in the working of one mark: a mark that was clipped says so. */
    public function working(BigRational $mark): string
    {
        $moved = $this->scaling->of($mark);

        return $this->how.match (true) {
            $moved->isLessThan(0) => '; not below 0',
            $moved->isGreaterThan(100) => '; not above 100',
            default => '',
        };
    }
}
