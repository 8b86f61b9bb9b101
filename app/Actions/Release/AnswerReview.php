<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\NoticeKind;
use App\Enums\ReviewState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Result;
use App\Models\Review;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use Illuminate\Support\Facades\DB;

/**
 * Decides a review: the mark stands, or a corrected result takes its place. The student is told with the reason.
 */
final class AnswerReview
{
    public function __construct(private readonly Logbook $logbook, private readonly Notices $notices)
    {
    }

    /**
     * @param  Result|null  $new  the corrected result; null: the mark stands
     *
     * @throws Refused when it is decided already
     */
    public function __invoke(Review $review, string $answer, ?Result $new, User $by): void
    {
        DB::transaction(function () use ($review, $answer, $new, $by): void {
            $stored = Review::query()->with(['script.assignment.module', 'script.student', 'result'])->lockForUpdate()
                ->findOrFail($review->id);
            $stored->state->isOpen() || throw new Refused('This review is decided already. Nothing was changed.');
            $stored->update([
                'state' => $new === null ? ReviewState::Stands : ReviewState::Corrected, 'answer' => $answer,
                'decided_by' => $by->id, 'decided_at' => now(), 'new_result_id' => $new?->id,
            ]);
            $script = $stored->script;
            $this->logbook->write(
                Entry::of(LogEvent::ReviewDecided)->on($script->student)->in($script->assignment)
                    ->with(what: $stored->state)->because($answer)->by($by),
            );
            $values = [
                'name' => $script->student->name, 'assignment' => $script->assignment->title,
                'module' => $script->assignment->module->fullTitle(),
            ];
            $show = $new ?? $stored->result;
            $this->notices->make([new NewNotice(
                $script->student, NoticeKind::ReviewAnswered, "answered:{$stored->public_id}",
                (string) __('notices.review_answered', $values), route('results.show', $show, false).'#review',
                $script->assignment, (string) __('notices.review_answered_subject', $values),
                (string) __(
                    'notices.review_answered_body', $values + ['link' => route('results.show', $show).'#review'],
                ),
            )]);
        });
    }
}
