<?php

declare(strict_types=1);

namespace App\Desk;

use App\Models\Assignment;
use App\Models\Mark;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use YoungHarbor\Core\Allocation\SectionFilters;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Screening\ReportSeen;
use YoungHarbor\Core\Screening\Verdict;

/**
 * A marker's way through their scripts of one assignment: in an order that was drawn, so that it tells nothing and
 * is the same on every device, or in the order of what needs marking, scripts that all mark together first.
 * Each step is a fixed number of queries, however long the queue is.
 */
final class DeskQueue
{
    private const MIXED = 'marks.queue_place';

    /** Which of them: by name, the words for it. */
    public const SHOWN = [
        '' => 'all', 'open' => 'to do', 'begun' => 'begun', 'aside' => 'set aside', 'done' => 'done',
        'flagged' => 'past a line for overlap',
    ];

    /**
     * In which order a list has them; at the desk one steps in the mixed order unless another is chosen, since it
     * stands still.
     */
    public const ORDERS = ['' => 'what needs marking first', 'mixed' => 'mixed', 'code' => 'by code'];

    /**
     * What of a page's address chooses among scripts.
     *
     * @param  array<array-key, mixed>  $asked
     * @return array{show?: string, section?: string, order?: string} without what is usual
     */
    public static function filter(array $asked): array
    {
        $filter = [];
        foreach (['show' => self::SHOWN, 'order' => self::ORDERS] as $key => $known) {
            if (is_string($asked[$key] ?? null) && $asked[$key] !== '' && isset($known[$asked[$key]])) {
                $filter[$key] = $asked[$key];
            }
        }
        if (is_string($asked['section'] ?? null) && $asked['section'] !== '') {
            $filter['section'] = mb_substr($asked['section'], 0, 300);
        }

        return $filter;
    }

    /**
     * @param  array{show?: string, section?: string, order?: string}  $filter
     * @return array{place: int, all: int, open: int, previous: string|null, next: string|null} the neighbours by public id
     */
    public function around(Mark $mark, array $filter = []): array
    {
        // The script one looks at stays in the row even when it no longer fits, so that the next one is where it was.
        $order = self::order($filter['order'] ?? '');
        $here = $order === self::MIXED
            ? $mark->queue_place
            : Mark::query()->whereKey($mark->id)->selectRaw("{$order} AS spot")->toBase()->sole()->spot;
        $queue = fn (): Builder => $this->queue($mark->assignment_id, $mark->marker_id, $filter);
        $beside = fn (string $side, string $direction): Builder => $queue()->select('marks.public_id')
            ->whereRaw("{$order} {$side} ?", [$here])->orderByRaw("{$order} {$direction}")->limit(1);
        $counts = $queue()
            ->selectRaw( // counted, not summed: sums of thousands are worked out in decimals
                "COUNT(*) AS every, COUNT(*) - COUNT(done_at) AS open, COUNT(IF({$order} < ?, 1, NULL)) AS before_it",
                [$here],
            )
            ->selectSub($beside('<', 'DESC'), 'previous')->selectSub($beside('>', 'ASC'), 'next')
            ->toBase()->sole();
        $isIn = $filter === [] ? ! $mark->isPutAway() : $queue()->whereKey($mark->id)->exists();

        return [
            'place' => (int) $counts->before_it + 1,
            'all' => (int) $counts->every + ($isIn ? 0 : 1),
            'open' => (int) $counts->open + (! $isIn && ! $mark->isClosed() ? 1 : 0),
            'previous' => $counts->previous, 'next' => $counts->next,
        ];
    }

    /**
     * The next script that is not done, beginning again at the first after the last; what is set aside comes last of
     * all.
     *
     * @param  array{show?: string, section?: string, order?: string}  $filter
     */
    public function nextOpen(Mark $mark, array $filter = []): ?Mark
    {
        $order = self::order($filter['order'] ?? '');
        $here = Mark::query()->whereKey($mark->id)->selectRaw("{$order} AS spot")->toBase()->sole()->spot;

        /** @var Mark|null $next */
        $next = $this->queue($mark->assignment_id, $mark->marker_id, [...$filter, 'show' => ''])->whereNull('done_at')
            ->where('marks.id', '!=', $mark->id)
            ->orderByRaw("seat != 'together', aside_reason IS NOT NULL, {$order} < ?, {$order}", [$here])->first();

        return $next;
    }

