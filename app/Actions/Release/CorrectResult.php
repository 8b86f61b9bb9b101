<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Documents\ResultDocument;
use App\Enums\NoticeKind;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Result;
use App\Models\Review;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use App\Release\Eligible;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Figures\Figure;
use YoungHarbor\Core\Marking\MarkOffer;

/**
 * Puts a corrected result in the place of one that is out. Nothing in the old one changes: it stays to be read, the new
 * one says what changed and why, and everyone whose work it is is told.
 */
final class CorrectResult
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly ResultDocument $document,
        private readonly Notices $notices,
        private readonly AnswerReview $answer,
    ) {
    }

    /**
     * @param  MarkOffer  $offer  the mark that is agreed now, and whose comments are read; its reason stands in the working
     * @param  string  $whatChanged  as the student reads it
     * @param  Review|null  $review  that asked for it
     * @return Result the student's new one
     *
     * @throws Refused
     */
    public function __invoke(
        Result $result, MarkOffer $offer, string $whatChanged, User $by, ?Review $review = null,
    ): Result {
        return DB::transaction(function () use ($result, $offer, $whatChanged, $by, $review): Result {
            $assignment = Assignment::query()->with('module')->lockForUpdate()
                ->findOrFail($result->script->assignment_id);
            $lead = $this->lock($result);
            $old = $lead->settlement ?? throw new Refused(
                'There is no mark to correct here: nothing was handed in. Nothing was changed.',
            );
            $lead->marks->contains('marker_id', $by->id) && throw new Refused(
                'You marked this script yourself: let another coordinator correct it. Nothing was changed.',
            );
            $old->undo($by, $offer->reason);
            Settlement::keep(
                $lead, $lead->panel()->decided($offer->mark, $offer->reason, $offer->isByCriterion()), $offer, $by,
            );
            $new = null;
            foreach ($this->members($assignment, $lead) as $script) {
                $one = $this->replace($script, $whatChanged, $by);
                $this->logbook->write(
                    Entry::of(LogEvent::ResultCorrected)->on($script)->with(
                        before: $script->result?->shown, mark: $one->shown, constant: Figure::plain($offer->mark),
                    )->because($offer->reason)->by($by),
                );
                $this->tell($script, $one);
                $new = $script->id === $result->script_id ? $one : $new;
            }
            $new
                ?? throw new Refused(
                    'This result was replaced meanwhile. Look at the one that holds. Nothing was changed.'
                );
            $review === null || ($this->answer)($review, $whatChanged, $new, $by);

            return $new;
        });
    }

    /** The script whose marks count, locked with all of its group. */
    private function lock(Result $result): Script
    {
        $script = Script::query()->findOrFail($result->script_id);
        $id = $script->lead_id ?? $script->id;
        Script::query()->whereKey($id)->orWhere('lead_id', $id)->orderBy('id')->lockForUpdate()->get(['id']);
        $stored = Result::query()->lockForUpdate()->findOrFail($result->id);
        $stored->replaced_at === null || throw new Refused(
            'This result was replaced meanwhile. Look at the one that holds. Nothing was changed.',
        );

        return Script::query()->with(['marks.rubricVersion', 'settlement', 'assignment'])->findOrFail($id);
    }

    /**
     * @return iterable<Script> with a result that holds
     */
    private function members(Assignment $assignment, Script $lead): iterable
    {
        $ids = Script::query()->whereKey($lead->id)->orWhere('lead_id', $lead->id)->orderBy('id')->pluck('id')
            ->map(fn (mixed $id) => (int) $id)->all();

        return Eligible::load($assignment, array_values($ids))
            ->load('result')->filter(fn (Script $script) => $script->result !== null);
    }

    private function replace(Script $script, string $whatChanged, User $by): Result
    {
        $old = $script->result;
        assert($old instanceof Result);
        $written = $this->document->of($script, $old->mark !== null);
        $old->update(['replaced_at' => now()]);

        return Result::query()->create([
            'script_id' => $script->id, 'version' => $old->version + 1, ...$written,
            'provisional' => $old->isProvisional(),
            'what_changed' => $whatChanged, 'released_by' => $by->id, 'released_at' => now(),
        ])->refresh();
    }

    private function tell(Script $script, Result $result): void
    {
        $values = [
            'name' => $script->student->name, 'assignment' => $script->assignment->title,
            'module' => $script->assignment->module->fullTitle(), 'link' => route('results.show', $result),
        ];
        $this->notices->make([new NewNotice(
            $script->student, NoticeKind::ResultReplaced, "result:{$result->public_id}",
            (string) __('notices.replaced', $values), route('results.show', $result, false), $script->assignment,
            (string) __('notices.replaced_subject', $values), (string) __('notices.replaced_body', $values),
        )]);
    }
}
