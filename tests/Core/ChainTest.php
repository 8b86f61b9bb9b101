<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Logbook\Chain;
use YoungHarbor\Core\Logbook\Head;
use YoungHarbor\Core\ScriptCode;
use YoungHarbor\Core\Tables\Csv;

final class ChainTest extends TestCase
{
    /**
     * @return array{list<array{number: int, hash: string, line: array<string, mixed>}>, Head, Chain}
     */
    private static function book(int $lines): array
    {
        $chain = new Chain('key');
        $book = [];
        $hash = Chain::BEGINNING;
        for ($n = 1; $n <= $lines; $n++) {
            $line = ['action' => "step {$n}", 'details' => ['mark' => '62.5', 'who' => null]];
            $hash = $chain->hash($hash, $n, $line);
            $book[] = ['number' => $n, 'hash' => $hash, 'line' => $line];
        }

        return [$book, new Head($lines, $hash, $chain->seal($lines, $hash)), $chain];
    }

    public function test_a_whole_book_holds_and_the_order_of_keys_does_not_matter(): void
    {
        [$book, $head, $chain] = self::book(5);
        self::assertTrue($chain->verify($book, $head)->holds());
        $book[2]['line'] = array_reverse($book[2]['line'], true);
        self::assertTrue($chain->verify($book, $head)->holds());
    }

    public function test_what_was_done_to_a_book_shows(): void
    {
        [$book, $head, $chain] = self::book(5);

        $altered = $book;
        $altered[2]['line']['details']['mark'] = '72.5';
        self::assertSame(['line 3 is not as it was written, or not where it was written'], $chain->verify($altered, $head)->faults);

        $removed = $book;
        array_splice($removed, 1, 1);
        self::assertStringContainsString('line 2 is missing', $chain->verify($removed, $head)->faults[0]);

        $cut = array_slice($book, 0, 4);
        self::assertStringContainsString('the last lines are missing', $chain->verify($cut, $head)->faults[0]);

        $swapped = $book;
        [$swapped[1]['line'], $swapped[2]['line']] = [$book[2]['line'], $book[1]['line']];
        self::assertCount(2, $chain->verify($swapped, $head)->faults);

        self::assertFalse($chain->verify($book, null)->holds());
        self::assertFalse($chain->verify($cut, new Head(4, $cut[3]['hash'], $head->seal))->holds(), 'a head made without the key');
        self::assertFalse((new Chain('another key'))->verify($book, $head)->holds());
    }

    public function test_no_spreadsheet_runs_a_cell_as_a_formula(): void
    {
        self::assertSame("'=1+1,\"'+SUM(A1,B1)\",-5,'@x,\"a \"\"b\"\", c\",\r\n", Csv::line(['=1+1', '+SUM(A1,B1)', '-5', '@x', 'a "b", c', null]));
    }

    public function test_script_codes_are_a_bird_and_three_digits(): void
    {
        self::assertMatchesRegularExpression('/\A[A-Z]+-007\z/', (string) ScriptCode::drawn(3, 7));
        $this->expectExceptionMessage('not a bird');
        ScriptCode::drawn(3, 1000);
    }
}
