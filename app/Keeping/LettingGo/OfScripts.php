<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Documents\ResultPdf;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Rows that belong to scripts, and the files they name.
 */
final class OfScripts
{
    public const SCRIPTS = 'script_id IN (%s)';

    public const HANDINS = 'handin_id IN (SELECT id FROM handins WHERE script_id IN (%s))';

    public const MARKS = 'mark_id IN (SELECT id FROM marks WHERE script_id IN (%s))';

    public const THREADS = 'reply_thread_id IN (SELECT id FROM reply_threads WHERE script_id IN (%s))';

    public const POSTS = 'post_id IN (SELECT id FROM posts WHERE script_id IN (%s))';

    private string $ids;

    /**
     * @param  list<int>  $scripts
     */
    public function __construct(array $scripts)
    {
        $this->ids = $scripts === [] ? 'NULL' : implode(',', array_map(intval(...), $scripts));
    }

    /**
     * @param  string  $rows  one of the constants, or another with %s for the scripts
     */
    public function sql(string $rows): string
    {
        return str_replace('%s', $this->ids, $rows);
    }

    public function rows(string $table, string $rows): Builder
    {
        return DB::table($table)->whereRaw($this->sql($rows));
    }

    /**
     * @param  list<array{string, string, string}>  $columns  table, column and rows
     * @return list<string>
     */
    public function paths(array $columns): array
    {
        $paths = [];
        foreach ($columns as [$table, $column, $rows]) {
            array_push($paths, ...$this->rows($table, $rows)->whereNotNull($column)->where($column, '<>', '')
                ->pluck($column)->map(strval(...))->all());
        }

        return array_values(array_unique($paths));
    }

    /**
     * Results that were drawn as PDF and kept: what is in them goes with what they were drawn from.
     *
     * @return list<string>
     */
    public function drawnResults(): array
    {
        $results = $this->rows('results', self::SCRIPTS)->pluck('public_id')->map(strval(...))->all();

        return array_merge(...array_map(ResultPdf::paths(...), array_values($results)));
    }

    /**
     * @param  list<array{string, string}>  $tables  table and rows, in an order in which nothing leads to what is gone
     * @return array<string, int> how many went, by table
     */
    public function delete(array $tables): array
    {
        $gone = [];
        foreach ($tables as [$table, $rows]) {
            $gone[$table] = ($gone[$table] ?? 0) + $this->rows($table, $rows)->delete();
        }

        return array_filter($gone);
    }
}
