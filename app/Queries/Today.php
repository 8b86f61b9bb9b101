<?php

declare(strict_types=1);

namespace App\Queries;

use App\Enums\CorrectionState;
use App\Enums\PackState;
use App\Enums\ReviewState;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\AssignmentModerator;
use App\Models\ConversationEntry;
use App\Models\Correction;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\PackNote;
use App\Models\Review;
use App\Models\SamplePack;
use App\Models\Script;
use App\Models\User;
use App\Queries\Peers\ContributionsToday;
use App\Queries\Peers\RoundsToday;
use App\Queries\Reflect\SheetsToday;
use App\Wording\DiscussionWords;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Fairway\Counts;
use YoungHarbor\Core\Marking\Disagreement;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Marking\Standing;
use YoungHarbor\Core\Release\AbsentGet;

/**
 * What needs a person today. Every list is one query, however many assignments there are.
 */
final class Today
{
    public function __construct(
        private readonly AssignmentCounts $counts, private readonly RoundsToday $rounds,
        private readonly ContributionsToday $contributions, private readonly SheetsToday $sheets,
    ) {
    }

    /**
     * @return list<TodayItem> most urgent first
     */
    public function of(User $person): array
    {
        $items = [
            ...$this->toReview($person), ...$this->toSign($person), ...$this->toDecideOn($person),
            ...$this->asCoordinator($person),
            ...$this->asExaminer($person),
            ...$this->asMarker($person), ...$this->asStudent($person), ...$this->rounds->of($person),
            ...$this->contributions->of($person), ...$this->sheets->of($person),
        ];
        usort(
            $items,
            fn (TodayItem $a, TodayItem $b) => [
                $b->needsYou, $a->by === null, $a->by,
            ] <=> [$a->needsYou, $b->by === null, $b->by],
        );

        return $items;
    }

    /**
     * Sample packs that wait for this person's signature.
     *
     * @return list<TodayItem>
     */
    private function toSign(User $person): array
    {
        $packs = SamplePack::query()->where('reader_id', $person->id)->where('state', PackState::Sent)
            ->with('assignment.module')->withCount('scripts')->orderBy('id')->get()
            ->filter(fn (SamplePack $pack) => $person->roleIn($pack->assignment->module_id) !== null);

        return array_values($packs->map(fn (SamplePack $pack) => new TodayItem(
            $pack->assignment,
            trans_choice('moderate.today.pack', (int) $pack->scripts_count, ['count' => $pack->scripts_count]),
            route('packs.show', $pack), 'Read and sign', true, $pack->assignment->promised_on, 'promised',
        ))->all());
    }

    /**
     * Reviews of marks: for coordinators to decide, for whoever was asked to look at one.
     *
     * @return list<TodayItem>
     */
    private function toReview(User $person): array
    {
        $mine = $this->modulesAs($person, Role::Coordinator);
        $open = Review::query()->where('state', ReviewState::Received)
            ->where(fn ($query) => $query->whereHas(
                'script.assignment', fn ($one) => $one->whereIn('module_id', $mine),
            )->orWhere(fn ($asked) => $asked->where('with_id', $person->id)->whereNull('advised_at')))
            ->with('script.assignment.module')->orderBy('answer_by')->get();

        return array_values($open->groupBy(fn (Review $one) => $one->script->assignment_id)
            ->map(function (Collection $reviews) use ($person): TodayItem {
                $first = $reviews->firstOrFail();
                $coordinates = $person->coordinates($first->script->assignment->module_id);

                return new TodayItem(
                    $first->script->assignment,
                    trans_choice($coordinates ? 'reviews.today' : 'reviews.today_with', $reviews->count(), [
                        'count' => $reviews->count(),
                    ]),
                    route('reviews.show', $first), $coordinates ? 'Decide' : 'Look at it', true, $first->answer_by,
                    'to be answered by',
                );
            })->all());
    }

