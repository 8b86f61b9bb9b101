<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Extraction\ExtractedFile;
use App\Extraction\FileKind;
use App\Extraction\Reader;
use App\Extraction\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\TestCase;
use YoungHarbor\Core\Document\Html;

final class ExtractionTest extends TestCase
{
    private const TEXT = "# On salt\n\nThe pans were drawn twice a day in summer. Nobody’s hen’s egg sank.\n\n“We ask,” she said, “for *the egg*.”\n";

    private function read(string $bytes, string $name): ExtractedFile
    {
        return app(Reader::class)->read(Files::upload($bytes, $name)->getRealPath(), $name);
    }

    private function html(ExtractedFile $read): string
    {
        return Html::ofText($read->document);
    }

    #[DataProvider('formats')]
    public function test_every_format_gives_the_same_words(string $format): void
    {
        $bytes = match ($format) {
            'md' => self::TEXT,
            'txt' => str_replace(['# ', '*'], '', self::TEXT),
            'pdf' => Files::pdf(
                'On salt', 'The pans were drawn twice a day in summer. Nobody\'s hen\'s egg sank.',
                '"We ask," she said, "for the egg."',
            ),
            default => Files::document(self::TEXT, $format),
        };
        $read = $this->read($bytes, "essay.{$format}");

        self::assertSame($format, $read->kind->value);
        self::assertSame(22, $read->words, $read->text());
        self::assertStringContainsString('The pans were drawn twice a day in summer.', $read->text());
        self::assertMatchesRegularExpression('/We ask,. she said, .for the egg\../u', $read->text());
        self::assertSame([], $read->notes);
    }

    /**
     * @return list<array{string}>
     */
    public static function formats(): array
    {
        return array_map(fn (FileKind $kind) => [$kind->value], FileKind::documents());
    }

    /** RTF 1.9, "\uN" with its fallback written in the three ways that programs write it. */
    public function test_no_letter_is_lost_after_a_quotation_mark_in_rtf(): void
    {
        foreach (
            [
                '{\rtf1\ansi\uc1 She said \u8220?We went\u8221?.\par}',
                "{\\rtf1\\ansi\\uc1 She said \\u8220\\'93We went\\u8221\\'94.\\par}",
                '{\rtf1\ansi\uc0 She said \u8220 We went\u8221 .\par}',
            ] as $rtf
        ) {
            self::assertSame('She said “We went”.', $this->read($rtf, 'x.rtf')->text());
        }
    }

    public function test_nothing_that_runs_loads_or_links_survives(): void
    {
        $html = '<html><head><style>p{}</style><script>alert(1)</script></head><body onload="x()"><h1>Salt</h1><p style="color:white">Words <a href="javascript:x()">here</a> <img src="http://x.example/p.png"><svg onload="x()"></svg></p><iframe src="x"></iframe><form action="/x"><input name="a"></form></body></html>';
        $read = $this->read($html, 'page.html');

        self::assertDoesNotMatchRegularExpression(
            '/<(script|style|a|img|svg|iframe|form|input)\b|on\w+=|style=|href=|src=/i', $this->html($read),
        );
        self::assertStringContainsString('Words here', $read->text());
        self::assertStringNotContainsString('alert', $read->text());
    }

    public function test_markdown_cannot_carry_raw_html_and_a_wrong_name_is_told(): void
    {
        self::assertStringNotContainsString(
            '<script', $this->html($this->read("Hello <script>alert(1)</script> *world*\n", 'x.md')),
        );
        self::assertStringContainsString(
            'named .docx but holds PDF', $this->read(Files::pdf('Some words stand here'), 'essay.docx')->notes[0],
        );
    }

    /**
     * @param  callable(): string  $bytes
     */
    #[DataProvider('badFiles')]
    public function test_a_file_that_cannot_be_taken_says_why_and_what_to_do(
        callable $bytes, string $name, string $says,
    ): void {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage($says);
        $this->read($bytes(), $name);
    }

