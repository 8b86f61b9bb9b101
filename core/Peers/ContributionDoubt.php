<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Peers;

/**
 * What staff should look at in the ratings of a group. None of it says that a rating is wrong.
 */
enum ContributionDoubt: string
{
    /** A member rated nobody. */
    case Silent = 'silent';

    /** A member gave everyone nothing: it counts as the same for all. */
    case AllZero = 'all-zero';

    /** A member gave all others the same. */
    case SameToAll = 'same-to-all';

    /** Two members give each other twice as much as either gives a third, and nobody else does. */
    case PairAgainstOne = 'pair-against-one';
}
