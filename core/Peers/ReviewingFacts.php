<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

use Brick\Math\BigDecimal;

/**
 * What a reviewer did in a round.
 */
final readonly class ReviewingFacts
{
    /** Fewer ratings by authors say who gave them, and little else. */
    public const LEAST_RATINGS = 3;

    /**
     * @param  int  $asked  reviews they were to write, from 0 on
     * @param  int  $done  of those, 0 to asked
     * @param  int  $onTime  of those done, by their own due time
     * @param  int  $commentsAsked  comments that were asked for in the reviews that are done
     * @param  int  $commentsFull  of those, with as many words as asked for
     * @param  list<int<0, 2>>  $ratings  by authors: 0 not useful, 1 in part, 2 useful
     * @param  list<array{BigDecimal, BigDecimal}>  $marks  theirs beside the combined mark of the same work
     */
    public function __construct(
        public int $asked, public int $done, public int $onTime, public int $commentsAsked, public int $commentsFull,
        public array $ratings, public array $marks,
    ) {
    }
}