    /**
     * @return iterable<string, array{callable(): string, string, string}>
     */
    public static function badFiles(): iterable
    {
        $locked = fn (): string => (string) file_get_contents(__DIR__.'/../../fixtures/locked.pdf');
        yield 'empty' => [fn () => '', 'essay.docx', 'This file is empty'];
        yield 'only spaces' => [fn () => " \n \n", 'essay.txt', 'no words'];
        yield 'a locked PDF' => [$locked, 'essay.pdf', 'This PDF is password-protected'];
        yield 'a locked Word file' => [
            fn () => "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".str_repeat("\0", 600), 'essay.docx',
            'password-protected Word file',
        ];
        yield 'a locked OpenDocument file' => [
            fn () => Files::zip(
                [
                    'mimetype' => 'application/vnd.oasis.opendocument.text',
                    'META-INF/manifest.xml' => '<m><encryption-data/></m>', 'content.xml' => 'x',
                ]
            ),
            'essay.odt', 'OpenDocument file is password-protected',
        ];
        yield 'a PDF cut off' => [fn () => substr(Files::pdf('Words'), 0, 120), 'essay.pdf', 'This PDF is damaged'];
        yield 'a Word file cut off' => [
            fn () => substr(Files::document('Words', 'docx'), 0, 3000), 'essay.docx', 'This file is damaged',
        ];
        yield 'a Word file with broken XML' => [
            fn () => Files::zip(['word/document.xml' => '<w:document', '[Content_Types].xml' => '<Types']),
            'essay.docx', 'is damaged',
        ];
        yield 'a scan' => [fn () => Files::pdf(), 'essay.pdf', 'hold no text, only pictures'];
        yield 'a picture named as a document' => [
            fn () => base64_decode(
                'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='
            ),
            'essay.docx', 'it holds image/png, though it is named .docx',
        ];
        yield 'an archive' => [fn () => Files::zip(['essay.txt' => 'words']), 'essay.zip', 'This is an archive'];
        yield 'a bomb of one entry' => [
            fn () => Files::zip(['word/document.xml' => str_repeat('a', 40_000_000)]), 'essay.docx',
            'unpacks to far more',
        ];
        yield 'a bomb of many entries' => [
            fn () => Files::zip(array_fill_keys(array_map(fn (int $i) => "word/{$i}", range(1, 4200)), 'x')),
            'essay.docx', 'far more parts',
        ];
        yield 'UTF-16' => [fn () => "\xFF\xFEh\0i\0", 'essay.txt', 'UTF-16'];
        yield 'Latin 1' => [fn () => "caf\xE9 au lait", 'essay.txt', 'not in UTF-8'];
        yield 'a program' => [fn () => "\x7FELF\x02\x01\x01\0\0\0\0\0", 'essay.txt', 'not a document'];
        yield 'far too many words' => [fn () => str_repeat('salt ', 100_001), 'essay.txt', 'at most 100,000'];
    }

    public function test_an_xml_entity_bomb_is_read_as_damaged_or_harmless(): void
    {
        $bomb = '<?xml version="1.0"?><!DOCTYPE z [<!ENTITY a "aaaaaaaaaa">'.implode(
            '',
            array_map(
                fn (int $i) => '<!ENTITY '.chr(97 + $i).' "'.str_repeat('&'.chr(96 + $i).';', 10).'">', range(1, 9),
            ),
        )
            .']><w:document xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:body><w:p><w:r><w:t>&j;</w:t></w:r></w:p></w:body></w:document>';
        $before = memory_get_usage();
        try {
            self::assertLessThan(
                1000,
                strlen(
                    $this->read(
                        Files::zip(
                            [
                                'word/document.xml' => $bomb, '[Content_Types].xml' => '<Types/>',
                                '_rels/.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>',
                            ]
                        ),
                        'essay.docx',
                    )->text()
                ),
            );
        } catch (Refusal $e) {
            self::assertNotSame('', $e->getMessage());
        }
        self::assertLessThan(20_000_000, memory_get_usage() - $before);
    }

    public function test_pictures_of_a_document_are_shown_made_anew_and_nothing_is_loaded(): void
    {
        $folder = sys_get_temp_dir().'/'.uniqid('pictures');
        mkdir($folder);
        $image = imagecreatetruecolor(1800, 40);
        self::assertNotFalse($image);
        imagejpeg($image, "{$folder}/map.jpg");
        // What a camera writes into a picture, with a name in it.
        $jpeg = (string) file_get_contents("{$folder}/map.jpg");
        file_put_contents("{$folder}/map.jpg", substr($jpeg, 0, 2)."\xFF\xFE\x00\x0EIda Marlowe!".substr($jpeg, 2));
        file_put_contents(
            "{$folder}/essay.md",
            "# The pans\n\nSalt and coal.\n\n![Map by Ida Marlowe](map.jpg)\n\n| a | b |\n|---|---|\n| 1 | 2 |\n\nA note.[^1]\n\n[^1]: Reader, page four.\n",
        );
        (new Process(['pandoc', '-o', 'essay.docx', 'essay.md'], $folder))->mustRun();
        $read = app(Reader::class)->read("{$folder}/essay.docx", 'essay.docx');
        self::assertSame(
            1,
            preg_match(
                '~<img src="data:image/jpeg;base64,([^"]+)" alt="Picture 1 of the script"~', $this->html($read), $found,
            ),
        );
        $shown = (string) base64_decode($found[1] ?? '');
        self::assertSame(1200, (getimagesizefromstring($shown) ?: [0])[0]);
        self::assertStringNotContainsString(
            'Ida Marlowe', $shown.str_replace('Map by Ida Marlowe', '', strip_tags($this->html($read))),
        );
        self::assertStringContainsString('<td>1</td>', $this->html($read));
        self::assertStringContainsString('Reader, page four.', $read->text());
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
        self::assertStringNotContainsString(
            '<img',
            $this->html(
                $this->read(
                    '<p>Salt <img src="https://elsewhere.example/x.png"><img src="/x.png"><img src="javascript:x"></p>',
                    'x.html',
                )
            ),
        );
    }

