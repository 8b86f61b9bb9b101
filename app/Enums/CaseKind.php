<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What is decided for one student alone in one assignment. Times and lateness are decided elsewhere.
 */
enum CaseKind: string
{
    case Adjusted = 'adjusted';
    case FeedbackOnly = 'feedback-only';
    case Exempt = 'exempt';
    case Deferred = 'deferred';
    case Withdrawn = 'withdrawn';
    case Zero = 'zero';
    case Incomplete = 'incomplete';

    /** Whether it takes the place of a mark: one of these at a time. */
    public function isOutcome(): bool
    {
        return $this !== self::Adjusted && $this !== self::FeedbackOnly;
    }

    /**
     * @return list<string>
     */
    public static function outcomes(): array
    {
        return array_column(array_filter(self::cases(), fn (self $one) => $one->isOutcome()), 'value');
    }

    /** Whether it is for those alone who handed in nothing. */
    public function isForNothing(): bool
    {
        return $this === self::Zero || $this === self::Incomplete;
    }

    public function label(): string
    {
        return (string) __("cases.kind.{$this->value}");
    }
}
