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

    private const HASHES = 250;

    private const ROWS = 2000;

    public function put(int $shelf, int $source, array $hashes): void
    {
        sort($hashes);
        foreach (array_chunk($hashes, self::ROWS) as $chunk) {
            DB::statement('INSERT IGNORE INTO overlap_prints (shelf, hash, source_id) VALUES '.implode(',', array_map(fn (int $hash) => "({$shelf},{$hash},{$source})", $chunk)));
        }
    }

    public function remove(int $shelf, int $source, array $hashes): void
    {
        foreach (array_chunk($hashes, self::ROWS) as $chunk) {
            DB::table('overlap_prints')->where('shelf', $shelf)->where('source_id', $source)->whereIntegerInRaw('hash', $chunk)->delete();
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
     * @param  list<int>  $hashes
     * @param  array<int, int>  $found
     */
    private function count(int $shelf, array $hashes, array &$found): void
    {
        $limit = max(2 * self::MOST, count($hashes) * 8);
        $rows = DB::connection()->getPdo()->query('SELECT hash, source_id FROM overlap_prints WHERE shelf = '.$shelf.' AND hash IN ('.implode(',', $hashes).") ORDER BY hash, source_id LIMIT {$limit}");
        $pairs = $rows === false ? [] : $rows->fetchAll(PDO::FETCH_NUM);
        if (count($pairs) === $limit && count($hashes) > 1) {
            // Something here stands in very many texts: halves, until it is alone.
            $half = intdiv(count($hashes), 2);
            $this->count($shelf, array_slice($hashes, 0, $half), $found);
            $this->count($shelf, array_slice($hashes, $half), $found);

            return;
        }
        $of = [];
        foreach ($pairs as [$hash, $source]) {
            if (($of[$hash] = ($of[$hash] ?? 0) + 1) <= self::MOST) {
                $found[(int) $source] = ($found[(int) $source] ?? 0) + 1;
            }
        }
    }
}