    /**
     * Where someone goes on: what was last on their desk and is not done, or else the first that is open.
     */
    public function resume(Assignment $assignment, User $person): ?Mark
    {
        /** @var Mark|null $next */
        $next = $this->queue($assignment->id, $person->id, [])->whereNull('done_at')
            ->orderByRaw(
                "seat != 'together', aside_reason IS NOT NULL, touched_at IS NULL, touched_at DESC, marks.queue_place"
            )->first();

        return $next;
    }

    /**
     * @param  array{show?: string, section?: string, order?: string}  $filter
     * @return Builder<Mark>
     */
    public function queue(int $assignmentId, int $markerId, array $filter): Builder
    {
        $queue = Mark::onDesks();
        // Just after scripts were given out the table's statistics do not tell yet which index holds all that is asked
        // here.
        $queue->getQuery()->forceIndex('marks_queue_index');

        return $queue->where('marks.marker_id', $markerId)->where('marks.assignment_id', $assignmentId)
            ->when(($filter['show'] ?? '') !== '', fn (Builder $query) => match ($filter['show'] ?? '') {
                'open' => $query->whereNull('done_at'),
                'begun' => $query->whereNull('done_at')->whereNotNull('begun_at'),
                'aside' => $query->whereNull('done_at')->whereNotNull('aside_reason'),
                'done' => $query->whereNotNull('done_at'),
                // Only where markers see reports from the start.
                'flagged' => Assignment::query()->whereKey($assignmentId)->firstOrFail()
                    ->screening->seen === ReportSeen::Start
                    ? $query->whereIn(
                        'script_id',
                        fn ($scripts) => $scripts->select('id')->from('scripts')->where('assignment_id', $assignmentId)
                            ->whereIn('screening', Verdict::pastALine()),
                    )
                    : $query->whereRaw('FALSE'),
                default => $query,
            })
            ->when(isset($filter['section']), function (Builder $query) use ($assignmentId, $markerId, $filter): void {
                // A choice that would hold one or two scripts is none: all of them are shown.
                $sections = $this->sections($assignmentId, $markerId)[$filter['section'] ?? ''] ?? null;
                $members = fn () => Membership::query()
                    ->where(
                        'module_id',
                        fn ($module) => $module->select('module_id')->from('assignments')->where('id', $assignmentId),
                    )
                    ->select('user_id')->toBase();
                $sections === null
                    || $query->whereIn('script_id', fn ($scripts) => $scripts->select('scripts.id')->from('scripts')->where('scripts.assignment_id', $assignmentId)
                        ->where(fn ($student) => $student->whereIn(
                            'student_id', $members()->whereIn('section', $sections),
                        )
                            ->when(
                                in_array('', $sections, true),
                                fn ($none) => $none->orWhereNotIn('student_id', $members()->whereNotNull('section')),
                            )));
            });
    }

    /**
     * The sections a marker can choose by.
     *
     * @return array<string, non-empty-list<string>> sections by how the choice is named
     */
    public function sections(int $assignmentId, int $markerId): array
    {
        $counts = Mark::query()->where('marks.marker_id', $markerId)->where('marks.assignment_id', $assignmentId)
            ->whereNull('marks.handed_over_at')
            ->join('scripts', 'scripts.id', '=', 'marks.script_id')->join(
                'assignments', 'assignments.id', '=', 'scripts.assignment_id',
            )
            ->leftJoin(
                'memberships',
                fn ($join) => $join->on(
                    'memberships.module_id', '=', 'assignments.module_id',
                )->on('memberships.user_id', '=', 'scripts.student_id'),
            )
            ->groupByRaw("COALESCE(memberships.section, '')")
            ->selectRaw("COALESCE(memberships.section, '') AS section, COUNT(DISTINCT marks.script_id) AS scripts")
            ->toBase()->pluck('scripts', 'section');
        $choices = [];
        foreach (SectionFilters::of($counts->map(fn (mixed $count) => (int) $count)->all()) as $sections) {
            $choices[
                implode(', ', array_map(fn (string $section) => $section === '' ? 'no section' : $section, $sections))
            ] = $sections;
        }

        return $choices;
    }

    /** A single value to order and to compare by. */
    public static function order(string $order): string
    {
        $together = "IF(marks.seat = '".Seat::Together->value."' AND done_at IS NULL, '0', '1')";

        return match ($order) {
            'need' => "CONCAT({$together}, IF(done_at IS NOT NULL, 3, IF(aside_reason IS NOT NULL, 2, IF(begun_at IS NOT NULL, 0, 1))), LPAD(marks.queue_place, 20, '0'))",
            'code' => "CONCAT({$together}, (SELECT code FROM scripts WHERE scripts.id = marks.script_id), marks.seat, marks.public_id)",
            // As the index has it: a step is quick however long the queue is.
            default => self::MIXED,
        };
    }
}
