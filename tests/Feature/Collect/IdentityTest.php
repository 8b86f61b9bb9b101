<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Extraction\AuthorTraces;
use App\Extraction\CopyKind;
use App\Extraction\CopyWriter;
use App\Extraction\FileKind;
use App\Extraction\HtmlTree;
use App\Handins\KeptPiece;
use App\Handins\ReadPieces;
use App\Handins\UploadedPiece;
use App\Handins\WorkReader;
use App\Models\Assignment;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Depends;
use Symfony\Component\Process\Process;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\Plantings;
use Tests\TestCase;
use ZipArchive;

/**
 * Whatever a file says of its author is gone from all that staff get: in every format, wherever writing programs put
 * it, however the name is written. The files are made up, and written part by part.
 */
final class IdentityTest extends TestCase
{
    /** Places of each format that hold a text of their own. The same spelling stands in all of them. */
    private const PLACES = [
        'docx' => [
            'text', 'title', 'creator', 'last modified by', 'company', 'manager', 'custom', 'header', 'footer',
            'comment', 'comment author', 'people', 'inserted', 'deleted', 'runs', 'picture', 'table', 'footnote',
            'field', 'bookmark', 'alt', 'style name', 'settings', 'template path', 'author style', 'macro', 'embedded',
        ],
        'odt' => [
            'text', 'creator', 'initial creator', 'printed by', 'user defined', 'header', 'annotation', 'changed by',
            'footnote', 'author field', 'table', 'bookmark', 'alt',
        ],
        'rtf' => ['text', 'author', 'operator', 'company', 'revisers', 'note by', 'header', 'font'],
        'html' => ['text', 'meta', 'title', 'comment', 'alt', 'marked up'],
        'md' => ['text', 'front', 'comment'],
        'txt' => ['text'],
        'typed' => ['text'],
        'pdf' => ['text', 'author', 'title', 'xmp', 'note by', 'attached', 'outline', 'piece', 'actual text'],
    ];

    private static int $planted = 0;

    #[DataProvider('documents')]
    public function test_nothing_that_is_planted_is_left(string $format, int $who): void
    {
        $person = Plantings::people()[$who];
        foreach ($person->spellings as $n => $spelling) {
            // Letters that the made-up PDF and RTF have no code for are not written with them.
            if ($format === 'pdf' && preg_match('/[^\x20-\x7E\x{A0}-\x{FF}]/u', $spelling) === 1) {
                continue;
            }
            $work = $this->handedIn(
                $format, $person, array_fill_keys(self::PLACES[$format], $spelling), "{$spelling} essay.{$format}",
            );
            self::$planted += count(self::PLACES[$format]) + 1;
            self::assertNotSame([], $person->left($spelling), 'what is looked for is in it');
            foreach (
                [
                    'as markers read it' => $work->html, 'as screening reads it' => $work->text,
                    'what is told of hidden words' => (string) json_encode($work->hidden, JSON_UNESCAPED_UNICODE),
                ] as $where => $text
            ) {
                self::assertSame([], $person->left($text), "{$format}, “{$spelling}”, {$where}: {$text}");
            }
            self::assertStringContainsString('women who raked', $work->text, 'and the work itself is there');
            self::assertNotSame([], $work->notes, 'the student is told');
        }
        foreach ($person->alone as $line) {
            foreach (['first line', 'last line'] as $place) {
                if ($format === 'pdf' && preg_match('/[^\x20-\x7E\x{A0}-\x{FF}]/u', $line) === 1) {
                    continue;
                }
                self::$planted++;
                $work = $this->handedIn($format, $person, [$place => $line], "essay.{$format}");
                self::assertSame(
                    [], $person->left($work->html.$work->text), "{$format}, {$place}: “{$line}”: {$work->text}",
                );
            }
        }
    }

    /** @return iterable<string, array{string, int}> */
    public static function documents(): iterable
    {
        foreach (array_keys(self::PLACES) as $format) {
            foreach (Plantings::people() as $n => $person) {
                yield "{$format}, {$person->name}" => [$format, $n];
            }
        }
    }

    #[Depends('test_nothing_that_is_planted_is_left')]
    public function test_the_plantings_are_counted(): void
    {
        fwrite(STDERR, "\nNames planted: ".self::$planted.' over '.count(self::PLACES)." formats, none left\n");
        self::assertGreaterThanOrEqual(300, self::$planted);
    }

    public function test_files_to_take_away_hold_nothing_but_the_text(): void
    {
        foreach (Plantings::people() as $n => $person) {
            foreach ([['docx', 'html'], ['odt', 'rtf']][$n % 2] as $format) {
                $work = $this->handedIn(
                    $format, $person, array_fill_keys(self::PLACES[$format], $person->spelling($n)), "essay.{$format}",
                );
                $document = (new HtmlTree)->ofOurs($work->html);
                // Each format is written once a person; a file depends on the text alone.
                $kind = CopyKind::cases()[$n % 4];
                $copy = app(CopyWriter::class)->write($document, $kind);
                $inside = self::inside($copy, FileKind::from($kind->value));
                self::assertStringContainsString(
                    'women who raked', (string) preg_replace('/\s+/', ' ', implode("\n", $inside)),
                );
                foreach ($inside as $where => $text) {
                    self::assertSame(
                        [], $person->left("{$where} {$text}"), "{$format} taken away as {$kind->value}: {$where}",
                    );
                }
                self::assertSame(
                    $copy, app(CopyWriter::class)->write($document, $kind), 'nothing in it tells when it was made',
                );
            }
        }
    }

