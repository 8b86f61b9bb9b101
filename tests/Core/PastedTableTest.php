<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Rubric\Draft;
use YoungHarbor\Core\Rubric\PastedTable;
use YoungHarbor\Core\Tables\Delimited;

final class PastedTableTest extends TestCase
{
    public function test_cells_copied_from_a_spreadsheet_become_a_rubric(): void
    {
        $table = PastedTable::of(
            "Criterion\tPoor (0)\tFair (4-6)\tGood, 10 points\tWeight\r\n\"Argument\nIs it tested?\"\tNone.\tSome.\t\"Strong, and \"\"tested\"\"\"\t33,33 %\r\nEvidence\tNone.\tFew.\tApt.\t66.67\r\n"
        );
        $draft = $table->onto(Draft::blank('Essay'), replace: true);

        self::assertSame(
            [['Poor', '0'], ['Fair', '4–6'], ['Good', '10']],
            array_map(fn (array $level) => [$level['title'], Draft::pointsText($level)], $draft->levels()),
        );
        self::assertSame(['Argument', 'Evidence'], array_column($draft->criteria(), 'title'));
        self::assertSame('Is it tested?', $draft->get('criteria.c1.purpose'));
        self::assertSame('Strong, and "tested"', $draft->get('criteria.c1.descriptors.l3'));
        self::assertSame('33.33', $draft->get('criteria.c1.weight'));
        self::assertSame([], $draft->faults());
        self::assertContains('A comma in a weight was read as its decimal point.', $table->notes);
    }

    public function test_a_word_processor_s_table_gives_its_words_and_nothing_else(): void
    {
        $table = PastedTable::of('<html><style>p{}</style><table border=1 onclick="alert(1)"><tr><th></th><th>Weak<br>(1)</th><th>Strong<br>(3)</th></tr>'
            .'<tr><td rowspan=2><p>Voice</p><p>Is it a person’s?</p></td><td>Flat <b>prose</b></td><td><img src=x onerror=alert(2)>Alive<script>alert(3)</script></td></tr><tr><td>Late</td><td>row</td></tr></table>');

        self::assertSame(
            [['title' => 'Weak', 'points' => '1'], ['title' => 'Strong', 'points' => '3']], $table->levels,
        );
        self::assertSame(
            [
                'title' => 'Voice', 'purpose' => 'Is it a person’s?', 'weight' => '',
                'descriptors' => ['Flat prose', 'Alive'],
            ],
            $table->criteria[0],
        );
        self::assertSame(
            ['Late', 'row'], $table->criteria[1]['descriptors'], 'a cell that reaches down keeps the columns in place',
        );
        self::assertStringNotContainsString('alert', json_encode($table->criteria, JSON_THROW_ON_ERROR));
    }

    public function test_points_in_a_row_of_their_own_and_shares_of_one_are_understood(): void
    {
        $table = PastedTable::of("\tLevel 1\tLevel 2\tShare weight\npoints\t2\t5\t\nA\tx\ty\t0.25\nB\tx\ty\t0.75");

        self::assertSame(['2', '5'], array_column($table->levels, 'points'));
        self::assertSame('Level 1', $table->levels[0]['title']);
        self::assertSame(['25', '75'], array_column($table->criteria, 'weight'));
    }

    public function test_the_person_decides_whether_the_first_row_names_the_levels(): void
    {
        self::assertCount(1, PastedTable::of("a;b;c\nd;e;f", true)->criteria);
        self::assertCount(2, PastedTable::of("a;b;c\nd;e;f", false)->criteria);
    }

    public function test_pasting_below_what_is_there_uses_the_levels_of_the_same_name(): void
    {
        $draft = PastedTable::of("\tWell\tSuperb (12)\nClarity\tClear.\tLimpid.")->onto(
            Draft::blank('R')->set('criteria.c1.title', 'First'), replace: false,
        );

        self::assertSame(['First', 'Clarity'], array_column($draft->criteria(), 'title'));
        self::assertSame(
            ['Not yet', 'Partly', 'Well', 'Excellently', 'Superb'], array_column($draft->levels(), 'title'),
        );
        self::assertSame('Clear.', $draft->get('criteria.c2.descriptors.l3'));
        self::assertSame('12', $draft->get('levels.l5.points'));
    }

    #[DataProvider('unreadable')]
    public function test_what_cannot_be_a_rubric_is_refused_and_says_why(string $pasted, string $why): void
    {
        $this->expectException(InvalidInput::class);
        $this->expectExceptionMessage($why);
        PastedTable::of($pasted);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'nothing' => ['', 'no table'];
        yield 'empty cells' => ["\t\t\n\t", 'no table'];
        yield 'a broken table' => ['<table><tr></table>', 'no table'];
        yield '200 criteria' => [str_repeat("a\tb\tc\n", 200), '100 criteria at most'];
        yield '20 levels' => [implode("\t", range('a', 'u'))."\n".implode("\t", range('a', 'u')), '12 at most'];
        yield 'bytes' => ["\xff\xfe\t\x80", 'not valid UTF-8'];
    }

    /** Cases written from RFC 4180 (2005), section 2. */
    public function test_separated_values_follow_rfc_4180(): void
    {
        self::assertSame(
            [['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']], Delimited::rows("aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n"),
        );
        self::assertSame(
            [['aaa', "b \nbb", 'ccc'], ['zzz', 'y"y', '']],
            Delimited::rows("\"aaa\",\"b \r\nbb\",\"ccc\"\r\nzzz,\"y\"\"y\",", ','),
        );
        self::assertSame([['a', 'b "c" d'], ['"open', 'e']], Delimited::rows("a;b \"c\" d\n\"open;e"));
        self::assertSame(
            [['C', 'Low', 'High'], ['a', 'b', 'c']],
            Delimited::rows("| C | Low | High |\n|---|:--:|---|\n| a | b | c |"),
        );
    }
}
