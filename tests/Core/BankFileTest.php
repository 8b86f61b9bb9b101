<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use YoungHarbor\Core\Formats\BankFile;
use YoungHarbor\Core\Input\InvalidInput;

final class BankFileTest extends TestCase
{
    private const COMMENTS = [
        [
            'label' => 'Whose account', 'text' => "Whose account is this?\nSay for whom, \"too\".",
            'kind' => 'question', 'criterion' => 'Use of evidence',
        ],
        ['label' => '=SUM(A1)', 'text' => '-1 is not a formula; a; b, c', 'kind' => 'fix', 'criterion' => ''],
        ['label' => 'אור', 'text' => 'Ölfarbe, naïve, 港', 'kind' => 'praise', 'criterion' => 'Expression'],
    ];

    public function test_what_goes_out_comes_in_again_in_either_form(): void
    {
        self::assertSame(self::COMMENTS, BankFile::read(BankFile::csv(self::COMMENTS)));
        self::assertSame(self::COMMENTS, BankFile::read(BankFile::json('A set', self::COMMENTS)));
        self::assertStringContainsString("'=SUM(A1)", BankFile::csv(self::COMMENTS), 'no spreadsheet runs it');
    }

    public function test_tables_as_spreadsheets_write_them_are_read(): void
    {
        $semicolons = "\xEF\xBB\xBFComment;Label\r\n\"Two lines,\nof one comment\";Lines\r\n;\r\nNo label here;\r\n";
        self::assertSame([
            ['label' => 'Lines', 'text' => "Two lines,\nof one comment", 'kind' => 'remark', 'criterion' => ''],
            ['label' => 'No label here', 'text' => 'No label here', 'kind' => 'remark', 'criterion' => ''],
        ], BankFile::read($semicolons));
        $utf16 = "\xFF\xFE".mb_convert_encoding("Label\tComment\tKind\nFéin\tÉ féin.\tPraise\n", 'UTF-16LE', 'UTF-8');
        self::assertSame(
            [['label' => 'Féin', 'text' => 'É féin.', 'kind' => 'praise', 'criterion' => '']], BankFile::read($utf16),
        );
    }

    /**
     * @param  list<string>  $places
     */
    #[DataProvider('faulty')]
    public function test_every_fault_is_named_by_its_place(string $file, array $places, string $what): void
    {
        try {
            BankFile::read($file);
            self::fail('it was taken');
        } catch (InvalidInput $e) {
            self::assertSame($places, array_map(fn ($fault) => $fault->place, $e->faults));
            self::assertStringContainsString($what, $e->getMessage());
        }
    }

    /**
     * @return array<string, array{string, list<string>, string}>
     */
    public static function faulty(): array
    {
        return [
            'nothing' => ['', [''], 'there is no comment in this file'],
            'another table' => ["Name,Mark\nA,5\n", [''], 'has no column “Comment”'],
            'two lines with faults' => [
                "Label,Comment,Kind\nx,Good.,shiny\ny,Fine.,fix\nz,,praise\n", ['line 2', 'line 4'],
                'has the kind “shiny”',
            ],
            'a long one' => [
                "Label,Comment\nx,".str_repeat('y', 5001)."\n", ['line 2'],
                'has 5001 characters; at most 5000 are kept',
            ],
            'json of something else' => ['{"rubric":{}}', [''], 'there is no comment'],
            'json with words for objects' => [
                '{"comments":["x",{"text":"y","kind":7}]}', ['comments[0]', 'comments[0]', 'comments[1]'],
                'must be an object',
            ],
            'too many' => [
                BankFile::csv(array_fill(0, 1001, self::COMMENTS[2])), [''],
                'has 1001 comments; at most 1000 are taken at a time',
            ],
        ];
    }
}
