<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Actions\Collect\Concerns\KeepsAttempts;
use App\Documents\Receipts;
use App\Events\CountingAttemptChanged;
use App\Exceptions\Refused;
use App\Extraction\Refusal;
use App\Handins\UploadedPiece;
use App\Handins\WorkReader;
use App\Jobs\ReadHandinJob;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\HandedIn;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\OverlapReport;
use App\Models\Script;
use App\Models\TypedText;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Storage;
use YoungHarbor\Core\Collect\Attempts;
use YoungHarbor\Core\Collect\WebLink;

/**
 * Takes a student's work in: keeps it sealed as it came, gives a receipt for it at once, and has it read by the worker.
 *
 * The time that counts is when the work arrived. Every attempt is kept. The last one in time counts; after the due time
 * the attempt that counts stays, unless the student picks another.
 */
final class TakeHandIn
{
    use KeepsAttempts;

    public function __construct(
        private readonly WorkReader $read,
        private readonly Logbook $logbook,
        private readonly Receipts $receipts,
    ) {
    }

    /**
     * @param  UploadedFile|string|list<UploadedFile|string|WebLink>  $work  a file, several files in their order, text that was typed, or links
     * @param  list<array{label: string, answer: string}>|null  $declared
     * @param  Carbon|null  $arrived  when the form arrived; null for now
     * @param  Carbon|null  $ahead  when the first piece of the last of the files that were sent ahead arrived; null when anything came with the form
     * @param  string|null  $once  made by the page: the same again is the same hand-in
     *
     * @throws Refused when the assignment does not take it now
     * @throws Refusal when a file cannot be taken; then none is
     */
    public function __invoke(
        Assignment $assignment, User $student, UploadedFile|string|array $work, ?array $declared = null,
        ?Carbon $arrived = null, ?Carbon $ahead = null, ?string $once = null,
    ): Handin {
        $script = $this->scriptOf($assignment, $student);
        $received = $this->received($script, $arrived ?? Carbon::now(), $ahead);
        $before = $this->twin(new Collection([$script]), $student, $once);
        if ($before !== null) {
            return $before;
        }
        $this->refuseOutOfTime(new Collection([$script]), $received);
        $mates = $this->matesOf($assignment, $script);
        $work = $this->read->take($assignment, is_array($work) ? $work : [$work]);
        $paths = array_map(fn (UploadedPiece $piece): string => $piece->store('handins'), $work);
        try {
            $handin = DB::transaction(function () use (
                $assignment, $student, $mates, $received, $work, $paths, $declared, $once,
            ): Handin {
                // One at a time for the whole group, in the same order whoever of them hands in.
                $scripts = Script::query()->where('assignment_id', $assignment->id)
                    ->whereIn('student_id', [$student->id, ...array_map(fn (User $mate) => $mate->id, $mates)])
                    ->with(['assignment', 'student'])->withMax('handins', 'attempt')->orderBy('id')->lockForUpdate()
                    ->get();
                $own = $this->twin($scripts, $student, $once);
                if ($own !== null) { // the same form came twice at once
                    Storage::delete($paths);

                    return $own;
                }
                $this->refuseOutOfTime($scripts, $received);
                $ids = [];
                foreach ($scripts as $script) {
                    $handin = $this->keep($script, $student, $work, $paths, $received, $declared, $once);
                    $own = $script->student_id === $student->id ? $handin : $own;
                    $ids[] = $handin->id;
                    $this->count($script, $handin);
                    Mail::to($script->student->email)->queue((new HandedIn($handin))->afterCommit());
                }
                CountingAttemptChanged::dispatch(array_values($scripts->modelKeys()));
                TypedText::query()->whereIn('script_id', $scripts->pluck('id'))->where('student_id', $student->id)
                    ->delete();
                assert($own instanceof Handin);
                // A line about a person carries no script code.
                $this->logbook->write(Entry::of(LogEvent::HandedIn)->on($assignment)->with(
                    attempt: $own->attempt, files: count($work), sha256: $own->sha256, late: $own->late,
                    members: $mates === [] ? null : count($mates) + 1,
                )->by($student));

                ReadHandinJob::dispatch($ids, $student->id)->afterCommit();

                return $own;
            });
        } catch (\Throwable $e) {
            Storage::delete($paths);
            throw $e;
        }

        return $handin->refresh();
    }

    private function received(Script $script, Carbon $form, ?Carbon $ahead): Carbon
    {
        $due = $script->due_at?->toDateTimeImmutable();

        return (
            $due === null
                ? $form->copy()
                : Carbon::instance(
                    Attempts::received($form->toDateTimeImmutable(), $ahead?->toDateTimeImmutable(), $due)
                )
        )->startOfSecond();
    }

    /**
     * What this very form has handed in already.
     *
     * @param  Collection<int, Script>  $scripts
     */
    private function twin(Collection $scripts, User $student, ?string $once): ?Handin
    {
        return $once === null
            ? null
            : Handin::query()->where('script_id', $scripts->firstWhere('student_id', $student->id)?->id)
                ->where('once', $once)->first();
    }

    /** Lets the new attempt count, when it does by itself. */
    private function count(Script $script, Handin $handin): void
    {
        if ($script->brief_opened_at === null) {
            $script->update(['brief_opened_at' => $handin->received_at]);
        }
        if (
            ! Attempts::newOneCounts(
                $script->current_handin_id === null, $handin->received_at->toDateTimeImmutable(), $this->due($script),
            )
        ) {
            return;
        }
        $script->letCount($handin);
        // Whoever observes has had the mark since the slot was published; these are the slides for it.
        $script->assignment->isObserved() && Mark::counting()->where('script_id', $script->id)->whereNull('begun_at')
            ->update(['work_id' => $handin->id]);
        // With one mark a group, one of its scripts is compared for all. It waits until it is read.
        if ($script->lead_id === null) {
            OverlapReport::query()->create(['handin_id' => $handin->id]);
        }
    }

    /**
     * The other members of the student's group; none when each hands in alone.
     *
     * @return list<User>
     */
    private function matesOf(Assignment $assignment, Script $script): array
    {
        return ! $assignment->handin_by->isGroup() || $script->group_name === null ? []
            : array_values(
                $script->group()->where('student_id', '<>', $script->student_id)
                    ->map(fn (Script $mate) => $mate->student)->all()
            );
    }

    private function scriptOf(Assignment $assignment, User $student): Script
    {
        return Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)
            ->with('assignment')->first()
            ?? throw new Refused(
                'You are not on the list for this assignment. Ask your module coordinator to add you.'
            );
    }

    /**
     * @param  Collection<int, Script>  $scripts  of the student, or of the whole group: they have one due time
     */
    private function refuseOutOfTime(Collection $scripts, Carbon $received): void
    {
        $script = $scripts->firstOrFail();
        if (! $script->assignment->isOpen()) {
            throw new Refused('This assignment is not open yet.');
        }
        if ($script->closes_at !== null && $received->gt($script->closes_at)) {
            throw new Refused(
                'This assignment closed on '.LocalTime::shown($script->closes_at)
                    .'. Nothing can be handed in now; write to your module coordinator.'
            );
        }
        if ($script->assignment->isObserved()) {
            $script->takesSlides() || throw new Refused(__('observe.refused.slides_late'));
        } elseif (Script::areWithMarkers($scripts->whereNotNull('current_handin_id'))) {
            throw new Refused(
                'Your work is with its markers, so nothing can take its place. What you handed in is safe; your receipt is below.'
            );
        }
    }
}