    /**
     * Corrections of marks that someone else asked for and this person may decide on.
     *
     * @return list<TodayItem>
     */
    private function toDecideOn(User $person): array
    {
        $asked = Correction::query()->where('state', CorrectionState::Asked)->where('asked_by', '<>', $person->id)
            ->where(fn ($query) => $query->whereNull('marker_id')->orWhere('marker_id', '<>', $person->id))
            ->where(fn ($query) => $query
                ->whereHas(
                    'assignment', fn ($one) => $one->whereIn('module_id', $this->modulesAs($person, Role::Coordinator)),
                )
                ->orWhereIn(
                    'assignment_id',
                    AssignmentModerator::query()->where('user_id', $person->id)->select('assignment_id'),
                ))
            ->with('assignment.module')->orderBy('id')->get()
            ->filter(fn (Correction $one) => $person->can('correct', $one->assignment));

        return array_values($asked->map(fn (Correction $one) => new TodayItem(
            $one->assignment, __('corrections.today'), route('corrections.show', $one), 'Decide', true,
            $one->assignment->promised_on, 'promised',
        ))->all());
    }

    /**
     * @return list<TodayItem>
     */
    private function asCoordinator(User $person): array
    {
        $assignments = Assignment::query()->with('module')
            ->whereIn('module_id', $this->modulesAs($person, Role::Coordinator))->get();
        $counts = $this->counts->ofMany($assignments);
        $asked = PackNote::query()->where('kind', PackNote::REQUEST)->whereDoesntHave('answers')
            ->join('sample_packs', 'sample_packs.id', '=', 'pack_notes.sample_pack_id')
            ->whereIn('sample_packs.assignment_id', $assignments->modelKeys())
            ->groupBy('sample_packs.assignment_id')->selectRaw('sample_packs.assignment_id, COUNT(*) AS requests')
            ->toBase()->pluck('requests', 'assignment_id');
        $decide = $this->toDecide($assignments, $counts);
        $items = [];
        foreach ($assignments as $assignment) {
            array_push($items, ...$this->steps(
                $assignment, $counts[$assignment->id], (int) ($decide[$assignment->id] ?? 0),
            ));
            $open = (int) ($asked[$assignment->id] ?? 0);
            $open === 0 || $items[] = new TodayItem(
                $assignment, trans_choice('moderate.today.asked', $open, ['count' => $open]),
                route('packs.index', $assignment), 'Answer', true, $assignment->promised_on, 'promised',
            );
        }

        return $items;
    }

    /**
     * How many scripts are past their date where a coordinator then decides.
     *
     * @param  Collection<int, Assignment>  $assignments
     * @param  array<int, Counts>  $counts
     * @return array<int, int> by assignment id
     */
    private function toDecide(Collection $assignments, array $counts): array
    {
        $waiting = $assignments->filter(
            fn (Assignment $one) => $counts[$one->id]->toSettle > 0
                && $one->scheme->disagreement === Disagreement::Coordinator,
        );
        $since = $waiting->isEmpty() ? collect() : Script::query()->whereIn('assignment_id', $waiting->modelKeys())
            ->where('reached', Standing::ToSettle)->whereNull('lead_id')->toBase()
            ->get(['assignment_id', 'to_settle_at'])
            ->groupBy('assignment_id');

        return $waiting->mapWithKeys(fn (Assignment $one) => [
            $one->id => $since->get($one->id, collect())
                ->where('to_settle_at', '<=', now()->subDays($one->scheme->days)->toDateTimeString())->count(),
        ])->all();
    }

