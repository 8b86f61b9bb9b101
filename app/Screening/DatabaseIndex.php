<?php

declare(strict_types=1);

namespace App\Screening;

use Illuminate\Support\Facades\DB;
use PDO;
use YoungHarbor\Core\Overlap\SourceIndex;

/**
 * The index in MariaDB: one row a print, in the order of shelf and hash, so that a look-up walks a few pages of the key
 * and nothing else. Rows are written and read in bulk; what one look-up can return is bounded.
 */
final class DatabaseIndex implements SourceIndex
{
    /** Texts counted for one hash on one shelf. */
    public const MOST = 100;

    /** Hashes a query asks for, rows it expects of each, and how many that run over are asked for together. */
    private const HASHES = 1000;

    private const USUAL = 8;

    private const COMMON = 50;

    private const ROWS = 2000;

    public function put(int $shelf, int $source, array $hashes): void
    {
        sort($hashes);
        foreach (array_chunk($hashes, self::ROWS) as $chunk) {
            DB::statement(
                'INSERT IGNORE INTO overlap_prints (shelf, hash, source_id) VALUES '.implode(
                    ',', array_map(fn (int $hash) => "({$shelf},{$hash},{$source})", $chunk),
                )
            );
        }
    }

    public function remove(int $shelf, int $source, array $hashes): void
    {
        foreach (array_chunk($hashes, self::ROWS) as $chunk) {
            DB::table('overlap_prints')->where('shelf', $shelf)->where('source_id', $source)
                ->whereIntegerInRaw('hash', $chunk)->delete();
        }
    }

    public function sharing(array $shelves, array $hashes): array
    {
        sort($hashes);
        $found = [];
        foreach ($shelves as $shelf) {
            foreach (array_chunk($hashes, self::HASHES) as $chunk) {
                $this->count($shelf, $chunk, $found);
            }
        }

        return $found;
    }

    /**
     * One query for what stands in a few texts each, which is nearly everything; where that runs over, the hashes it
     * did not reach are asked for one by one, each up to the most, in the same round trip.
     *
     * @param  list<int>  $hashes  in order
     * @param  array<int, int>  $found
     */
    private function count(int $shelf, array $hashes, array &$found): void
    {
        $limit = count($hashes) * self::USUAL;
        $pairs = $this->pairs(
            'SELECT hash, source_id FROM overlap_prints WHERE shelf = '.$shelf.' AND hash IN ('.implode(',', $hashes)
                .") ORDER BY hash, source_id LIMIT {$limit}"
        );
        if (count($pairs) === $limit) {
            $reached = $pairs[$limit - 1][0];
            $pairs = array_filter($pairs, fn (array $pair) => $pair[0] < $reached);
            foreach (array_chunk(array_filter($hashes, fn (int $hash) => $hash >= $reached), self::COMMON) as $common) {
                $each = array_map(
                    fn (int $hash) => "(SELECT hash, source_id FROM overlap_prints WHERE shelf = {$shelf} AND hash = {$hash} ORDER BY source_id LIMIT "
                        .self::MOST.')',
                    $common,
                );
                array_push($pairs, ...$this->pairs(implode(' UNION ALL ', $each)));
            }
        }
        $of = [];
        foreach ($pairs as [$hash, $source]) {
            if (($of[$hash] = ($of[$hash] ?? 0) + 1) <= self::MOST) {
                $found[$source] = ($found[$source] ?? 0) + 1;
            }
        }
    }

    /**
     * @return list<array{int, int}> hash and source
     */
    private function pairs(string $query): array
    {
        $rows = DB::connection()->getPdo()->query($query);

        return array_map(
            fn (array $row): array => [(int) $row[0], (int) $row[1]],
            $rows === false ? [] : array_values($rows->fetchAll(PDO::FETCH_NUM)),
        );
    }
}
