<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * Whose names reviewers and authors see.
 */
enum NamesShown: string
{
    case Nobodys = 'nobodys';

    /** Reviewers see whose work it is; authors do not see who reviewed it. */
    case Authors = 'authors';

    case Everyones = 'everyones';

    public function reviewersSeeAuthors(): bool
    {
        return $this !== self::Nobodys;
    }

    public function authorsSeeReviewers(): bool
    {
        return $this === self::Everyones;
    }
}
