<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * What a plan of reviews changes, and what it could not do.
 */
final readonly class PlannedReviews
{
    /**
     * @param  list<array{string, string}>  $added  work and reviewer
     * @param  list<array{string, string}>  $removed  given, not begun, and now another's or nobody's
     * @param  array<array-key, int>  $short  by work: reviews it is promised and does not have
     * @param  int  $unsure  works of which a review is with someone who has begun none
     * @param  int  $twined  pairs who review each other
     */
    public function __construct(
        public array $added, public array $removed, public array $short, public int $unsure, public int $twined,
    ) {
    }

    /**
     * @return array<int, int> by reviewer, where their ids are whole numbers: reviews that are new for them
     */
    public function gained(): array
    {
        $gained = [];
        foreach ($this->added as [, $reviewer]) {
            $gained[(int) $reviewer] = ($gained[(int) $reviewer] ?? 0) + 1;
        }

        return $gained;
    }
}
