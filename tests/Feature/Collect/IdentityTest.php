<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\ReadWork;
use App\Actions\Collect\WorkRead;
use App\Extraction\FileKind;
use App\Models\Assignment;
use App\Models\User;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\TestCase;
use YoungHarbor\Core\Text\Mask;
use ZipArchive;

/**
 * Whatever a file says of its author is found, told to the student, and gone from all that staff get: in every format,
 * wherever writing programs put it. The files are made up, and written here part by part.
 */
final class IdentityTest extends TestCase
{
    /** What must stand nowhere, in any case. */
    private const SIGNS = ['Kovářová', 'Kovarova', 'Hana', 'M204111', 'hk111'];

    /**
     * @param  array<string, string>  $at
     */
    #[DataProvider('planted')]
    public function test_what_is_planted_is_found_and_gone(string $format, array $at, string $place, ?string $fileName = null): void
    {
        $work = $this->handedIn($format, $at, $fileName);
        self::assertContains($place, array_column($work->identity, 'place'), json_encode($work->identity, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
        self::assertNotSame([], $work->notes, 'the student is told');
        $clean = $work->pieces[0]->clean;
        self::assertNotNull($clean);
        self::assertSame($format === 'txt' ? FileKind::Text : FileKind::from($format), $clean[1]);
        foreach ([...self::inside($clean[0], $clean[1]), 'as markers read it' => $work->html, 'as screening reads it' => $work->text] as $where => $text) {
            foreach (self::SIGNS as $sign) {
                self::assertStringNotContainsStringIgnoringCase($sign, $text, $where);
            }
        }
        self::assertStringContainsString('women who raked', implode("\n", self::inside($clean[0], $clean[1])), 'and the work itself is there');
    }

    /** @return iterable<string, array{0: string, 1: array<string, string>, 2: string, 3?: string}> */
    public static function planted(): iterable
    {
        $name = 'Hana Kovářová';
        $ways = ['full name' => $name, 'capitals' => 'HANA KOVÁŘOVÁ', 'reversed' => 'Kovářová, Hana', 'initial' => 'H. Kovářová', 'without accents' => 'Hana Kovarova', 'number' => 'M204111', 'mail address' => 'hk111@merrow.example'];
        foreach ($ways as $way => $text) {
            foreach (['docx', 'odt', 'rtf', 'html', 'md', 'txt'] as $format) {
                yield "{$format}, text: {$way}" => [$format, ['text' => $text], 'text'];
            }
        }
        foreach (['number' => 'M204111', 'without accents' => 'Hana Kovarova', 'mail address' => 'hk111@merrow.example'] as $way => $text) {
            yield "pdf, text: {$way}" => ['pdf', ['text' => $text], 'text'];
        }
        foreach (['docx', 'odt', 'rtf', 'html', 'md', 'txt'] as $format) {
            yield "{$format}, title page" => [$format, ['first line' => 'Kovářová'], 'text'];
            yield "{$format}, last line" => [$format, ['last line' => 'by Hana'], 'text'];
            yield "{$format}, name of the file" => [$format, [], 'name of the file', "Kovarova_essay_final.{$format}"];
        }
        yield 'pdf, name of the file' => ['pdf', [], 'name of the file', 'essay hana.pdf'];
        yield 'pdf, first line' => ['pdf', ['first line' => 'Kovarova'], 'text'];
        foreach (['creator' => 'author of the file', 'last modified by' => 'last changed by', 'company' => 'company', 'manager' => 'manager', 'custom' => 'properties of the file', 'title' => 'properties of the file', 'header' => 'headers and footers', 'footer' => 'headers and footers', 'comment author' => 'authors of comments', 'comment' => 'comments', 'people' => 'authors of comments', 'inserted' => 'tracked changes', 'runs' => 'text', 'picture' => 'pictures'] as $where => $place) {
            yield "docx, {$where}" => ['docx', [$where => $name], $place];
        }
        yield 'docx, the author of a title page in its style' => ['docx', ['author style' => $name], 'text'];
        yield 'docx, someone else’s name as author' => ['docx', ['creator' => 'Mother’s laptop'], 'author of the file'];
        yield 'docx, deleted text' => ['docx', ['deleted' => $name, 'creator' => $name], 'author of the file'];
        yield 'docx, a mail link' => ['docx', ['link' => 'mailto:hk111@merrow.example'], 'links and attributes'];
        yield 'docx, a folder of one’s own' => ['docx', ['template path' => 'file:///C:/Users/Hana%20Kovarova/essay.dotx'], 'links and attributes'];
        yield 'docx, a macro' => ['docx', ['macro' => "\0\0Hana Kovarova\0"], 'macros or embedded files'];
        yield 'docx, an embedded file' => ['docx', ['embedded' => "\0\0H\0a\0n\0a\0"], 'macros or embedded files'];
        foreach (['creator' => 'author of the file', 'initial creator' => 'author of the file', 'printed by' => 'last changed by', 'user defined' => 'properties of the file', 'header' => 'headers and footers', 'annotation' => 'authors of comments', 'changed by' => 'tracked changes', 'footnote' => 'text', 'author field' => 'author fields'] as $where => $place) {
            yield "odt, {$where}" => ['odt', [$where => $name], $place];
        }
        yield 'odt, a mail link' => ['odt', ['link' => 'mailto:hk111@merrow.example'], 'links and attributes'];
        foreach (['author' => 'author of the file', 'title' => 'PDF information', 'xmp' => 'PDF metadata (XMP)', 'note by' => 'authors of comments', 'attached' => 'macros or embedded files'] as $where => $place) {
            yield "pdf, {$where}" => ['pdf', [$where => $name], $place];
        }
        foreach (['author' => 'author of the file', 'operator' => 'last changed by', 'company' => 'company', 'revisers' => 'tracked changes', 'note by' => 'authors of comments', 'header' => 'headers and footers'] as $where => $place) {
            yield "rtf, {$where}" => ['rtf', [$where => $name], $place];
        }
        foreach (['meta' => 'author of the file', 'title' => 'title of the page', 'comment' => 'comments in the page', 'alt' => 'links and attributes', 'marked up' => 'text'] as $where => $place) {
            yield "html, {$where}" => ['html', [$where => $name], $place];
        }
        yield 'html, a mail link' => ['html', ['link' => 'mailto:hk111@merrow.example'], 'links and attributes'];
        yield 'md, front matter' => ['md', ['front' => $name], 'front matter'];
        yield 'md, comment' => ['md', ['comment' => $name], 'comments in the page'];
    }

    public function test_there_are_at_least_sixty_of_them_in_every_format(): void
    {
        $all = iterator_to_array(self::planted());
        self::assertGreaterThanOrEqual(60, count($all));
        self::assertCount(7, array_unique(array_column($all, 0)));
    }

    public function test_sixty_documents_that_name_nobody_are_left_as_they_are(): void
    {
        $this->module(0, 0);
        $assignment = new Assignment(['max_files' => 1, 'max_megabytes' => 20]);
        $people = [['Will Salt', '2041', 'w.salt@x.example'], ['Rose Marsh', '1848', 'rm@x.example'], ['Bo Li', 'M7', 'bo@x.example'], ['Grace Young', '99', 'grace@x.example'], ['E Stone', '12', 'e@x.example'], ['Hana Kovářová', 'M204111', 'hk111@merrow.example'], ['Faith Wells', '1666', 'f@x.example'], ['May Day', '314', 'may@x.example'], ['Ann Sand', '57', 'ann@x.example']];
        $bodies = [
            ['Brine will salt preserve as well as smoke.', 'In 2041 the wall will stand or fall; in 1848 the marsh rose again.', 'The young had grace, and faith in wells.', 'A stone, e. g. of the pier, may one day be sand.', 'See Young, T. R., and Marsh, P. (1901), p. 57.'],
            ['Hana is a flower, and Kovář a smith.', 'Student number 12 of the school sat by the door; number 2 and M77 and M2041110 too.', 'The author of the lease is not known. By hand, by night, by boat.', 'Name: the Rose. Company: of salters. Author unknown.'],
        ];
        $read = 0;
        foreach ($people as $n => [$name, $number, $mail]) {
            $author = User::factory()->make(['name' => $name, 'number' => $number, 'email' => $mail]);
            foreach ($bodies as $body) {
                $files = ['docx' => PlantedFiles::docx([], $body), 'odt' => PlantedFiles::odt([], $body), 'txt' => implode("\n\n", $body), 'md' => implode("\n\n", $body)] + ($n < 3 ? ['pdf' => Files::pdf(...$body), 'rtf' => PlantedFiles::rtf(), 'html' => PlantedFiles::html()] : []);
                foreach ($files as $format => $bytes) {
                    $work = app(ReadWork::class)($assignment, [$author], [Files::upload($bytes, "essay.{$format}")]);
                    self::assertSame([], $work->identity, "{$name}, {$format}");
                    self::assertStringNotContainsString(Mask::SHOWN, $work->text);
                    $read++;
                }
            }
        }
        self::assertGreaterThanOrEqual(60, $read);
    }

    public function test_a_clean_word_document_is_still_one_that_opens(): void
    {
        foreach (['docx', 'odt'] as $format) {
            $work = $this->handedIn($format, ['creator' => 'Hana Kovářová', 'text' => 'Hana Kovářová', 'header' => 'Hana Kovářová'], null);
            $clean = (string) ($work->pieces[0]->clean[0] ?? '');
            $again = app(ReadWork::class)(new Assignment(['max_files' => 1, 'max_megabytes' => 20]), [], [Files::upload($clean, "again.{$format}")]);
            self::assertSame($work->text, $again->text, 'read again, it says what markers read');
            $path = (string) tempnam(sys_get_temp_dir(), 'zip');
            file_put_contents($path, $clean);
            $zip = new ZipArchive;
            self::assertTrue($zip->open($path, ZipArchive::CHECKCONS));
            self::assertSame($format === 'odt' ? 'mimetype' : '[Content_Types].xml', $zip->getNameIndex(0));
        }
    }

    public function test_parts_that_are_made_to_do_harm_are_refused_or_left_out(): void
    {
        $work = $this->handedIn('docx', ['path' => 'etc/passwd'], null);
        self::assertSame([], array_filter(array_keys(self::inside((string) ($work->pieces[0]->clean[0] ?? ''), FileKind::Docx)), fn (string $name) => str_contains($name, '..')));
        $bomb = '<?xml version="1.0"?><!DOCTYPE w [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]><w:hdr xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"><w:p><w:r><w:t>&b;</w:t></w:r></w:p></w:hdr>';
        $path = (string) tempnam(sys_get_temp_dir(), 'bomb');
        file_put_contents($path, PlantedFiles::docx());
        $zip = new ZipArchive;
        $zip->open($path);
        $zip->addFromString('word/header1.xml', $bomb);
        $zip->close();
        $this->expectExceptionMessage('This document defines entities of its own');
        $this->read(Files::upload((string) file_get_contents($path), 'bomb.docx'));
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
        $work = $this->read(Files::upload((string) file_get_contents($whole), 'scan.pdf'));
        self::assertStringStartsWith('Pages 2, 4 of 4 hold no text', implode(' ', $work->notes));
        self::assertSame([], $this->read(Files::upload($pages[0], 'words.pdf'))->notes);
    }

    public function test_scripts_in_pages_are_gone_and_drawings_with_scripts_are_no_documents(): void
    {
        $page = '<html><body onload="steal()"><p>Salt <script>steal()</script>and fire.</p><svg onload="steal()"><text>drawn</text></svg><iframe src="https://evil.example"></iframe><a href="javascript:steal()">on</a></body></html>';
        $work = $this->read(Files::upload($page, 'essay.html'));
        self::assertDoesNotMatchRegularExpression('/steal|svg|iframe|javascript|onload/i', $work->html.($work->pieces[0]->clean[0] ?? ''));
        $this->expectExceptionMessage('This is not a document that can be read here (it holds image/svg+xml, though it is named .txt)');
        $this->read(Files::upload('<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" onload="steal()"><text>Salt</text></svg>', 'essay.txt'));
    }

    /**
     * @param  array<string, string>  $at
     */
    private function handedIn(string $format, array $at, ?string $fileName): WorkRead
    {
        $bytes = match ($format) {
            'docx' => PlantedFiles::docx($at), 'odt' => PlantedFiles::odt($at), 'pdf' => PlantedFiles::pdf($at), 'rtf' => PlantedFiles::rtf($at), 'html' => PlantedFiles::html($at), 'md' => PlantedFiles::markdown($at), default => PlantedFiles::text($at),
        };

        return $this->read(Files::upload($bytes, $fileName ?? "essay.{$format}"));
    }

    private function read(\Illuminate\Http\UploadedFile $file): WorkRead
    {
        return app(ReadWork::class)(new Assignment(['max_files' => 1, 'max_megabytes' => 20]), [User::factory()->make(['name' => 'Hana Kovářová', 'number' => 'M204111', 'email' => 'hk111@merrow.example'])], [$file]);
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

            return ['bytes' => mb_scrub($bytes), 'text' => $run('pdftotext', $path, '-'), 'info' => $run('pdfinfo', $path), 'XMP' => $run('pdfinfo', '-meta', $path), 'objects' => (string) json_encode(json_decode($run('qpdf', '--json=2', '--json-stream-data=none', '--warning-exit-0', $path)), JSON_UNESCAPED_UNICODE), 'streams' => mb_scrub($run('qpdf', '--qdf', '--object-streams=disable', '--warning-exit-0', $path, '-'))];
        }
        if (! in_array($kind, [FileKind::Docx, FileKind::Odt], true)) {
            // Letters of RTF that stand as numbers are made letters.
            return ['bytes' => preg_replace_callback('/\{?\\\\uc?\d*\\\\?u?(-?\d+) ?\??\}?/', fn (array $m) => mb_chr((int) $m[1]) ?: '', $bytes).html_entity_decode($bytes)];
        }
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::RDONLY);
        $parts = [];
        for ($n = 0; $n < $zip->count(); $n++) {
            $parts[(string) $zip->getNameIndex($n)] = html_entity_decode(mb_scrub(str_replace("\0", '', (string) $zip->getFromIndex($n))), ENT_QUOTES | ENT_XML1);
        }

        return $parts;
    }
}
