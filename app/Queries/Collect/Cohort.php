<?php

declare(strict_types=1);

namespace App\Queries\Collect;

use App\Models\Assignment;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Query\Builder;
use Illuminate\Pagination\LengthAwarePaginator as Pages;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use LogicException;
use YoungHarbor\Core\Collect\Arrivals;

/**
 * Where everyone is in one assignment, step by step: counted and filtered by the database, a page at a time, with a
 * fixed number of queries however large the cohort is.
 *
 * Names stand here, so nothing does that leads to a script code. Whether a script is marked is told of nobody before
 * results are out: with few scripts left to mark it would say whose they are.
 */
final readonly class Cohort
{
    public const PAGE = 50;

    /** Filters by key: what they are called, and their condition on the columns of a row. */
    public const FILTERS = [
        '' => ['Everyone', 'left_at IS NULL OR received_at IS NOT NULL'],
        'unopened' => ['Brief not opened', 'left_at IS NULL AND brief_opened_at IS NULL AND received_at IS NULL'],
        'draft' => ['Draft, nothing handed in', 'left_at IS NULL AND received_at IS NULL AND drafts > 0'],
        'in' => ['Handed in', 'received_at IS NOT NULL'],
        'late' => ['Late', 'late = 1'],
        'late-own' => ['Late without more time', 'late = 1 AND more_time = 0'],
        'out' => ['Not handed in', 'left_at IS NULL AND received_at IS NULL'],
        'missing' => ['Missing after their due time', 'left_at IS NULL AND received_at IS NULL AND due_at < :now'],
        'time' => ['With more time', 'left_at IS NULL AND more_time = 1'],
        'result' => ['Result is out', 'result_id IS NOT NULL'],
        'unread' => ['Result not opened', 'result_id IS NOT NULL AND first_opened_at IS NULL'],
        'silent' => ['Wrote nothing', 'left_at IS NULL AND first_at IS NULL'],
        'below' => ['Below what was asked', 'left_at IS NULL AND first_at IS NOT NULL AND below = 1'],
        'left' => ['Left', 'left_at IS NOT NULL'],
    ];

    /** Those that are asked of a discussion alone, and those that are not asked of one: nothing is handed in there. */
    private const OF_TALK = ['silent', 'below'];

    private const NOT_OF_TALK = ['draft', 'in', 'out', 'missing'];

    /** A person's columns: where each stands. */
    private const COLUMNS = [
        'script_id' => 's.id', 'name' => 'u.name', 'number' => 'u.number', 'email' => 'u.email',
        'member' => 'm.public_id', 'section' => 'm.section', 'group_name' => 's.group_name',
        'brief_opened_at' => 's.brief_opened_at', 'template_taken_at' => 's.template_taken_at',
        'drafts' => '(SELECT COUNT(*) FROM draft_checks d WHERE d.script_id = s.id)', 'due_at' => 's.due_at',
        'left_at' => 's.left_at',
        'received_at' => 's.received_at',
        'attempt' => '(SELECT h.attempt FROM handins h WHERE h.id = s.current_handin_id)', 'late' => 's.late',
        'waived_at' => 's.waived_at', 'more_time' => '(s.due_at > :due)', 'result_id' => 'r.id',
        'first_opened_at' => 'r.first_opened_at', 'seconds_open' => 'r.seconds_open',
        'first_at' => 'p.first_at', 'below' => 'p.below', 'posts' => 'p.posts', 'replies' => 'p.replies',
    ];

    private const SORTS = [
        'name' => 'name', 'section' => 'section', 'group' => 'group_name', 'due' => 'due_at', 'in' => 'received_at',
        'brief' => 'brief_opened_at',
    ];

    private function __construct(
        public Assignment $assignment,
        public string $filter,
        public string $search,
        public string $sort,
        public bool $down,
        public bool $byGroup,
        public bool $anyOut,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $asked  show, q, sort, by, as a page's address has them; what is unknown falls back
     */
    public static function of(Assignment $assignment, array $asked): self
    {
        $text = fn (string $key): string => is_string($asked[$key] ?? null) ? $asked[$key] : '';
        $sort = ltrim($text('sort'), '-');
        $byGroup = $assignment->handin_by->isGroup() && $text('by') !== 'person';

        return new self(
            $assignment, isset(
                self::filtersOf($assignment)[$text('show')],
            ) ? $text('show') : '', mb_substr(trim($text('q')), 0, 100),
            isset(self::SORTS[$sort]) && (
                ! in_array($sort, ['in', 'brief'], true) || self::showsWhen($assignment)
            ) ? $sort : ($byGroup ? 'group' : 'name'), str_starts_with($text('sort'), '-'),
            $byGroup, $assignment->results_out_at !== null,
        );
    }

    /**
     * Filters by key, of an assignment of this kind.
     *
     * @return array<string, array{string, string}>
     */
    public static function filtersOf(Assignment $assignment): array
    {
        return array_diff_key(
            self::FILTERS, array_flip($assignment->isDiscussion() ? self::NOT_OF_TALK : self::OF_TALK),
        );
    }

    /**
     * Whether it says when someone opened the brief and when their work came in. In a discussion that is about when
     * they
     * first wrote, and in its topics codes stand in the order of time: beside names it would tell whose they are.
     */
    public static function showsWhen(Assignment $assignment): bool
    {
        return ! $assignment->isDiscussion() || $assignment->namesRevealed();
    }

    /**
     * The address of this view, or of another, without what is as usual.
     *
     * @param  array<string, string|null>  $other
     * @return array<string, string>
     */
    public function asked(array $other = []): array
    {
        $asked = [
            'show' => $this->filter, 'q' => $this->search, 'sort' => ($this->down ? '-' : '').$this->sort,
            'by' => $this->assignment->handin_by->isGroup() && ! $this->byGroup ? 'person' : '', ...$other,
        ];
        if (in_array($asked['sort'], ['name', 'group'], true)) {
            $asked['sort'] = '';
        }

        return array_filter($asked, fn (?string $value) => $value !== null && $value !== '');
    }

    /** "Brief not opened", with the search when there is one. */
    public function inWords(): string
    {
        return self::FILTERS[$this->filter][0].($this->search === '' ? '' : ", matching “{$this->search}”");
    }

    /**
     * How many each filter shows.
     *
     * @return array<string, int>
     */
    public function counts(): array
    {
        $sums = [];
        $filters = array_keys(self::filtersOf($this->assignment));
        foreach ($filters as $n => $key) {
            $sums[] = 'COALESCE(SUM('.$this->condition($key).'), 0) AS f'.$n;
        }
        $row = (array) ($this->byGroup ? DB::query()->fromSub($this->groups(), 'row') : $this->work())
            ->selectRaw(implode(', ', $sums))->first();

        return array_map(intval(...), array_combine($filters, array_values($row)));
    }

    /**
     * One page of rows.
     *
     * @param  array<string, int>  $counts
     * @return LengthAwarePaginator<int, \stdClass>
     */
    public function page(array $counts, int $page): LengthAwarePaginator
    {
        $total = $this->search === '' ? $counts[$this->filter] : $this->found()->count();
        $last = max(1, (int) ceil($total / self::PAGE));
        $page = max(1, min($page, $last));

        return new Pages(
            $this->rows($page), $total, self::PAGE, $page,
            ['path' => route('collect.index', $this->assignment), 'query' => $this->asked()],
        );
    }

    /**
     * The rows shown, in their order.
     *
     * @param  int|null  $page  from 1; null for all of them
     * @return Collection<int, \stdClass>
     */
    public function rows(?int $page = null): Collection
    {
        $found = $this->found();
        if ($page === null) {
            return $found->when(! $this->byGroup, fn (Builder $query) => $query->selectRaw($this->columns()))->get();
        }
        if ($this->byGroup) {
            return $found->forPage($page, self::PAGE)->get();
        }
        // Found by their ids first, so that only the rows of a page are read whole.
        $ids = $found->forPage($page, self::PAGE)->pluck('s.id')->all();
        $rows = $this->people()->whereIn('s.id', $ids)->selectRaw($this->columns())->get()->keyBy('script_id');

        return collect(array_values($ids))->map(
            fn (mixed $id) => $rows->get($id) ?? throw new LogicException('Each was found.')
        );
    }

    /**
     * The students behind the rows shown: of a group all its members.
     *
     * @return list<int>
     */
    public function students(): array
    {
        return array_values(
            $this->found()->pluck($this->byGroup ? 'student_ids' : 's.student_id')
                ->flatMap(fn (mixed $ids) => explode(',', (string) $ids))->map(fn (string $id) => (int) $id)->unique()
                ->all()
        );
    }

    /** When the attempts that count came in; of a group it is one. */
    public function arrivals(): ?Arrivals
    {
        $due = $this->assignment->due_at;
        if ($due === null) {
            return null;
        }
        // Counted in fives of minutes before and after the due time; the middle of each stands for it.
        $counts = DB::table('scripts')->where('assignment_id', $this->assignment->id)->whereNotNull('received_at')
            ->selectRaw(
                'CEIL(TIMESTAMPDIFF(SECOND, ?, received_at) / 300) AS five, '.(
                    $this->byGroup ? "COUNT(DISTINCT COALESCE(group_name, CONCAT('\\0', id)))" : 'COUNT(*)'
                ).' AS came',
                [$due->copy()->utc()->format('Y-m-d H:i:s')],
            )->groupBy('five')->pluck('came', 'five');
        $byTime = [];
        foreach ($counts as $five => $came) {
            $byTime[$due->getTimestamp() + 300 * (int) $five - 150] = (int) $came;
        }

        return $byTime === [] ? null : Arrivals::of($byTime, $due->getTimestamp());
    }

    /** The rows shown, in their order, with nothing selected. */
    private function found(): Builder
    {
        $query = (
            $this->byGroup ? DB::query()->fromSub($this->groups(), 'row') : $this->people()
        )->whereRaw($this->condition($this->filter));
        if ($this->search !== '') {
            $like = '%'.addcslashes($this->search, '%_\\').'%';
            $query->where(function (Builder $either) use ($like): void {
                foreach (['name', 'number', 'email', 'section', 'group_name'] as $name) {
                    $either->orWhere(DB::raw($this->column($name)), 'like', $like);
                }
            });
        }
        $by = $this->column(self::SORTS[$this->sort]);

        if ($this->sort !== 'name') {
            $query->orderByRaw("{$by} IS NULL")->orderByRaw($by.($this->down ? ' DESC' : ''));
        }

        return $query->orderByRaw(
            $this->column('name').($this->sort === 'name' && $this->down ? ' DESC' : '')
        )->orderByRaw($this->column('script_id'));
    }

    /** The condition of a filter, on a group's columns by name or on a person's where they stand. */
    private function condition(string $filter): string
    {
        $condition = '('.self::FILTERS[$filter][1].')';
        if (! $this->byGroup) {
            $condition = preg_replace_callback(
                '/\b[a-z]+_?[a-z]*(?:_[a-z]+)?\b/',
                fn (array $word) => isset(self::COLUMNS[$word[0]]) ? $this->column($word[0]) : $word[0], $condition,
            ) ?? $condition;
        }

        return strtr(
            $condition, [':now' => "'".Carbon::now()->utc()->format('Y-m-d H:i:s')."'", ':due' => "'".$this->due()."'"],
        );
    }

    /** Where a column stands; before any result is out there is none to look up. */
    private function column(string $name): string
    {
        return match (true) {
            $this->byGroup => $name,
            ! $this->anyOut && str_starts_with(self::COLUMNS[$name], 'r.') => 'NULL',
            ! $this->assignment->isDiscussion() && str_starts_with(self::COLUMNS[$name], 'p.') => 'NULL',
            default => self::COLUMNS[$name],
        };
    }

    private function due(): string
    {
        return $this->assignment->due_at?->copy()->utc()->format('Y-m-d H:i:s') ?? '9999-12-31 00:00:00';
    }

    private function columns(): string
    {
        $columns = [];
        foreach (array_keys(self::COLUMNS) as $name) {
            $columns[] = "{$this->column($name)} AS {$name}";
        }

        return strtr(implode(', ', $columns), [':due' => "'".$this->due()."'"]);
    }

    /** What is needed to count: a script, what came in, what went out. */
    private function work(): Builder
    {
        return DB::table('scripts as s')
            ->when($this->anyOut, fn (Builder $query) => $query->leftJoin('results as r', 'r.holding_script_id', '=', 's.id'))
            ->when($this->assignment->isDiscussion(), fn (Builder $query) => $query->leftJoin('participations as p', 'p.script_id', '=', 's.id'))
            ->where('s.assignment_id', $this->assignment->id);
    }

    private function people(): Builder
    {
        return $this->work()->join('users as u', 'u.id', '=', 's.student_id')
            ->leftJoin(
                'memberships as m',
                fn ($join) => $join->on('m.user_id', '=', 's.student_id')->where(
                    'm.module_id', $this->assignment->module_id,
                ),
            );
    }

    /** A row a group, with what its members did together; who is in none is a row alone. */
    private function groups(): Builder
    {
        $more = 'CASE WHEN s.due_at > ? THEN 1 ELSE 0 END';

        $drafts = DB::table('draft_checks')
            ->whereIn('script_id', DB::table('scripts')->where('assignment_id', $this->assignment->id)->select('id'))
            ->groupBy('script_id')->selectRaw('script_id, COUNT(*) AS drafts');

        $read = $this->anyOut
            ? 'MAX(r.id) AS result_id, CASE WHEN COUNT(r.first_opened_at) = COUNT(*) THEN MAX(r.first_opened_at) END AS first_opened_at,'
                .' SUM(r.seconds_open) AS seconds_open'
            : 'NULL AS result_id, NULL AS first_opened_at, NULL AS seconds_open';

        return $this->people()->leftJoin('handins as h', 'h.id', '=', 's.current_handin_id')
            ->leftJoinSub($drafts, 'd', 'd.script_id', '=', 's.id')
            ->groupByRaw("COALESCE(s.group_name, CONCAT('\\0', s.id))")
            ->selectRaw("MIN(s.id) AS script_id, GROUP_CONCAT(u.name ORDER BY u.name SEPARATOR ', ') AS name,
                GROUP_CONCAT(u.number SEPARATOR ', ') AS number, GROUP_CONCAT(u.email SEPARATOR ', ') AS email,
                NULL AS member, GROUP_CONCAT(DISTINCT m.section ORDER BY m.section SEPARATOR ', ') AS section,
                MAX(s.group_name) AS group_name, GROUP_CONCAT(s.student_id) AS student_ids,
                MIN(s.brief_opened_at) AS brief_opened_at, MIN(s.template_taken_at) AS template_taken_at,
                COALESCE(SUM(d.drafts), 0) AS drafts, MAX(s.due_at) AS due_at,
                CASE WHEN COUNT(s.left_at) = COUNT(*) THEN MAX(s.left_at) END AS left_at,
                MAX(s.received_at) AS received_at, MAX(h.attempt) AS attempt, MAX(s.late) AS late,
                MAX(s.waived_at) AS waived_at, MAX({$more}) AS more_time, {$read}", [$this->due()]);
    }
}
