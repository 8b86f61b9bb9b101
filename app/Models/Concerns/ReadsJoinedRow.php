<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use Illuminate\Support\Facades\DB;
use PDO;

/**
 * Reads a row that is joined of several tables, whole, with what belongs to which.
 */
trait ReadsJoinedRow
{
    /**
     * @param  string  $select  names each table as it is to be known
     * @param  list<mixed>  $bindings
     * @return array<string, array<string, mixed>> columns by table; what belongs to none under ""
     */
    private static function joinedRow(string $select, array $bindings): array
    {
        $pdo = DB::connection()->getPdo();
        $pdo->setAttribute(PDO::ATTR_FETCH_TABLE_NAMES, true);
        try {
            $row = (array) DB::selectOne($select, $bindings);
        } finally {
            $pdo->setAttribute(PDO::ATTR_FETCH_TABLE_NAMES, false);
        }
        $found = [];
        foreach ($row as $name => $value) {
            [$table, $column] = explode('.', (string) $name, 2) + ['', ''];
            $found[$table][$column] = $value;
        }

        return $found;
    }
}
