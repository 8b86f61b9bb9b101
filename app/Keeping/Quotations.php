<?php

declare(strict_types=1);

namespace App\Keeping;

use Illuminate\Support\Facades\DB;

/**
 * Words of students that stand in what others made of their work: at comments, in results, in packs that were frozen.
 */
final class Quotations
{
    /** What stands in place of a quotation that is gone. */
    private const GONE = '…';

    /**
     * Takes them away; what was said of them stays.
     *
     * @param  string  $ofScripts  SQL that is true of rows of the scripts they are of, by script_id
     * @param  list<scalar>  $bindings
     * @return int how many
     */
    public static function cut(string $ofScripts, array $bindings): int
    {
        return self::change(
            ['mark_comments' => 'anchor'], "mark_id IN (SELECT id FROM marks WHERE {$ofScripts})", $bindings, self::unquoted(...),
        ) + self::inDocuments($ofScripts, $bindings, self::unquoted(...));
    }

    /**
     * Changes documents of results and of packs.
     *
     * @param  list<scalar>  $bindings
     * @param  callable(mixed): mixed  $change
     */
    public static function inDocuments(string $ofScripts, array $bindings, callable $change): int
    {
        return self::change(
            ['results' => 'document', 'prepared_results' => 'document', 'pack_scripts' => 'document'], $ofScripts, $bindings, $change,
        );
    }

    /**
     * @param  array<string, string>  $columns  by table
     * @param  list<scalar>  $bindings
     * @param  callable(mixed): mixed  $change
     */
    private static function change(array $columns, string $rows, array $bindings, callable $change): int
    {
        $changed = 0;
        foreach ($columns as $table => $column) {
            $all = fn () => DB::table($table)->whereRaw($rows, $bindings)->whereNotNull($column);
            foreach ($all()->pluck($column)->unique() as $json) {
                $before = json_decode((string) $json, true);
                $after = $change($before);
                if ($after !== $before) {
                    $all()->where($column, $json)
                        ->update([$column => json_encode($after, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);
                    $changed++;
                }
            }
        }

        return $changed;
    }

    private static function unquoted(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        foreach ($value as $key => $one) {
            $value[$key] = match (true) {
                in_array($key, ['exact', 'quote'], true) && is_string($one) => self::GONE,
                in_array($key, ['prefix', 'suffix', 'html', 'text'], true) && is_string($one) => '',
                default => self::unquoted($one),
            };
        }

        return $value;
    }
}
