<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Moderate\SettleByRule;
use App\Enums\Role;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\RubricChanged;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\RubricVersion;
use App\Models\Script;
use App\Queries\Plan\RubricChange;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * Gives an assignment that students can see a newer version of its rubric. What happens to marks that are begun is the
 * coordinator's choice, each mark that changes has a line in the logbook, and students are written to.
 */
final class ChangeAssignmentRubric
{
    public const CHOICES = [
        'keep' => 'keep them: marks that are begun stay with the version they were made with',
        'move' => 'move them: levels and comments that fit go over, totals are worked out anew',
        'remark' => 'mark them again: as moving, and every mark is open until its marker is done once more',
    ];

    public function __construct(
        private readonly Logbook $logbook,
        private readonly RubricChange $change,
        private readonly SettleByRule $settle,
    ) {
    }

    /**
     * @param  int  $seen  the version number that was shown beside the one in use
     * @return array{changed: int, kept: int, opened: int}
     *
     * @throws Refused
     */
    public function __invoke(Assignment $assignment, string $choice, int $seen): array
    {
        return DB::transaction(function () use ($assignment, $choice, $seen): array {
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            $from = $stored->rubricVersion;
            $to = RubricChange::newer($stored);
            if ($from === null || $to === null) {
                throw new Refused('This assignment has the newest version of its rubric already.');
            }
            if ($to->number !== $seen) {
                throw new Refused(
                    "Version {$to->number} of the rubric has been made ready meanwhile. Look at what it changes, then choose."
                );
            }
            $counts = ['changed' => 0, 'kept' => 0, 'opened' => 0];
            foreach (
                Script::query()->where('assignment_id', $stored->id)->lockForUpdate()
                    ->with(['marks.rubricVersion', 'settlement', 'result'])->get() as $script
            ) {
                $this->script($script, $to, $choice, $counts);
            }
            $stored->forceFill(['rubric_version_id' => $to->id, 'lock_version' => $stored->lock_version + 1])->save();
            $this->logbook->write(
                Entry::of(LogEvent::NewerRubricGiven)->on($stored)
                    ->with(
                        from: $from->number, to: $to->number, marks: $choice, changed: $counts['changed'],
                        left: $counts['kept'], open_again: $counts['opened'],
                    )
            );
            if ($stored->isOpen()) {
                foreach ($stored->module->members()->where('role', Role::Student)->with('user')->get() as $member) {
                    Mail::to($member->user->email)->queue((new RubricChanged($stored, $member->user))->afterCommit());
                }
            }

            return $counts;
        });
    }

    /**
     * @param  array{changed: int, kept: int, opened: int}  $counts
     */
    private function script(Script $script, RubricVersion $to, string $choice, array &$counts): void
    {
        if ($this->change->stays($script) || ($choice === 'keep' && $this->change->isBegun($script))) {
            $counts['kept'] += $script->marks->filter(fn (Mark $mark) => $this->change->isTouched($mark))->count();

            return;
        }
        $wasDone = $script->marks->every(fn (Mark $mark) => $mark->isDone());
        foreach ($script->marks as $mark) {
            $this->mark($script, $mark, $to, $choice === 'remark', $counts);
        }
        if ($wasDone && $script->marks->isNotEmpty() && $script->marks->every(fn (Mark $mark) => $mark->isDone())) {
            ($this->settle)($script->refresh());
        }
    }

    /**
     * @param  array{changed: int, kept: int, opened: int}  $counts
     */
    private function mark(Script $script, Mark $mark, RubricVersion $to, bool $open, array &$counts): void
    {
        $before = $mark->shownTotal();
        $isTouched = $this->change->isTouched($mark);
        $carried = $this->change->carried($mark, $to);
        $stays = $mark->isDone() && $carried->score->isComplete() && ! $open;
        if ($mark->isDone() && ! $stays) {
            $counts['opened']++;
        }
        $mark->forceFill([
            'rubric_version_id' => $to->id, 'choices' => $carried->marks, 'lock_version' => $mark->lock_version + 1,
            'total' => $stays ? (string) $carried->score->percent() : null, 'done_at' => $stays ? $mark->done_at : null,
        ])->save();
        $mark->setRelation('rubricVersion', $to);
        if ($isTouched) {
            $counts['changed']++;
            $this->logbook->write(Entry::of(LogEvent::MarkMoved)->on($script)->with(
                seat: $mark->seat, version: $to->number, before: $before, after: $stays ? $mark->shownTotal() : null,
                open_again: $before !== null && ! $stays,
            )->saying(lost: implode(', ', $carried->lost)));
        }
    }
}
