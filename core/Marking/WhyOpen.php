<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Marking;

/**
 * Why a panel does not settle by the rule.
 */
enum WhyOpen: string
{
    /** Wanted marks are not done yet. */
    case MarksMissing = 'marks-missing';

    /** It has one mark, and the sample that may want a second has not been drawn. */
    case SampleNotDrawn = 'sample-not-drawn';

    case BeyondTolerance = 'beyond-tolerance';

    /** Of the marks the rule uses some pass and some fail. */
    case AcrossPassLine = 'across-pass-line';

    /** The rule needs marks in seats that this script does not have. */
    case RuleNeedsMore = 'rule-needs-more';

    /** Whoever decides has to say why the mark crosses the pass line. */
    case ReasonMissing = 'reason-missing';
}