    /**
     * What an examiner may look into: each assignment whose scripts are with markers. Nothing waits for them here.
     *
     * @return list<TodayItem>
     */
    private function asExaminer(User $person): array
    {
        $assignments = Assignment::query()->with('module')
            ->whereIn('module_id', $this->modulesAs($person, Role::Examiner))->whereNotNull('shared_out_at')->get();
        $counts = $this->counts->ofMany($assignments);

        return array_values($assignments->map(fn (Assignment $assignment) => new TodayItem(
            $assignment,
            "{$counts[$assignment->id]->agreed} of {$counts[$assignment->id]->handedIn} scripts have an agreed mark, {$counts[$assignment->id]->released} are released",
            route('moderate.index', $assignment), 'See marks and how they settled', false, $assignment->promised_on,
            'promised',
        ))->all());
    }

    /**
     * @return list<TodayItem>
     */
    private function steps(Assignment $assignment, Counts $n, int $decide): array
    {
        $item = fn (
            string $what, string $route, string $step, bool $needsYou = true, string $byWhat = 'due',
        ) => new TodayItem(
            $assignment, $what, route($route, $assignment), $step, $needsYou,
            $byWhat === 'promised' ? $assignment->promised_on : $assignment->due_at, $byWhat,
        );
        $open = $n->handedIn - $n->sharedOut;
        $ready = $n->agreed - $n->released - $n->held;
        $items = [];
        if (! $n->published) {
            return [$item('Not open to students yet', 'plan.edit', 'Finish and open it')];
        }
        if ($n->screeningFailed > 0) {
            $items[] = $item(
                $n->screeningFailed === 1 ? '1 comparison failed' : "{$n->screeningFailed} comparisons failed",
                'screen.index', 'See why',
            );
        }
        if ($n->pastDue && $n->toLook > 0 && $n->released < $n->handedIn) {
            $items[] = $item(
                $n->toLook === 1
                    ? '1 script is past a line for overlap, with nothing recorded'
                    : "{$n->toLook} scripts are past a line for overlap, with nothing recorded",
                'screen.index', 'Look at them', byWhat: 'promised',
            );
        }
        if ($n->pastDue && $open > 0) {
            $items[] = $item(
                $open === 1 ? '1 script is not shared out' : "{$open} scripts are not shared out", 'share-out.index',
                'Share out', byWhat: 'promised',
            );
        }
        if ($ready > 0 && $n->agreed >= $n->handedIn) {
            $items[] = $item(
                $ready === 1 ? '1 result is ready to release' : "{$ready} results are ready to release",
                'release.index', 'Open the ready check', byWhat: 'promised',
            );
        }
        if ($n->handedIn > 0 && $n->released === $n->handedIn && ! $assignment->namesRevealed()) {
            $items[] = $item(
                'Everything is released; names are still hidden from markers', 'release.index', 'Reveal names', false,
                'promised',
            );
        }
        if ($n->undecided > 0 && $n->firstDone >= $n->handedIn) {
            $items[] = $item(
                trans_choice('moderate.today.undecided', $n->undecided, ['count' => $n->undecided]), 'sample.index',
                'Draw the sample', byWhat: 'promised',
            );
        }
        if ($decide > 0) {
            $items[] = $item(
                trans_choice('moderate.today.decide', $decide, ['count' => $decide]), 'moderate.index',
                'Decide', byWhat: 'promised',
            );
        }
        if ($n->toSettle > $decide) {
            $items[] = $item(
                $n->toSettle === 1
                    ? '1 script waits to be settled by its two markers'
                    : "{$n->toSettle} scripts wait to be settled by their two markers",
                'moderate.index', 'See which', false, 'promised',
            );
        }
        if ($items === [] && ! $n->pastDue) {
            $items[] = $n->writing === null
                ? ($assignment->isObserved()
                    ? $item(__('observe.today.slots', ['in' => $n->handedIn, 'all' => $n->expected]), 'slots.index', __('observe.title'), false)
                    : $item("{$n->handedIn} of {$n->expected} handed in", 'collect.index', 'See who', false))
                : $item("{$n->writing} of {$n->expected} have written in the discussion", 'discussion.show', 'Read it', false);
        }
        if ($items === [] && $n->released < $n->handedIn) {
            $done = $n->secondMarking
                ? ($n->undecided === null
                    ? "{$n->firstDone} first and {$n->secondDone} second marks of {$n->handedIn} are in"
                    : "{$n->firstDone} first marks of {$n->handedIn} are in, and {$n->secondDone} second marks of {$n->sampled}")
                : "{$n->firstDone} of {$n->handedIn} are marked";
            $items[] = $item($done, 'moderate.index', 'See how far', false, 'promised');
        }

        return $items;
    }