    public function test_a_file_taken_away_opens_and_says_what_markers_read(): void
    {
        $person = Plantings::people()[0];
        $html = '<h1>Salt</h1><p>One <em>two</em> H. Kovářová<sup>1</sup>.</p><blockquote><p>Quoted at length.</p></blockquote><ul><li><p>first</p></li><li><p>second</p></li></ul><table><tr><th>Year</th><th>Tons</th></tr><tr><td>1801</td><td>12</td></tr></table><ol><li><p>A note.</p></li></ol>';
        $work = $this->read(Files::upload($html, 'essay.html'), $person);
        self::assertStringContainsString('One two [name hidden]1.', $work->text);
        foreach ([CopyKind::Docx, CopyKind::Odt, CopyKind::Html] as $kind) {
            $copy = app(CopyWriter::class)->write((new HtmlTree)->ofOurs($work->html), $kind);
            // Pandoc knows quotations in OpenDocument files from version 3 on.
            $same = fn (string $text): string => $kind === CopyKind::Odt ? str_replace('> ', '', $text) : $text;
            self::assertSame(
                $same($work->text), $same($this->read(Files::upload($copy, "again.{$kind->value}"), null)->text),
                $kind->value,
            );
        }
    }

    public function test_sixty_documents_that_mention_others_are_left_as_they_are(): void
    {
        $read = 0;
        foreach (Plantings::people() as $person) {
            $body = [
                'On salt and those who raked it.',
                ...array_map(
                    fn (string $other) => "It was said of {$other} that the pans were let by the year, and of the women who raked them nothing.",
                    $person->others,
                ),
                'The author of the lease is not known. By hand, by night, by boat.',
                'Name: the Rose. Company: of salters. Author unknown.',
                'Student number 12 of the school sat by the door.',
            ];
            foreach (['docx', 'odt', 'rtf', 'html', 'md', 'txt', 'typed'] as $format) {
                $bytes = match ($format) {
                    'docx' => PlantedFiles::docx([], $body), 'odt' => PlantedFiles::odt([], $body),
                    'rtf' => Files::document(implode("\n\n", $body), 'rtf'),
                    'html' => Files::document(implode("\n\n", $body), 'html'), default => implode("\n\n", $body),
                };
                $work = $this->read($format === 'typed' ? $bytes : Files::upload($bytes, "essay.{$format}"), $person);
                $without = $this->read($format === 'typed' ? $bytes : Files::upload($bytes, "essay.{$format}"), null);
                self::assertSame($without->html, $work->html, "{$person->name}, {$format}");
                self::assertNotContains(AuthorTraces::HIDDEN, array_column($work->identity, 'fate'));
                $read++;
            }
        }
        foreach (
            [
                ['Will Salt', '2041', 'w.salt@x.example'], ['Rose Marsh', '1848', 'rm@x.example'],
                ['Bo Li', 'M7', 'bo@x.example'], ['Grace Young', '99', 'grace@x.example'],
                ['E Stone', '12', 'e@x.example'], ['Faith Wells', '1666', 'f@x.example'],
                ['May Day', '314', 'may@x.example'], ['Ann Sand', '57', 'ann@x.example'],
                ['Ana Smith', '88', 'asmith@x.example'],
            ] as [$name, $number, $mail]
        ) {
            $author = new Plantings($name, $number, $mail, [], [], [], []);
            foreach ([
                [
                    'Brine will salt preserve as well as smoke.',
                    'In 2041 the wall will stand or fall; in 1848 the marsh rose again.',
                    'The young had grace, and faith in wells.', 'A stone, e. g. of the pier, may one day be sand.',
                    'See Young, T. R., and Marsh, P. (1901), p. 57. Diana Smith and Ana Smithson kept the forge.',
                ],
                [
                    'Student number 13 sat by the door; number 2 and M77 and M2041110 too.',
                    'The author of the lease is not known. By hand, by night, by boat.',
                    'Name: the Rose. Company: of salters. Author unknown.',
                ],
            ] as $body) {
                $text = implode("\n\n", $body);
                self::assertSame($this->read($text, null)->html, $this->read($text, $author)->html, $name);
                $read++;
            }
        }
        self::assertGreaterThanOrEqual(60, $read);
    }

    public function test_parts_that_are_made_to_do_harm_are_refused(): void
    {
        $bomb = '<?xml version="1.0"?><!DOCTYPE w [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]><w:hdr xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:p><w:r><w:t>&b;</w:t></w:r></w:p></w:hdr>';
        $path = (string) tempnam(sys_get_temp_dir(), 'bomb');
        file_put_contents($path, PlantedFiles::docx());
        $zip = new ZipArchive;
        $zip->open($path);
        $zip->addFromString('word/header1.xml', $bomb);
        $zip->close();
        $this->expectExceptionMessage('This document defines entities of its own');
        $this->read(Files::upload((string) file_get_contents($path), 'bomb.docx'), null);
    }

