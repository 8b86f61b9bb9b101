<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Actions\Mark\ChangeMark;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Mark;
use App\Models\PeerReview;
use App\Peers\ReviewConcerns;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Criterion;

/**
 * A student says that a review is done. What is thin, the same everywhere, very quick or names them is pointed out
 * once; nothing written at all is no review.
 */
final class FinishReview
{
    public function __construct(private readonly ChangeMark $change, private readonly Logbook $logbook)
    {
    }

    /**
     * @return array<string, string> what is pointed out instead, by key; nothing: it is done
     *
     * @throws Refused while the rubric is incomplete, or nothing is written
     */
    public function __invoke(PeerReview $review, bool $asItIs): array
    {
        return DB::transaction(function () use ($review, $asItIs): array {
            $stored = PeerReview::query()->lockForUpdate()->findOrFail($review->id);
            $this->checkComplete($stored);
            $concerns = ReviewConcerns::of($stored);
            // Each is pointed out once; who has read it may send the review as it is.
            $new = array_diff_key($concerns, array_flip($asItIs ? ($stored->asked ?? []) : []));
            if ($new !== []) {
                $stored->update(
                    ['asked' => array_values(array_unique([...($stored->asked ?? []), ...array_keys($concerns)]))]
                );

                return $concerns;
            }
            ($this->change)($stored->mark, function (Mark $mark): void {
                $mark->total = (string) $mark->score()->percent();
                $mark->done_at = Carbon::now();
                $mark->first_done_at ??= $mark->done_at;
            });
            // By a student on a script that only its code names: who it was stands in the round.
            $this->logbook->write(Entry::of(LogEvent::PeerReviewDone)->on($stored->round->assignment)->with(
                seconds: $stored->mark->seconds,
            )->saying(title: $stored->round->title));

            return [];
        });
    }

    /**
     * @throws Refused
     */
    private function checkComplete(PeerReview $review): void
    {
        $mark = $review->mark;
        $missing = array_map(fn (Criterion $one) => $one->title(), $mark->score()->missing());
        $missing === [] || throw new Refused(
            (string) trans_choice('peers.incomplete', count($missing), ['where' => implode(', ', $missing)]),
        );
        $written = trim($mark->general_comment).implode('', array_map(
            fn (Criterion $one) => trim($mark->choices->on($one->id())->comment), $mark->rubric()->criteria,
        ));
        $written !== '' || $review->own || $mark->comments()->whereNull('gone_at')->where('body', '!=', '')->exists()
            || throw new Refused((string) __('peers.empty_review'));
    }
}
