<?php

declare(strict_types=1);

namespace App\Queries\Screen;

use App\Enums\OverlapReader;
use App\Models\Assignment;
use App\Models\OverlapMatch;
use App\Models\OverlapSource;
use App\Models\Script;
use App\Wording\OverlapWords;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Database\Query\Builder;
use Illuminate\Pagination\LengthAwarePaginator as Pages;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Overlap\Network;

/**
 * What screening found over a cohort: counted, filtered and sorted by the database, a page at a time, with a fixed
 * number of queries however large the cohort is.
 */
final readonly class OverlapList
{
    public const PAGE = 60;

    /** Filters by key: what they are called, and their condition. */
    public const FILTERS = [
        '' => ['All scripts', '1 = 1'],
        'look' => ['At the line to look, or past it', "state = 'ready' AND share >= :look"],
        'closely' => ['At the line to look closely, or past it', "state = 'ready' AND share >= :closely"],
        'close' => ['With close wording', 'close_runs > 0'],
        'hiding' => ['With hidden or altered letters', 'hidden > 0'],
        'unread' => ['Past a line, nothing recorded', "state = 'ready' AND share >= :look AND entries = 0"],
        'recorded' => ['With an entry in the record', 'entries > 0'],
        'nothing' => ['Not screened', "state = 'nothing'"],
        'open' => [
            'Not ready',
            "state IS NULL OR state NOT IN ('ready', 'nothing') OR web_state IN ('waiting', 'running', 'failed', 'part')",
        ],
    ];

    private const SORTS = [
        'script' => 'code', 'words' => 'words', 'share' => 'share', 'runs' => 'runs', 'close' => 'close_words',
        'largest' => 'largest_words', 'hidden' => 'hidden',
    ];

    /** Links drawn at most, the strongest. */
    private const LINKS = 300;

    private function __construct(
        public Assignment $assignment,
        public string $filter,
        public string $search,
        public string $sort,
        public bool $down,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $asked  show, q and sort, as a page's address has them; what is unknown falls back
     */
    public static function of(Assignment $assignment, array $asked): self
    {
        $text = fn (string $key): string => is_string($asked[$key] ?? null) ? $asked[$key] : '';
        $sort = ltrim($text('sort'), '-');

        return new self(
            $assignment, isset(self::FILTERS[$text('show')]) ? $text('show') : '', mb_substr(trim($text('q')), 0, 30),
            isset(self::SORTS[$sort]) ? $sort : 'share',
            isset(self::SORTS[$sort]) ? str_starts_with($text('sort'), '-') : true,
        );
    }

    /**
     * @param  array<string, string|null>  $other
     * @return array<string, string> the address of this view, or of another, without what is as usual
     */
    public function asked(array $other = []): array
    {
        $sort = ($this->down ? '-' : '').$this->sort;

        return array_filter(
            [...['show' => $this->filter, 'q' => $this->search, 'sort' => $sort === '-share' ? '' : $sort], ...$other],
            fn (?string $value) => $value !== null && $value !== '',
        );
    }

    /**
     * @return array<string, int> scripts by filter
     */
    public function counts(): array
    {
        $columns = [];
        foreach (self::FILTERS as $key => [, $condition]) {
            $columns[] = "COALESCE(SUM({$this->condition($condition)}), 0) AS `f_{$key}`";
        }
        foreach (['waiting', 'running', 'ready', 'failed', 'stopped', 'nothing'] as $state) {
            $columns[] = "COALESCE(SUM(COALESCE(state, 'waiting') = '{$state}'), 0) AS `s_{$state}`";
        }
        $columns[] = "COALESCE(SUM(web_state IN ('waiting', 'running')), 0) AS `s_web`";
        $columns[] = "COALESCE(SUM(state = 'ready' AND web_state IN ('failed', 'part')), 0) AS `s_web_failed`";
        $row = (array) DB::query()->fromSub($this->rows(), 'r')->selectRaw(implode(', ', $columns))->first();

        return array_map(intval(...), $row);
    }

    /**
     * @return LengthAwarePaginator<int, \stdClass>
     */
    public function page(int $page): LengthAwarePaginator
    {
        $query = DB::query()->fromSub($this->rows(), 'r')->whereRaw($this->condition(self::FILTERS[$this->filter][1]))
            ->when(
                $this->search !== '',
                fn ($query) => $query->where('code', 'like', '%'.addcslashes($this->search, '%_\\').'%'),
            );
        $total = (clone $query)->count();
        $rows = $query->orderBy(self::SORTS[$this->sort], $this->down ? 'desc' : 'asc')->orderBy('code')
            ->forPage($page, self::PAGE)->get();
        $sources = OverlapSource::query()
            ->select(['id', 'kind', 'shelf', 'handin_id', 'title', 'cohort', 'url', 'fetched_at', 'created_at'])
            ->with('handin:id,script_id', 'handin.script:id,code,assignment_id,student_id')
            ->whereKey($rows->pluck('largest_source_id')->filter())->get()->keyBy('id');
        $scripts = Script::query()->whereKey($rows->pluck('id'))->get()->keyBy('id');
        foreach ($rows as $row) {
            $source = $row->largest_source_id === null ? null : $sources[$row->largest_source_id] ?? null;
            $script = $scripts->get($row->id);
            $row->largest = $source === null || $script === null
                ? null
                : OverlapWords::source($source, $script, OverlapReader::Coordinator);
            $row->findings = array_count_values(array_column((array) json_decode($row->hiding ?? '[]', true), 'kind'));
        }

        return new Pages(
            $rows, $total, self::PAGE, $page,
            ['path' => route('screen.index', $this->assignment), 'query' => $this->asked()],
        );
    }

    /** Who shares text with whom, from so many words on. */
    public function network(int $least, float $width): Network
    {
        return Network::of(array_values($this->pairs($least)->all()), $least, $width);
    }

    /**
     * @return Collection<int, array{from: string, to: string, words: int}>
     */
    private function pairs(int $least): Collection
    {
        return OverlapMatch::query()->join('overlap_reports as r', 'r.id', '=', 'overlap_matches.overlap_report_id')
            ->join('scripts as a', 'a.current_handin_id', '=', 'r.handin_id')
            ->join(
                'overlap_sources as o', 'o.id', '=', 'overlap_matches.overlap_source_id',
            )->join('scripts as b', 'b.current_handin_id', '=', 'o.handin_id')
            ->where('a.assignment_id', $this->assignment->id)->where('b.assignment_id', $this->assignment->id)
            ->where('o.kind', 'handin')->whereNull('a.lead_id')
            ->whereRaw('overlap_matches.words + overlap_matches.close_words >= ?', [$least])
            ->orderByRaw('overlap_matches.words + overlap_matches.close_words DESC, overlap_matches.id')
            ->limit(self::LINKS)
            ->selectRaw(
                'a.code AS a_code, b.code AS b_code, GREATEST(overlap_matches.words, overlap_matches.close_words) AS shared'
            )->get()
            ->map(
                fn ($row): array => [
                    'from' => (string) $row->getAttribute('a_code'), 'to' => (string) $row->getAttribute('b_code'),
                    'words' => (int) $row->getAttribute('shared'),
                ]
            );
    }

    private function rows(): Builder
    {
        return DB::table('scripts as s')->join('handins as h', 'h.id', '=', 's.current_handin_id')
            ->leftJoin('overlap_reports as o', 'o.handin_id', '=', 'h.id')
            ->where('s.assignment_id', $this->assignment->id)->whereNull('s.lead_id')
            ->selectRaw(
                "s.id, s.public_id, s.code, s.held, h.words, o.state, o.failure, o.compared, o.to_compare, o.counted, o.matched, CASE WHEN o.state = 'ready' THEN o.share END AS share, o.runs, COALESCE(o.close_runs, 0) AS close_runs, COALESCE(o.close_words, 0) AS close_words, o.sources, o.largest_source_id, COALESCE(o.largest_words, 0) AS largest_words, o.hiding, COALESCE(JSON_LENGTH(o.hiding), 0) AS hidden, o.web_state, o.web_asked, o.web_to_ask, o.web_failure, (SELECT COUNT(*) FROM conversation_entries e WHERE e.script_id = s.id) AS entries, (SELECT e.found FROM conversation_entries e WHERE e.script_id = s.id ORDER BY e.id DESC LIMIT 1) AS found"
            );
    }

    private function condition(string $condition): string
    {
        // Both lines are decimals the database keeps, so they can stand in the query as they are.
        return '('.strtr(
            $condition,
            [
                ':look' => (string) $this->assignment->screening->look,
                ':closely' => (string) $this->assignment->screening->lookClosely,
            ],
        ).')';
    }
}
