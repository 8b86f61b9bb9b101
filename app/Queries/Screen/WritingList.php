<?php

declare(strict_types=1);

namespace App\Queries\Screen;

use App\Enums\WritingState;
use App\Models\Assignment;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use YoungHarbor\Core\Writing\Share;

/**
 * The writing signals of a cohort: counted and sorted by the database, a page at a time.
 */
final readonly class WritingList
{
    public const PAGE = 60;

    /** Filters by key: what they are called, and their condition. */
    public const FILTERS = [
        '' => ['All scripts', '1 = 1'],
        'unusual' => ['Past the alarm', "state = 'ready' AND at_least <= :alarm * among + 1e-9"],
        'turns' => ['Style turns in it', 'turns > 0'], 'nothing' => ['Nothing can be said', "state = 'nothing'"],
        'open' => ['Not measured yet', "COALESCE(state, 'waiting') IN ('waiting', 'failed')"],
    ];

    /** Measured scripts that a section needs before its share is shown. */
    private const LEAST = 8;

    private function __construct(
        public Assignment $assignment,
        public string $filter,
    ) {
    }

    public static function of(Assignment $assignment, mixed $show): self
    {
        return new self($assignment, is_string($show) && isset(self::FILTERS[$show]) ? $show : '');
    }

    /**
     * @return array<string, int> scripts by filter, and by state
     */
    public function counts(): array
    {
        $columns = [];
        foreach (self::FILTERS as $key => [, $condition]) {
            $columns[] = "COALESCE(SUM({$this->condition($condition)}), 0) AS `f_{$key}`";
        }
        foreach (WritingState::cases() as $state) {
            $columns[] = "COALESCE(SUM(COALESCE(state, 'waiting') = '{$state->value}'), 0) AS `s_{$state->value}`";
        }

        return array_map(
            intval(...), (array) DB::query()->fromSub($this->rows(), 'r')->selectRaw(implode(', ', $columns))->first(),
        );
    }

    /**
     * @return LengthAwarePaginator<int, object>
     */
    public function page(int $page): LengthAwarePaginator
    {
        return DB::query()->fromSub($this->rows(), 'r')->whereRaw($this->condition(self::FILTERS[$this->filter][1]))
            ->orderByRaw("COALESCE(state, 'waiting') <> 'ready', at_least / among, code")
            ->paginate(self::PAGE, page: $page)->withPath(route('writing.index', $this->assignment))
            ->appends(array_filter(['show' => $this->filter]));
    }

    /**
     * What the strip is drawn of.
     *
     * @return Collection<int, stdClass> code, public_id and the share of texts at least as unusual
     */
    public function strip(): Collection
    {
        return DB::query()->fromSub($this->rows(), 'r')->where('state', 'ready')->orderByRaw('at_least / among, code')
            ->selectRaw('code, public_id, at_least / among AS p')->get();
    }

    /**
     * How often each section is called unusual: an alarm that falls on some more than on others is no fair one.
     *
     * @return list<array{name: string, share: Share}>|null null when there are too few to say
     */
    public function sections(): ?array
    {
        $rows = DB::query()->fromSub($this->rows(), 'r')->join('memberships as m', 'm.user_id', '=', 'r.student_id')
            ->where('m.module_id', $this->assignment->module_id)->where('state', 'ready')->whereNotNull('m.section')
            ->groupBy('m.section')->orderBy('m.section')
            ->selectRaw(
                "m.section AS name, COUNT(*) AS measured, SUM({$this->condition(
                    self::FILTERS['unusual'][1]
                )}) AS unusual"
            )
            ->get()
            ->filter(fn (stdClass $row) => (int) $row->measured >= self::LEAST);

        return $rows->count() < 2
            ? null
            : array_values(
                $rows->map(
                    fn (stdClass $row) => [
                        'name' => (string) $row->name, 'share' => new Share((int) $row->unusual, (int) $row->measured),
                    ]
                )->all()
            );
    }

    private function rows(): Builder
    {
        return DB::table('scripts as s')->join('handins as h', 'h.id', '=', 's.current_handin_id')
            ->leftJoin('writing_reports as w', 'w.handin_id', '=', 'h.id')
            ->where('s.assignment_id', $this->assignment->id)->whereNull('s.lead_id')
            ->selectRaw(
                "s.id, s.public_id, s.code, s.student_id, s.held, w.state, w.reason, w.words, w.at_least, w.among, w.baseline_version, COALESCE(JSON_LENGTH(w.found, '$.turns'), 0) AS turns, JSON_EXTRACT(w.found, '$.signals') AS signals, (SELECT e.found FROM conversation_entries e WHERE e.script_id = s.id ORDER BY e.id DESC LIMIT 1) AS recorded"
            );
    }

    private function condition(string $condition): string
    {
        // A decimal the database keeps, so it can stand in the query as it is.
        return '('.strtr($condition, [':alarm' => (string) $this->assignment->screening->alarm]).')';
    }
}