    /**
     * @return list<TodayItem>
     */
    private function asMarker(User $person): array
    {
        $items = [];
        $open = Mark::onDesks()->where('marker_id', $person->id)->whereNull('done_at')
            // A mark that checks another waits until that one is done.
            ->where(fn ($query) => $query->where('view', '<>', SecondView::Check)->orWhereIn(
                'script_id', Mark::counting()->where('seat', Seat::First)->whereNotNull('done_at')->select('script_id'),
            ))
            ->whereHas('script', fn ($query) => $query->whereNull('held_reason'))
            ->with('script.assignment.module')
            ->orderByRaw('aside_reason IS NOT NULL, touched_at DESC, begun_at DESC, public_id')->get();
        $kind = fn (Mark $mark): string => match (true) {
            $mark->seat === Seat::Third => 'third',
            $mark->view === SecondView::Check => 'check',
            default => 'mark',
        };
        foreach ($open->groupBy(fn (Mark $mark) => $mark->script->assignment_id.$kind($mark)) as $marks) {
            $mark = $marks->firstOrFail();
            $assignment = $mark->script->assignment;
            if (
                $assignment->isObserved()
                && $assignment->slots()->whereIn(
                    'script_id', $marks->pluck('script_id'),
                )->whereHas('observers', fn ($one) => $one->whereKey($person->id))->exists()
            ) {
                $items[] = new TodayItem(
                    $assignment, trans_choice('observe.today.observe', $marks->count()), route('observe.show', $assignment),
                    __('observe.page.observe'), true, $assignment->due_at,
                );

                continue;
            }
            $items[] = new TodayItem(
                $assignment,
                $kind($mark) !== 'mark'
                    ? trans_choice("moderate.today.{$kind($mark)}", $marks->count(), ['count' => $marks->count()])
                    : ($marks->count() === 1 ? '1 script to mark' : "{$marks->count()} scripts to mark"),
                route('mark.desk', $mark), 'Go to the desk', true, $mark->script->assignment->promised_on, 'promised',
            );
        }
        foreach ($this->toSettle($person)->groupBy('assignment_id') as $scripts) {
            $script = $scripts->firstOrFail();
            $items[] = new TodayItem(
                $script->assignment,
                $scripts->count() === 1
                    ? "{$script->code} to settle with the other marker"
                    : "{$scripts->count()} scripts to settle with the other marker",
                route('moderate.show', [$script, 'show' => 'to-settle']), 'Settle', true,
                $scripts->map(fn (Script $one) => $one->settleBy())->min(), 'to be settled by',
            );
        }

        return $items;
    }

    /**
     * @return Collection<int, Script>
     */
    private function toSettle(User $person): Collection
    {
        return Script::query()->with('assignment.module')
            ->whereHas('marks', fn ($query) => $query->where('marker_id', $person->id))
            ->where('reached', Standing::ToSettle)
            // With an open proposal it is the other marker's turn.
            ->whereDoesntHave(
                'proposals', fn ($query) => $query->where('state', 'open')->where('proposed_by', $person->id),
            )
            ->orderBy('code')->get();
    }

