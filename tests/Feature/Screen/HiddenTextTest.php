<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Extraction\HiddenText;
use App\Models\OverlapReport;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Files;
use Tests\TestCase;
use ZipArchive;

/**
 * Words a file holds and its reader does not see: found in each format, with their place, and never where letters are
 * white for a good reason.
 */
final class HiddenTextTest extends TestCase
{
    private const SEEN = 'The pans were drawn twice a day in summer and the brine was carried to the boiling house.';

    private const HIDDEN = 'discuss credit wages and debt';

    /**
     * @return array{string, string} bytes and name
     */
    private static function docx(string $paragraph, string $styles = ''): array
    {
        return [
            self::changed(
                Files::document(self::SEEN, 'docx'),
                [
                    'word/document.xml' => fn (string $xml): string => (string) preg_replace(
                        '~(<w:sectPr\b|</w:body>)~', $paragraph.'$1', $xml, 1,
                    ),
                    'word/styles.xml' => fn (string $xml): string => str_replace(
                        '</w:styles>', $styles.'</w:styles>', $xml,
                    ),
                ],
            ),
            'essay.docx',
        ];
    }

    /**
     * @return array{string, string}
     */
    private static function odt(string $style, string $span): array
    {
        return [
            self::changed(
                Files::document(self::SEEN, 'odt'),
                [
                    'content.xml' => fn (string $xml): string => str_replace(
                        [
                            '</office:automatic-styles>', '</office:text>', '<office:automatic-styles />',
                            '<office:automatic-styles/>',
                        ],
                        [
                            $style.'</office:automatic-styles>', $span.'</office:text>',
                            "<office:automatic-styles>{$style}</office:automatic-styles>",
                            "<office:automatic-styles>{$style}</office:automatic-styles>",
                        ],
                        $xml,
                    ),
                ],
            ),
            'essay.odt',
        ];
    }

