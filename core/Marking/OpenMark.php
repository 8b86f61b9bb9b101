<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

use Brick\Math\BigNumber;

/**
 * A script that does not settle by the rule, and why, in figures: the sentence is made where it is read.
 */
final readonly class OpenMark
{
    /**
     * @param  BigNumber|null  $apart  in marks, where that is the reason
     * @param  BigNumber|null  $limit  the tolerance or the pass line it is about
     */
    public function __construct(
        public WhyOpen $why,
        public ?BigNumber $apart = null,
        public ?BigNumber $limit = null,
    ) {
    }
}
