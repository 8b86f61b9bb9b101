<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\AttachedText;
use App\Enums\NoticeKind;
use App\Enums\ReviewGround;
use App\Enums\ReviewState;
use App\Enums\Role;
use App\Exceptions\Refused;
use App\Handins\WorkReader;
use App\Jobs\ReadAttachedJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Membership;
use App\Models\Result;
use App\Models\Review;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use App\Wording\LocalTime;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * A student asks that a mark be looked at again.
 */
final class AskForReview
{
    public function __construct(private readonly Logbook $logbook, private readonly Notices $notices)
    {
    }

    /**
     * @throws Refused after the date, once it was asked for, or where reviews are not offered
     */
    public function __invoke(Result $result, ReviewGround $ground, string $text, ?UploadedFile $file, User $by): Review
    {
        $path = $file === null ? null : 'reviews/'.Str::uuid()->toString();
        $path === null || Storage::put($path, (string) file_get_contents((string) $file->getRealPath()));
        try {
            $review = DB::transaction(fn (): Review => $this->keep($result, $ground, $text, $file, $path, $by));
        } catch (Refused $e) {
            $path === null || Storage::delete($path);
            throw $e;
        }
        $review->file_state === AttachedText::Waits && ReadAttachedJob::dispatch($review);

        return $review;
    }

    private function keep(
        Result $result, ReviewGround $ground, string $text, ?UploadedFile $file, ?string $path, User $by,
    ): Review {
        $stored = Result::query()->with('script.assignment.module')->lockForUpdate()->findOrFail($result->id);
        $assignment = $stored->script->assignment;
        $until = $stored->reviewUntil();
        $until === null && throw new Refused('Reviews of marks are not offered for this assignment.', 'text');
        $stored->replaced_at === null || throw new Refused(
            'This result was replaced by a corrected one. Ask on that one.', 'text',
        );
        $until->isFuture() || throw new Refused(
            'A review could be asked for until '.LocalTime::shown($until)
                .'. Nothing was sent; write to your coordinator if something kept you from asking.',
            'text',
        );
        Review::query()->where('result_id', $stored->id)->exists() && throw new Refused(
            'You have asked for a review of this result already.', 'text',
        );
        $review = Review::query()->create([
            'script_id' => $stored->script_id, 'result_id' => $stored->id, 'ground' => $ground, 'text' => $text,
            'file_path' => $path, 'file_state' => $path === null ? AttachedText::None : AttachedText::Waits,
            'file_name' => $file === null ? '' : Str::limit(WorkReader::safeName($file->getClientOriginalName()), 190, ''),
            'state' => ReviewState::Received, 'answer_by' => now()->addDays($assignment->release->answerDays),
        ]);
        // Of a person, so without a script code.
        $this->logbook->write(Entry::of(LogEvent::ReviewAsked)->on($assignment)->by($by));
        $values = ['assignment' => $assignment->title, 'by' => LocalTime::day($review->answer_by)];
        $this->notices->make(array_values(Membership::query()->where('module_id', $assignment->module_id)
            ->where('role', Role::Coordinator)->whereNull('left_at')->with('user')->get()
            ->map(fn (Membership $one) => new NewNotice(
                $one->user, NoticeKind::ReviewAsked, "review:{$review->public_id}:{$one->user_id}",
                (string) __('notices.review_asked', $values), route('reviews.show', $review, false), $assignment,
                (string) __('notices.review_asked_subject', $values),
                (string) __('notices.review_asked_body', $values + [
                    'name' => $one->user->name, 'link' => route('reviews.show', $review),
                ]),
            ))->all()));

        return $review;
    }
}
