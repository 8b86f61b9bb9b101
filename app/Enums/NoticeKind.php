<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What a notice tells of.
 */
enum NoticeKind: string
{
    case Result = 'result';
    case ResultReplaced = 'result-replaced';
    case ResultsConfirmed = 'results-confirmed';
    case ReleaseRefused = 'release-refused';
    case Reply = 'reply';
    case ReviewAsked = 'review-asked';
    case ReviewAnswered = 'review-answered';
    case CaseDecided = 'case-decided';
    case MemberNote = 'member-note';
    case PeerReviewGiven = 'peer-review-given';
    case PeerReviewsIn = 'peer-reviews-in';
    case RoundNeedsYou = 'round-needs-you';
    case SheetAsked = 'sheet-asked';
    case Slot = 'slot';
    case Post = 'post';
    case PostFlagged = 'post-flagged';
    case KeepingDue = 'keeping-due';

    /** Whether its mail always comes by itself and at once, whatever its reader chose. */
    public function comesAtOnce(): bool
    {
        return match ($this) {
            self::Result, self::ResultReplaced, self::ResultsConfirmed, self::ReleaseRefused, self::ReviewAnswered,
            self::CaseDecided => true,
            self::Reply, self::ReviewAsked, self::MemberNote, self::PeerReviewGiven, self::PeerReviewsIn,
            self::RoundNeedsYou, self::SheetAsked, self::Slot, self::Post, self::PostFlagged,
            self::KeepingDue => false,
        };
    }

    /** Whether its mail always comes with others, once a day, whatever its reader chose: there can be many of them. */
    public function comesDaily(): bool
    {
        return $this === self::Post;
    }
}