    public function test_rows_that_a_table_repeats_on_each_page_are_read(): void
    {
        $odt = Files::document("| Year | Tons |\n|------|------|\n| 1801 | 12   |\n", 'odt');
        self::assertSame("Year\n\nTons\n\n1801\n\n12", $this->read($odt, 'table.odt')->text());
    }

    public function test_what_looks_like_front_matter_does_not_make_a_text_unreadable(): void
    {
        self::assertStringContainsString(
            'Salt and coal.', $this->read("---\nauthor: @handle\n---\n\nSalt and coal.\n", 'x.md')->text(),
        );
    }

    public function test_far_too_many_paragraphs_are_refused_before_they_are_read_and_many_are_read(): void
    {
        // The 0.4 MB file of 30,000 paragraphs that took a reader four minutes.
        $many = fn (int $paragraphs): string => PlantedFiles::docx(
            [], array_map(fn (int $n) => "Paragraph {$n} of the ledger.", range(1, intdiv($paragraphs, 2))),
        );
        try { // only its kind is asked for: no reader is started for it
            app(Reader::class)->kind(Files::upload($many(30_000), 'ledger.docx')->getRealPath(), 'ledger.docx');
            self::fail('it was read');
        } catch (Refusal $e) {
            self::assertStringContainsString('at most 20,000 are read', $e->getMessage());
            self::assertMatchesRegularExpression('/holds 30,0\d\d paragraphs/', $e->getMessage());
        }
        gc_collect_cycles();
        memory_reset_peak_usage();
        self::assertGreaterThan(50_000, $this->read($many(10_000), 'ledger.docx')->words);
        self::assertLessThan(256 * 1_048_576, memory_get_peak_usage());
        foreach (
            [
                'html' => str_repeat('<p>Salt.</p>', 20_001),
                'rtf' => '{\\rtf1 '.str_repeat('Salt.\\par ', 20_001).'}',
                'odt' => PlantedFiles::odt([], array_fill(0, 20_001, 'Salt.')),
                'txt' => str_repeat("Salt.\n\n", 20_001),
            ] as $format => $bytes
        ) {
            try {
                $this->read($bytes, "many.{$format}");
                self::fail("{$format} was read");
            } catch (Refusal $e) {
                self::assertStringContainsString('at most 20,000 are read', $e->getMessage(), $format);
            }
        }
    }

    public function test_four_hundred_pages_are_read_within_bounds(): void
    {
        $pdf = Files::pdfOf(
            ...array_map(
                fn (int $n) => '/F1 10 Tf 60 800 Td 14 TL '.str_repeat(
                    '(The pans were drawn twice a day in summer and let by the year.) Tj T* ', 16,
                ),
                range(1, 400),
            )
        );
        gc_collect_cycles();
        memory_reset_peak_usage();
        self::assertSame(400 * 16 * 14, $this->read($pdf, 'long.pdf')->words);
        self::assertLessThan(256 * 1_048_576, memory_get_peak_usage());
    }

    public function test_nesting_that_would_take_a_reader_minutes_is_refused_at_once(): void
    {
        foreach (
            [
                'md' => str_repeat('> ', 10_000).'salt', 'html' => str_repeat('<blockquote>', 600).'salt',
            ] as $format => $bytes
        ) {
            try {
                $this->read($bytes, "deep.{$format}");
                self::fail("{$format} was read");
            } catch (Refusal $e) {
                self::assertStringContainsString('within each other', $e->getMessage());
            }
        }
    }
}
