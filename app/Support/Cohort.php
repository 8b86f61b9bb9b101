<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Assignment;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Query\Builder;
use Illuminate\Pagination\LengthAwarePaginator as Pages;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
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
        'draft' => ['Draft, nothing handed in', 'left_at IS NULL AND drafts > 0 AND received_at IS NULL'],
        'in' => ['Handed in', 'received_at IS NOT NULL'],
        'late' => ['Late', 'late = 1'],
        'late-own' => ['Late without more time', 'late = 1 AND more_time = 0'],
        'out' => ['Not handed in', 'left_at IS NULL AND received_at IS NULL'],
        'missing' => ['Missing after their due time', 'left_at IS NULL AND received_at IS NULL AND due_at < :now'],
        'time' => ['With more time', 'left_at IS NULL AND more_time = 1'],
        'unread' => ['Result not opened', 'result_id IS NOT NULL AND first_opened_at IS NULL'],
        'left' => ['Left', 'left_at IS NOT NULL'],
    ];

    private const SORTS = ['name' => 'name', 'section' => 'section', 'group' => 'group_name', 'due' => 'due_at', 'in' => 'received_at', 'brief' => 'brief_opened_at'];

    private function __construct(
        public Assignment $assignment,
        public string $filter,
        public string $search,
        public string $sort,
        public bool $down,
        public bool $byGroup,
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

        return new self($assignment, isset(self::FILTERS[$text('show')]) ? $text('show') : '', mb_substr(trim($text('q')), 0, 100), isset(self::SORTS[$sort]) ? $sort : ($byGroup ? 'group' : 'name'), str_starts_with($text('sort'), '-'), $byGroup);
    }

    /**
     * The address of this view, or of another, without what is as usual.
     *
     * @param  array<string, string|null>  $other
     * @return array<string, string>
     */
    public function asked(array $other = []): array
    {
        $asked = ['show' => $this->filter, 'q' => $this->search, 'sort' => ($this->down ? '-' : '').$this->sort, 'by' => $this->assignment->handin_by->isGroup() && ! $this->byGroup ? 'person' : '', ...$other];
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
        foreach (array_keys(self::FILTERS) as $n => $key) {
            $sums[] = 'COALESCE(SUM('.$this->condition($key).'), 0) AS f'.$n;
        }
        $row = (array) DB::query()->fromSub($this->rows(), 'row')->selectRaw(implode(', ', $sums))->first();

        return array_map(intval(...), array_combine(array_keys(self::FILTERS), array_values($row)));
    }

    /**
     * One page of rows.
     *
     * @param  array<string, int>  $counts
     * @return LengthAwarePaginator<int, object>
     */
    public function page(array $counts, int $page): LengthAwarePaginator
    {
        $total = $this->search === '' ? $counts[$this->filter] : $this->shown()->count();
        $last = max(1, (int) ceil($total / self::PAGE));
        $page = max(1, min($page, $last));

        return new Pages($this->shown()->forPage($page, self::PAGE)->get(), $total, self::PAGE, $page, ['path' => route('collect.index', $this->assignment), 'query' => $this->asked()]);
    }

    /** The rows shown, in their order. */
    public function shown(): Builder
    {
        $query = DB::query()->fromSub($this->rows(), 'row')->whereRaw('('.$this->condition($this->filter).')');
        if ($this->search !== '') {
            $like = '%'.addcslashes($this->search, '%_\\').'%';
            $query->where(fn (Builder $either) => $either->where('name', 'like', $like)->orWhere('number', 'like', $like)->orWhere('email', 'like', $like)->orWhere('section', 'like', $like)->orWhere('group_name', 'like', $like));
        }

        return $query->orderByRaw(self::SORTS[$this->sort].' IS NULL')->orderBy(self::SORTS[$this->sort], $this->down ? 'desc' : 'asc')->orderBy('name')->orderBy('script_id');
    }

    /**
     * The students behind the rows shown: of a group all its members.
     *
     * @return list<int>
     */
    public function students(): array
    {
        return array_values($this->shown()->pluck('student_ids')->flatMap(fn (mixed $ids) => explode(',', (string) $ids))->map(fn (string $id) => (int) $id)->unique()->all());
    }

    /** When the attempts that count came in. */
    public function arrivals(): ?Arrivals
    {
        $due = $this->assignment->due_at;
        if ($due === null) {
            return null;
        }
        // Counted in fives of minutes before and after the due time; the middle of each stands for it.
        $counts = DB::table('scripts')->join('handins', 'handins.id', '=', 'scripts.current_handin_id')->where('scripts.assignment_id', $this->assignment->id)
            ->selectRaw('CEIL(TIMESTAMPDIFF(SECOND, ?, handins.received_at) / 300) AS five, COUNT(*) AS came', [$due->copy()->utc()->format('Y-m-d H:i:s')])->groupBy('five')->pluck('came', 'five');
        $byTime = [];
        foreach ($counts as $five => $came) {
            $byTime[$due->getTimestamp() + 300 * (int) $five - 150] = (int) $came;
        }

        return $byTime === [] ? null : Arrivals::of($byTime, $due->getTimestamp());
    }

    private function condition(string $filter): string
    {
        return '('.str_replace(':now', "'".Carbon::now()->utc()->format('Y-m-d H:i:s')."'", self::FILTERS[$filter][1]).')';
    }

    /** A row a person, or a row a group with what its members did together. */
    private function rows(): Builder
    {
        $id = $this->assignment->id;
        $rows = DB::table('scripts as s')
            ->join('users as u', 'u.id', '=', 's.student_id')
            ->leftJoin('memberships as m', fn ($join) => $join->on('m.user_id', '=', 's.student_id')->where('m.module_id', $this->assignment->module_id))
            ->leftJoin('handins as h', 'h.id', '=', 's.current_handin_id')
            ->leftJoin('results as r', 'r.script_id', '=', 's.id')
            ->leftJoinSub(DB::table('draft_checks')->whereIn('script_id', fn ($query) => $query->select('id')->from('scripts')->where('assignment_id', $id))->groupBy('script_id')->selectRaw('script_id, COUNT(*) AS drafts'), 'd', 'd.script_id', '=', 's.id')
            ->where('s.assignment_id', $id);
        $more = 'CASE WHEN s.due_at > ? THEN 1 ELSE 0 END';
        $due = $this->assignment->due_at?->copy()->utc()->format('Y-m-d H:i:s') ?? '9999-12-31';
        if (! $this->byGroup) {
            return $rows->selectRaw("s.id AS script_id, u.name, u.number, u.email, m.public_id AS member, m.section, s.group_name, 1 AS members, CAST(s.student_id AS CHAR) AS student_ids,
                s.brief_opened_at, s.template_taken_at, COALESCE(d.drafts, 0) AS drafts, s.due_at, s.left_at, h.received_at, h.attempt, COALESCE(h.late, 0) AS late, s.waived_at, {$more} AS more_time,
                r.id AS result_id, r.first_opened_at, r.seconds_open", [$due]);
        }

        return $rows->groupByRaw("COALESCE(s.group_name, CONCAT('\\0', s.id))")->selectRaw("MIN(s.id) AS script_id, GROUP_CONCAT(u.name ORDER BY u.name SEPARATOR ', ') AS name, GROUP_CONCAT(u.number SEPARATOR ', ') AS number, GROUP_CONCAT(u.email SEPARATOR ', ') AS email,
            NULL AS member, GROUP_CONCAT(DISTINCT m.section ORDER BY m.section SEPARATOR ', ') AS section, MAX(s.group_name) AS group_name, COUNT(*) AS members, GROUP_CONCAT(s.student_id) AS student_ids,
            MIN(s.brief_opened_at) AS brief_opened_at, MIN(s.template_taken_at) AS template_taken_at, COALESCE(SUM(d.drafts), 0) AS drafts, MAX(s.due_at) AS due_at, CASE WHEN COUNT(s.left_at) = COUNT(*) THEN MAX(s.left_at) END AS left_at, MAX(h.received_at) AS received_at, MAX(h.attempt) AS attempt, COALESCE(MAX(h.late), 0) AS late, MAX(s.waived_at) AS waived_at, MAX({$more}) AS more_time,
            MAX(r.id) AS result_id, CASE WHEN COUNT(r.first_opened_at) = COUNT(*) THEN MAX(r.first_opened_at) END AS first_opened_at, SUM(r.seconds_open) AS seconds_open", [$due]);
    }
}
