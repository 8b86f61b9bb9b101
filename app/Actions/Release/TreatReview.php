<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\NoticeKind;
use App\Exceptions\Refused;
use App\Models\Review;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use Illuminate\Support\Facades\DB;

/**
 * Asks someone of the team to look at a review, or keeps what they advise.
 */
final class TreatReview
{
    public function __construct(private readonly Notices $notices)
    {
    }

    /**
     * @param  User|null  $with  who is to look at it; null leaves that as it is
     * @param  string|null  $advice  what they found; null leaves that as it is
     *
     * @throws Refused once it is decided
     */
    public function __invoke(Review $review, ?User $with, ?string $advice): void
    {
        DB::transaction(function () use ($review, $with, $advice): void {
            $stored = Review::query()->with('script.assignment')->lockForUpdate()->findOrFail($review->id);
            $stored->state->isOpen() || throw new Refused('This review is decided. Nothing was changed.');
            $advice === null || $stored->fill(['advice' => $advice, 'advised_at' => now()]);
            if ($with !== null && $with->id !== $stored->with_id) {
                $stored->with_id = $with->id;
                $assignment = $stored->script->assignment;
                $values = ['assignment' => $assignment->title, 'code' => $stored->script->code];
                $this->notices->make([new NewNotice(
                    $with, NoticeKind::ReviewAsked, "review:{$stored->public_id}:{$with->id}",
                    (string) __('notices.review_with', $values), route('reviews.show', $stored, false), $assignment,
                    (string) __('notices.review_with_subject', $values),
                    (string) __('notices.review_with_body', $values + [
                        'name' => $with->name, 'link' => route('reviews.show', $stored),
                    ]),
                )]);
            }
            $stored->save();
        });
    }
}