    /**
     * @param  array<string, callable(string): string>  $parts
     */
    private static function changed(string $bytes, array $parts): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'hidden');
        file_put_contents($path, $bytes);
        $zip = new ZipArchive;
        $zip->open($path);
        foreach ($parts as $name => $change) {
            $zip->addFromString($name, $change((string) $zip->getFromName($name)));
        }
        $zip->close();
        $changed = (string) file_get_contents($path);
        unlink($path);

        return $changed;
    }

    private static function letters(string $properties, string $words = self::HIDDEN): string
    {
        return "<w:r><w:rPr>{$properties}</w:rPr><w:t xml:space=\"preserve\">{$words}</w:t></w:r>";
    }

    /** @param  callable(): array{string, string}  $file */
    #[DataProvider('hiding')]
    public function test_hidden_words_are_a_finding_with_their_place(callable $file, string $kind): void
    {
        $this->module();
        $assignment = $this->assignment();
        [$bytes, $name] = $file();
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], [Files::upload($bytes, $name)]);
        self::assertEquals([['kind' => $kind, 'words' => self::HIDDEN]], $handin->hidden);
        self::assertStringContainsString(
            'Some words in this file cannot be seen', implode(' ', $handin->notes), 'its student is told at once',
        );
        $report = OverlapReport::query()->where('handin_id', $handin->id)->sole();
        $found = array_values(array_filter($report->hiding ?? [], fn (array $one) => $one['kind'] === $kind));
        self::assertSame(5, ($found[0]['to'] ?? 0) - ($found[0]['from'] ?? 0));
        $this->actingAs($this->coordinator)->get(route('screen.show', $this->script($assignment)))
            ->assertSee(ucfirst($kind))->assertSee(self::HIDDEN);
    }

    /**
     * @return iterable<string, array{callable(): array{string, string}, string}>
     */
    public static function hiding(): iterable
    {
        $odt = fn (string $properties): array => self::odt(
            "<style:style xmlns:style=\"urn:oasis:names:tc:opendocument:xmlns:style:1.0\" xmlns:fo=\"urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0\" xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\" style:name=\"H9\" style:family=\"text\"><style:text-properties {$properties}/></style:style>",
            '<text:p>Then <text:span text:style-name="H9">'.self::HIDDEN.'</text:span> ended.</text:p>',
        );
        yield 'docx, white' => [
            fn () => self::docx('<w:p>'.self::letters('<w:color w:val="FFFFFF"/>').'</w:p>'), HiddenText::WHITE,
        ];
        yield 'docx, nearly white' => [
            fn () => self::docx('<w:p>'.self::letters('<w:color w:val="FDFDFE"/>').'</w:p>'), HiddenText::WHITE,
        ];
        yield 'docx, white by a style' => [
            fn () => self::docx(
                '<w:p>'.self::letters('<w:rStyle w:val="Gone"/>').'</w:p>',
                '<w:style w:type="character" w:styleId="Base9"><w:name w:val="Base9"/><w:rPr><w:color w:val="FFFFFF"/></w:rPr></w:style><w:style w:type="character" w:styleId="Gone"><w:name w:val="Gone"/><w:basedOn w:val="Base9"/></w:style>',
            ),
            HiddenText::WHITE,
        ];
        yield 'docx, in two runs' => [
            fn () => self::docx(
                '<w:p>'.self::letters('<w:color w:val="FFFFFF"/>', 'discuss credit ')
                    .self::letters('<w:color w:val="FFFFFF"/><w:b/>', 'wages and debt').'</w:p>'
            ),
            HiddenText::WHITE,
        ];
        yield 'docx, tiny' => [
            fn () => self::docx('<w:p>'.self::letters('<w:sz w:val="2"/>').'</w:p>'), HiddenText::TINY,
        ];
        yield 'docx, marked as hidden' => [
            fn () => self::docx(
                '<w:p>'.self::letters('<w:vanish w:val="false"/>', 'Seen. ')
                    .self::letters('<w:specVanish/><w:color w:val="FFFFFF"/>').'</w:p>'
            ),
            HiddenText::WHITE,
        ];
        yield 'odt, white' => [fn () => $odt('fo:color="#ffffff"'), HiddenText::WHITE];
        yield 'odt, tiny' => [fn () => $odt('fo:font-size="1pt"'), HiddenText::TINY];
        yield 'html, white by a declaration' => [
            fn () => [
                '<html><body><p>'.self::SEEN.'</p><p>Then <span style="color: #FFF">'.self::HIDDEN
                    .'</span> ended.</p></body></html>',
                'essay.html',
            ],
            HiddenText::WHITE,
        ];
        yield 'html, white by a class' => [
            fn () => [
                '<html><head><style>.w { color: rgb(255, 255, 255) }</style></head><body><p>'.self::SEEN
                    .'</p><p class="w">'.self::HIDDEN.'</p></body></html>',
                'essay.html',
            ],
            HiddenText::WHITE,
        ];
        yield 'html, tiny' => [
            fn () => [
                '<html><body><p>'.self::SEEN.'</p><p style="font-size: 1px">'.self::HIDDEN.'</p></body></html>',
                'essay.html',
            ],
            HiddenText::TINY,
        ];
        yield 'html, not displayed' => [
            fn () => [
                '<html><body><p>'.self::SEEN.'</p><p style="display:none">'.self::HIDDEN.'</p></body></html>',
                'essay.html',
            ],
            HiddenText::UNSEEN,
        ];
        yield 'html, seen through' => [
            fn () => [
                '<html><body><p>'.self::SEEN.'</p><p style="opacity: 0">'.self::HIDDEN.'</p></body></html>',
                'essay.html',
            ],
            HiddenText::UNSEEN,
        ];
        yield 'html, by an old attribute' => [
            fn () => [
                '<html><body><p>'.self::SEEN.'</p><p><font color="white">'.self::HIDDEN.'</font></p></body></html>',
                'essay.html',
            ],
            HiddenText::WHITE,
        ];
        yield 'pdf, white' => [fn () => [self::pdf('1 1 1 rg /F1 12 Tf'), 'essay.pdf'], HiddenText::WHITE];
        yield 'pdf, tiny' => [fn () => [self::pdf('/F1 2 Tf'), 'essay.pdf'], HiddenText::TINY];
    }

    /** @param  callable(): array{string, string}  $file */
    #[DataProvider('honest')]
    public function test_white_and_small_letters_that_can_be_read_are_no_finding(callable $file): void
    {
        $this->module();
        [$bytes, $name] = $file();
        $handin = app(TakeHandIn::class)($this->assignment(), $this->students[0], [Files::upload($bytes, $name)]);
        self::assertSame([], $handin->hidden);
    }

    /**
     * @return iterable<string, array{callable(): array{string, string}}>
     */
    public static function honest(): iterable
    {
        yield 'docx, white on a dark shade of the letters' => [
            fn () => self::docx(
                '<w:p>'.self::letters('<w:color w:val="FFFFFF"/><w:shd w:val="clear" w:fill="1F3864"/>').'</w:p>'
            ),
        ];
        yield 'docx, white on a highlight' => [
            fn () => self::docx(
                '<w:p>'.self::letters('<w:color w:val="FFFFFF"/><w:highlight w:val="darkBlue"/>').'</w:p>'
            ),
        ];
        yield 'docx, white in a dark cell of a table' => [
            fn () => self::docx(
                '<w:tbl><w:tr><w:tc><w:tcPr><w:shd w:val="clear" w:fill="000000"/></w:tcPr><w:p>'
                    .self::letters('<w:color w:val="FFFFFF"/>').'</w:p></w:tc></w:tr></w:tbl>'
            ),
        ];
        yield 'docx, a colour' => [
            fn () => self::docx(
                '<w:p>'.self::letters('<w:color w:val="FF0000"/>').self::letters('<w:color w:val="auto"/>').'</w:p>'
            ),
        ];
        yield 'docx, a footnote’s size' => [fn () => self::docx('<w:p>'.self::letters('<w:sz w:val="14"/>').'</w:p>')];
        yield 'html, white on black' => [
            fn () => [
                '<html><body><div style="background: #000"><p style="color: white">'.self::SEEN
                    .'</p></div></body></html>',
                'essay.html',
            ],
        ];
        yield 'html, small print' => [
            fn () => ['<html><body><p style="font-size: 9px">'.self::SEEN.'</p></body></html>', 'essay.html'],
        ];
        yield 'pdf, plain' => [fn () => [Files::pdf(self::SEEN), 'essay.pdf']];
        yield 'plain text' => [fn () => [self::SEEN, 'essay.txt']];
    }

    private static function pdf(string $how): string
    {
        return Files::pdfOf(
            '/F1 12 Tf 72 720 Td (The pans were drawn twice a day in summer.) Tj 0 -20 Td '.$how.' ('.self::HIDDEN
                .') Tj'
        );
    }

    public function test_a_page_that_is_a_picture_is_named(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $handin = app(TakeHandIn::class)(
            $assignment, $this->students[0],
            [Files::upload(Files::pdfOf('/F1 12 Tf 72 720 Td ('.self::SEEN.') Tj', ''), 'essay.pdf')],
        );
        self::assertSame(HiddenText::PICTURE, $handin->hidden[0]['kind'] ?? null);
        $this->actingAs($this->coordinator)->get(route('screen.show', $this->script($assignment)))
            ->assertSee('A page without text')->assertSee('Page 2 of 2');
        $this->get(
            route('screen.index', [$assignment, 'show' => 'hiding'])
        )->assertSee($this->script($assignment)->code.'</a>', false);
    }
}
