<?php

declare(strict_types=1);

namespace App\Keeping;

use App\Enums\KeepingState;
use App\Keeping\LettingGo\LettingGo;
use App\Keeping\LettingGo\LettingGoByAge;
use App\Models\Assignment;
use App\Models\Institution;
use App\Models\KeepingDecision;
use App\Models\Module;
use App\Wording\LocalTime;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Keeping\Kind;
use YoungHarbor\Core\Keeping\Periods;

/**
 * What has a period, when it is over, and how much of it is there. What an assignment keeps counts from when the
 * assignment was over: the last due time, the last slot, the last result that went out or the last review that was
 * decided, whichever came last. Mail and the logbook count entry by entry.
 */
final readonly class DueThings
{
    /** Things that fall due within so many months are told of beforehand. */
    private const AHEAD = 12;

    public function __construct(private Letting $letting)
    {
    }

    /**
     * @return list<DueThing> those that are due first, by day
     */
    public function everywhere(): array
    {
        return $this->sorted([
            ...$this->ofInstitution(), ...$this->ofAssignments(Assignment::query()),
        ]);
    }

    /**
     * @return list<DueThing>
     */
    public function inModule(Module $module): array
    {
        return $this->sorted($this->ofAssignments(Assignment::query()->where('module_id', $module->id)));
    }

    public function one(Kind $kind, ?Assignment $assignment): ?DueThing
    {
        $found = $assignment === null
            ? $this->ofInstitution()
            : $this->ofAssignments(Assignment::query()->whereKey($assignment->id));

        return collect($found)->first(fn (DueThing $one) => $one->kind === $kind);
    }

    /**
     * Scripts of which something of a kind is there and may go: all or none where it goes as a whole.
     *
     * @return list<int>
     */
    public function scripts(LettingGo $how, Assignment $assignment): array
    {
        $rows = DB::table('scripts')->where('assignment_id', $assignment->id)->whereRaw('('.$how->isThere().')')
            ->selectRaw('id, '.Letting::HELD.' AS held')->orderBy('id')->lockForUpdate()->get();
        $free = $rows->where('held', 0);

        return $how->isWhole() && $free->count() < $rows->count()
            ? []
            : array_values($free->pluck('id')->map(intval(...))->all());
    }

    public static function today(): Carbon
    {
        return now(LocalTime::zone())->startOfDay();
    }

    /** Periods that hold in a module. */
    public static function periodsOf(Module $module): Periods
    {
        return Institution::settings()->keeping->with($module->keeping);
    }

    /** What is older than that is over. */
    public static function before(Periods $periods, Kind $kind): ?Carbon
    {
        $day = $periods->keptSince($kind, self::today()->toDateTimeImmutable());

        return $day === null ? null : Carbon::instance($day)->utc();
    }

    /**
     * @return list<DueThing>
     */
    private function ofInstitution(): array
    {
        $periods = Institution::settings()->keeping;
        $decisions = $this->decisions(null);
        $found = [];
        foreach ([Kind::Mail, Kind::Logbook] as $kind) {
            $how = $this->letting->of($kind);
            $before = self::before($periods, $kind);
            if ($before !== null && $how instanceof LettingGoByAge && ($count = $how->count($before)) > 0) {
                $found[] = new DueThing(
                    $kind, null, (int) $periods->months($kind), null, self::today()->utc(), $count, 0,
                    $decisions[DueThing::keyOf($kind, null)] ?? null,
                );
            }
        }

        return $found;
    }

    /**
     * @param  Builder<Assignment>  $which
     * @return list<DueThing>
     */
    private function ofAssignments(Builder $which): array
    {
        $institution = Institution::settings()->keeping;
        $found = [];
        if ($institution->isEmpty()) { // then only what modules say of themselves
            $which->whereIn('module_id', Module::query()->whereNotNull('keeping')->select('id'));
        }
        $assignments = $this->over($which);
        if ($assignments->isEmpty()) {
            return [];
        }
        $decisions = $this->decisions($assignments);
        $ahead = self::today()->addMonthsNoOverflow(self::AHEAD);
        foreach (Kind::ofAssignments() as $kind) {
            $due = [];
            foreach ($assignments as $assignment) {
                $over = $this->overAt($assignment);
                $periods = $institution->with($assignment->module->keeping);
                $local = $over?->copy()->setTimezone(LocalTime::zone())->toDateTimeImmutable();
                $end = $local === null ? null : $periods->endOf($kind, $local);
                if ($over !== null && $end !== null && $ahead->gte($end)) {
                    $due[$assignment->id] = [
                        $assignment, (int) $periods->months($kind), $over, Carbon::instance($end)->utc(),
                    ];
                }
            }
            foreach ($this->counts($kind, array_keys($due)) as $id => [$count, $held]) {
                [$assignment, $months, $over, $end] = $due[$id];
                $found[] = new DueThing(
                    $kind, $assignment, $months, $over, $end, $count, $held,
                    $decisions[DueThing::keyOf($kind, $assignment->public_id)] ?? null,
                );
            }
        }

        return $found;
    }

    /**
     * @param  Builder<Assignment>  $which
     * @return Collection<int, Assignment> with the times of what came last
     */
    private function over(Builder $which): Collection
    {
        $ofScripts = fn (string $table, string $column) => DB::table($table)->join('scripts', 'scripts.id', '=', "{$table}.script_id")
            ->whereColumn('scripts.assignment_id', 'assignments.id')->selectRaw("MAX({$table}.{$column})");

        return $which->whereNotNull('published_at')->whereNull('let_go_at')->with('module')
            ->select(['assignments.id', 'public_id', 'module_id', 'title', 'due_at', 'results_out_at'])
            ->selectSub(DB::table('scripts')->whereColumn('assignment_id', 'assignments.id')->selectRaw('MAX(due_at)'), 'last_due')
            ->selectSub($ofScripts('results', 'released_at'), 'last_result')
            ->selectSub($ofScripts('reviews', 'decided_at'), 'last_review')
            ->selectSub($ofScripts('slots', 'ends_at'), 'last_slot')
            ->get();
    }

    private function overAt(Assignment $assignment): ?Carbon
    {
        $times = array_filter([
            $assignment->due_at?->toDateTimeString(),
            ...array_map(fn (string $one) => $assignment->getAttribute($one), ['last_due', 'last_result', 'last_review', 'last_slot']),
        ], is_string(...));

        return $times === [] ? null : Carbon::parse(max($times), 'UTC');
    }

    /**
     * @param  list<int>  $assignments
     * @return array<int, array{int, int}> how many scripts have some, and how many of those are held
     */
    private function counts(Kind $kind, array $assignments): array
    {
        $how = $this->letting->of($kind);
        if ($assignments === [] || ! $how instanceof LettingGo) {
            return [];
        }
        $counts = [];
        $rows = DB::table('scripts')->whereIn('assignment_id', $assignments)->whereRaw('('.$how->isThere().')')
            ->groupBy('assignment_id')->selectRaw('assignment_id, COUNT(*) AS n, SUM('.Letting::HELD.') AS held')->get();
        foreach ($rows as $row) {
            $held = (int) $row->held;
            $counts[(int) $row->assignment_id] = [(int) $row->n, $how->isWhole() && $held > 0 ? (int) $row->n : $held];
        }

        return $counts;
    }

    /**
     * @param  Collection<int, Assignment>|null  $of  null: of the institution
     * @return array<string, KeepingDecision> the last that stands, by what it is about
     */
    private function decisions(?Collection $of): array
    {
        $titles = $of?->pluck('public_id', 'id');
        $last = [];
        KeepingDecision::query()->whereIn('state', [KeepingState::Confirmed, KeepingState::Longer])->with('by')
            ->when(
                $titles === null, fn ($query) => $query->whereNull('assignment_id'),
                fn ($query) => $query->whereIn('assignment_id', $titles?->keys() ?? []),
            )
            ->orderBy('id')->each(function (KeepingDecision $one) use (&$last, $titles): void {
                $public = $one->assignment_id === null ? null : (string) $titles?->get($one->assignment_id);
                $last[DueThing::keyOf($one->kind, $public)] = $one;
            });

        return $last;
    }

    /**
     * @param  list<DueThing>  $things
     * @return list<DueThing>
     */
    private function sorted(array $things): array
    {
        usort($things, fn (DueThing $a, DueThing $b) => [$a->due->timestamp, $a->assignment?->title, $a->kind->value]
            <=> [$b->due->timestamp, $b->assignment?->title, $b->kind->value]);

        return $things;
    }
}
