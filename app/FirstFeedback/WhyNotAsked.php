<?php

declare(strict_types=1);

namespace App\FirstFeedback;

use App\Models\DraftCheck;
use App\Models\FirstFeedback;

/**
 * Why first remarks cannot be asked for on a draft.
 */
final class WhyNotAsked
{
    /** Words below which there is too little to remark on. */
    public const LEAST_WORDS = 50;

    /** In words for its student; null: they can. */
    public static function of(DraftCheck $draft): ?string
    {
        $assignment = $draft->script->assignment;

        return match (true) {
            $assignment->first_feedback === 0 || config('harbor.assistant.address') === '' => (string) __('first-feedback.off'),
            ! $assignment->isOpen() || $draft->script->isPastDue() => (string) __('first-feedback.late'),
            $draft->words < self::LEAST_WORDS => trans_choice(
                'first-feedback.short', $draft->words, ['count' => $draft->words, 'least' => self::LEAST_WORDS],
            ),
            FirstFeedback::left($draft->script) === 0 => (string) __('first-feedback.used_up'),
            default => null,
        };
    }
}