    public function test_the_student_is_told_which_pages_hold_no_text(): void
    {
        $pages = [Files::pdf('The first page holds words.'), Files::pdf(), Files::pdf('The third too.'), Files::pdf()];
        $paths = array_map(function (string $pdf): string {
            file_put_contents($path = (string) tempnam(sys_get_temp_dir(), 'page'), $pdf);

            return $path;
        }, $pages);
        $whole = (string) tempnam(sys_get_temp_dir(), 'whole');
        (new Process(['qpdf', '--warning-exit-0', '--empty', '--pages', ...$paths, '--', $whole]))->mustRun();
        $work = $this->read(Files::upload((string) file_get_contents($whole), 'scan.pdf'), null);
        self::assertStringStartsWith('Pages 2, 4 of 4 hold no text', implode(' ', $work->notes));
        self::assertSame([], $this->read(Files::upload($pages[0], 'words.pdf'), null)->notes);
    }

    public function test_scripts_in_pages_are_gone_and_drawings_with_scripts_are_no_documents(): void
    {
        $page = '<html><body onload="steal()"><p>Salt <script>steal()</script>and fire.</p><svg onload="steal()"><text>drawn</text></svg><iframe src="https://evil.example"></iframe><a href="javascript:steal()">on</a></body></html>';
        $work = $this->read(Files::upload($page, 'essay.html'), null);
        self::assertDoesNotMatchRegularExpression('/steal|svg|iframe|javascript|onload/i', $work->html);
        $this->expectExceptionMessage(
            'This is not a document that can be read here (it holds image/svg+xml, though it is named .txt)'
        );
        $this->read(
            Files::upload(
                '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" onload="steal()"><text>Salt</text></svg>',
                'essay.txt',
            ),
            null,
        );
    }

    /**
     * @param  array<string, string>  $at
     */
    private function handedIn(string $format, Plantings $person, array $at, string $fileName): ReadPieces
    {
        $bytes = match ($format) {
            'docx' => PlantedFiles::docx($at), 'odt' => PlantedFiles::odt($at), 'pdf' => PlantedFiles::pdf($at),
            'rtf' => PlantedFiles::rtf($at), 'html' => PlantedFiles::html($at), 'md' => PlantedFiles::markdown($at),
            default => PlantedFiles::text($at),
        };

        return $this->read($format === 'typed' ? $bytes : Files::upload($bytes, $fileName), $person);
    }

    private function read(\Illuminate\Http\UploadedFile|string $work, ?Plantings $person): ReadPieces
    {
        $assignment = new Assignment(['max_files' => 1, 'max_megabytes' => 20]);

        $reading = app(WorkReader::class);
        $kept = array_map(
            fn (UploadedPiece $piece) => new KeptPiece($piece->name, $piece->kind, Storage::path($piece->store('drafts'))),
            $reading->take($assignment, [$work]),
        );

        try {
            return $reading->read($person === null ? [] : [$person->user()], $kept, function (): void {
            });
        } finally {
            array_map(fn (KeptPiece $one) => unlink($one->path), $kept);
        }
    }

    /**
     * Everything a file holds, unpacked: the parts of an archive, the text, strings and metadata of a PDF.
     *
     * @return array<string, string> by where it stands
     */
    public static function inside(string $bytes, FileKind $kind): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'inside');
        file_put_contents($path, $bytes);
        if ($kind === FileKind::Pdf) {
            $run = fn (string ...$command): string => (new Process($command))->mustRun()->getOutput();

            return [
                'bytes' => mb_scrub($bytes), 'text' => $run('pdftotext', $path, '-'), 'info' => $run('pdfinfo', $path),
                'XMP' => $run('pdfinfo', '-meta', $path),
                'objects' => (string) json_encode(
                    json_decode($run('qpdf', '--json=2', '--json-stream-data=none', '--warning-exit-0', $path)),
                    JSON_UNESCAPED_UNICODE,
                ),
                'streams' => mb_scrub(
                    $run('qpdf', '--qdf', '--object-streams=disable', '--warning-exit-0', $path, '-')
                ),
            ];
        }
        if (! in_array($kind, [FileKind::Docx, FileKind::Odt], true)) {
            // Letters of RTF that stand as numbers are made letters.
            return [
                'bytes' => preg_replace_callback(
                    '/\{?\\\\uc?\d*\\\\?u?(-?\d+) ?\??\}?/', fn (array $m) => mb_chr((int) $m[1]) ?: '', $bytes,
                ).html_entity_decode($bytes),
            ];
        }
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::RDONLY);
        $parts = [];
        for ($n = 0; $n < $zip->count(); $n++) {
            $parts[(string) $zip->getNameIndex($n)] = html_entity_decode(
                mb_scrub(str_replace("\0", '', (string) $zip->getFromIndex($n))), ENT_QUOTES | ENT_XML1,
            );
        }

        return $parts;
    }
}