    /**
     * @return list<TodayItem>
     */
    private function asStudent(User $person): array
    {
        $items = [];
        $scripts = Script::query()->where('student_id', $person->id)
            ->with(['assignment.module', 'result:id,public_id,script_id,mark,first_opened_at,released_at', 'currentHandin', 'participation', 'slot', 'lead.slot'])->get();
        $written = ConversationEntry::query()->whereIn('script_id', $scripts->modelKeys())->where('student_sees', true)
            ->whereNull('student_read_at')->pluck('script_id')->unique();
        foreach ($scripts as $script) {
            $assignment = $script->assignment;
            if ($written->contains($script->id)) {
                $items[] = new TodayItem(
                    $assignment, 'Your coordinator wrote to you about your work', route('screen.own-record', $script),
                    'Read it', true, null,
                );
            }
            if ($script->result !== null) {
                $unread = $script->result->first_opened_at === null;
                $items[] = new TodayItem(
                    $assignment, $unread ? 'Your result is here' : 'Your result',
                    route('results.show', $script->result), $unread ? 'Read it' : 'Read it again', $unread,
                    $script->result->released_at, 'released',
                );
            } elseif ($assignment->isOpen() && $script->left_at === null) {
                $in = $script->currentHandin;
                $takes = $script->takesHandIns();
                if ($in === null && ! $takes && $assignment->release->absent === AbsentGet::Nothing) {
                    continue;
                }
                if ($assignment->isDiscussion() && ($takes || $in === null)) {
                    $items[] = $this->talk($script, $takes);

                    continue;
                }
                if ($assignment->isObserved()) {
                    $items[] = $this->observed($script);

                    continue;
                }
                $items[] = $in === null
                    ? new TodayItem(
                        $assignment,
                        match (true) {
                            ! $takes => 'Not handed in, and it is closed',
                            $script->isPastDue() => 'Not handed in; the due time has passed',
                            default => 'Not handed in yet',
                        },
                        route('hand-in.show', $assignment), $takes ? 'Read the brief and hand in' : 'Look at it', $takes,
                        $script->due_at,
                    )
                    : new TodayItem(
                        $assignment, $assignment->isDiscussion() ? __('discuss.today.over')
                            : 'Handed in'.($in->late ? ' late' : '').', '.LocalTime::shown($in->received_at),
                        route('hand-in.show', $assignment), 'See what was handed in', false, $script->due_at,
                    );
            }
        }

        return $items;
    }

    /** When and where a student is observed. */
    private function observed(Script $script): TodayItem
    {
        $slot = $script->leadScript()->slot;
        $known = $slot !== null && $slot->published_at !== null;

        return new TodayItem(
            $script->assignment, $known ? __('observe.today.at', [
                'at' => LocalTime::shown($slot->starts_at), 'room' => $slot->room,
            ]) : __('observe.student.none'),
            route('hand-in.show', $script->assignment), __('observe.today.look'), $known && $slot->starts_at->isFuture(),
            $known ? $slot->starts_at : $script->due_at,
        );
    }

    /** A discussion that a student can still write in, or wrote nothing in. */
    private function talk(Script $script, bool $takes): TodayItem
    {
        $own = $script->participation;
        $has = $own !== null && $own->first_at !== null;

        return new TodayItem(
            $script->assignment, match (true) {
                ! $takes => __('discuss.today.nothing_over'),
                ! $has => __($script->isPastDue() ? 'discuss.today.late' : 'discuss.today.nothing'),
                $own->below => DiscussionWords::missing($own, $script->assignment->discussion),
                default => __('discuss.today.enough'),
            },
            route('discussion.show', $script->assignment), $takes ? __('discuss.go') : 'Look at it', $takes && (! $has || $own->below),
            $has ? $script->closesDiscussionAt() : $script->due_at,
        );
    }

    /**
     * @return list<int>
     */
    private function modulesAs(User $person, Role $role): array
    {
        return array_values(
            $person->memberships->filter(
                fn (Membership $membership) => $membership->role === $role && $membership->left_at === null
            )->map(fn (Membership $membership) => $membership->module_id)->all()
        );
    }
}
