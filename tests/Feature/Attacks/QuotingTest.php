<?php

declare(strict_types=1);

namespace Tests\Feature\Attacks;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/**
 * Values are put into queries by PHP, quoted: whatever they hold comes back as it was, and nothing in them is a query.
 */
final class QuotingTest extends TestCase
{
    public function test_whatever_a_value_holds_comes_back_as_it_was_and_of_its_kind(): void
    {
        $nasty = [
            "a'b", 'a"b', 'a\\', "\\' OR 1=1 -- ", "'; DROP TABLE users; -- ", "null\0byte", "\x1a and \r\n\t", '%_\\%',
            '?', ':name', '🜂 ä 漢', "\u{00BF}\u{0027}", str_repeat("'\\", 2000), '0', '',
        ];
        foreach ($nasty as $value) {
            $row = DB::selectOne('SELECT ? AS value, CHAR_LENGTH(?) AS letters', [$value, $value]);
            self::assertSame($value, $row->value);
            self::assertSame(mb_strlen($value), $row->letters);
        }
        // Bytes that are no letters, as files and keys hold them.
        $bytes = implode('', array_map(chr(...), range(0, 255)));
        self::assertSame(bin2hex($bytes), strtolower((string) DB::selectOne('SELECT HEX(?) AS value', [$bytes])->value));
        $row = DB::selectOne(
            'SELECT COUNT(*) AS whole, CAST(1.50 AS DECIMAL(6,3)) AS part, NULL AS nothing, ? AS number', [-7],
        );
        self::assertSame([1, '1.500', null, -7], [$row->whole, $row->part, $row->nothing, $row->number]);
    }

    public function test_no_second_query_hides_in_one(): void
    {
        $this->expectException(QueryException::class);
        DB::unprepared('SELECT 1; SELECT 2');
    }

    public function test_backslashes_escape_as_the_quoting_takes_for_granted(): void
    {
        $mode = (string) DB::selectOne('SELECT @@sql_mode AS mode')->mode;
        self::assertStringNotContainsString('NO_BACKSLASH_ESCAPES', $mode);
        self::assertSame('utf8mb4', DB::selectOne('SELECT @@character_set_client AS charset')->charset);
    }
}
