<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\TakeHandIn;
use App\Documents\HandinCopies;
use App\Extraction\CopyKind;
use App\Extraction\FileKind;
use App\Extraction\Refusal;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\TestCase;
use ZipArchive;

/**
 * Whatever a document does when it is opened, nothing made of it does; and while it is read, nothing it points at is
 * asked for. A listener on loopback counts who calls.
 */
final class ActiveContentTest extends TestCase
{
    /** What must stand in nothing that is made here. */
    private const RUNS = '~https?://127\.0\.0\.1|file://|javascript:\S|vbscript:|<script|\bon(?:load|error|click|mouseover|focus)\s*=|/JavaScript\b|/JS\b|/Launch\b|/OpenAction\b|/AA\b|/SubmitForm\b|/ImportData\b|/GoToR\b|/EmbeddedFile|/RichMedia\b|vbaProject|oleObject|activeX|altChunk|instrText|attachedTemplate|TargetMode="External"|Basic/|office:event-listeners|xlink:href="http|section-source|<iframe|<object|<embed|<form\b|<meta http-equiv|<base\b|@import|objdata|\\\\field\b|DDEAUTO|INCLUDE~i';

    public function test_nothing_that_runs_loads_or_calls_is_in_anything_made_here_and_nobody_is_called(): void
    {
        $listener = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($listener);
        $at = 'http://'.stream_socket_get_name($listener, false);
        $this->module(2, 1);
        $assignment = $this->assignment(['max_files' => 1]);
        $kinds = 0;
        foreach ($this->files($at) as $what => [$format, $bytes]) {
            $kinds++;
            try {
                $handin = app(TakeHandIn::class)(
                    $assignment, $this->students[0], [Files::upload($bytes, "essay.{$format}")],
                );
            } catch (Refusal $e) { // it may be refused, in words
                self::assertNotSame('', $e->getMessage());

                continue;
            }
            app(PrepareForMarkers::class)($handin);
            $handin->refresh();
            self::assertStringContainsString('women who raked', $handin->text, "{$what}: the work itself is there");
            // A marker reads the address of a link as text.
            self::assertDoesNotMatchRegularExpression(self::RUNS, $handin->html, $what);
            foreach (
                $kinds % 6 === 0 ? app(HandinCopies::class)->kinds($handin) : [CopyKind::cases()[$kinds % 3]] as $kind
            ) {
                $copy = (string) Storage::get(app(HandinCopies::class)->path($handin, $kind));
                // In a web page, text that looks like markup stays text.
                foreach (
                    $kind === CopyKind::Html
                        ? [$copy]
                        : IdentityTest::inside($copy, FileKind::from($kind->value)) as $part => $inside
                ) {
                    self::assertDoesNotMatchRegularExpression(
                        self::RUNS, "{$part} {$inside}", "{$what} taken away as {$kind->value}, {$part}",
                    );
                }
            }
        }
        self::assertGreaterThanOrEqual(30, $kinds);
        $called = @stream_socket_accept($listener, 0.2);
        self::assertFalse($called, $called === false ? '' : (string) fread($called, 200));
        fwrite(STDERR, "\nKinds of active content: {$kinds}, none in anything made here, no address called\n");
    }

    /**
     * @return iterable<string, array{string, string}> format and bytes
     */
    private function files(string $at): iterable
    {
        $rel = fn (
            string $id, string $type, string $target, bool $outside,
        ): string => "<Relationship Id=\"{$id}\" Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/{$type}\" Target=\"{$target}\""
            .($outside ? ' TargetMode="External"' : '').'/>';
        $field = fn (string $code): string => "<w:p><w:r><w:fldChar w:fldCharType=\"begin\"/></w:r><w:r><w:instrText xml:space=\"preserve\"> {$code} </w:instrText></w:r><w:r><w:fldChar w:fldCharType=\"separate\"/></w:r><w:r><w:t>shown</w:t></w:r><w:r><w:fldChar w:fldCharType=\"end\"/></w:r></w:p>";
        $blip = '<w:p><w:r><w:drawing><a:blip xmlns:a="http://schemas.openxmlformats.org/drawingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" r:link="rX"/></w:drawing></w:r></w:p>';
        yield 'docx: macro' => ['docx', $this->docx(['word/vbaProject.bin' => 'AutoOpen'])];
        yield 'docx: embedded object' => [
            'docx',
            $this->docx(
                ['word/embeddings/oleObject1.bin' => "\xD0\xCF\x11\xE0"], '',
                $rel('rX', 'oleObject', 'embeddings/oleObject1.bin', false),
            ),
        ];
        yield 'docx: control' => [
            'docx',
            $this->docx(
                ['word/activeX/activeX1.xml' => '<x/>'], '', $rel('rX', 'control', 'activeX/activeX1.xml', false),
            ),
        ];
        yield 'docx: template from elsewhere' => [
            'docx',
            $this->docx(
                [
                    'word/settings.xml' => '<w:settings xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><w:attachedTemplate r:id="rX"/></w:settings>',
                    'word/_rels/settings.xml.rels' => '<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">'
                        .$rel('rX', 'attachedTemplate', "{$at}/t.dotm", true).'</Relationships>',
                ]
            ),
        ];
        yield 'docx: picture from elsewhere' => [
            'docx', $this->docx([], $blip, $rel('rX', 'image', "{$at}/p.png", true)),
        ];
        yield 'docx: frame from elsewhere' => [
            'docx',
            $this->docx([], '<w:p><w:r><w:t>framed</w:t></w:r></w:p>', $rel('rX', 'frame', "{$at}/f.htm", true)),
        ];
        yield 'docx: page inside' => [
            'docx',
            $this->docx(
                ['word/chunk.html' => "<html><body><img src=\"{$at}/c.png\"><script>x()</script></body></html>"],
                '<w:altChunk xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" r:id="rX"/>',
                $rel('rX', 'aFChunk', 'chunk.html', false),
            ),
        ];
        yield 'docx: DDE' => [
            'docx', $this->docx([], $field('DDEAUTO c:\\\\windows\\\\system32\\\\cmd.exe "/k calc"')),
        ];
        yield 'docx: INCLUDETEXT' => ['docx', $this->docx([], $field("INCLUDETEXT &quot;{$at}/i.txt&quot;"))];
        yield 'docx: INCLUDEPICTURE' => ['docx', $this->docx([], $field("INCLUDEPICTURE &quot;{$at}/i.png&quot;"))];
        yield 'docx: link that runs' => [
            'docx',
            $this->docx(
                [],
                '<w:p><w:hyperlink xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" r:id="rX"><w:r><w:t>here</w:t></w:r></w:hyperlink></w:p>',
                $rel('rX', 'hyperlink', 'javascript:alert(1)', true),
            ),
        ];
        yield 'docx: link to a file' => [
            'docx',
            $this->docx(
                [],
                '<w:p><w:hyperlink xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships" r:id="rX"><w:r><w:t>here</w:t></w:r></w:hyperlink></w:p>',
                $rel('rX', 'hyperlink', 'file:///etc/passwd', true),
            ),
        ];
        yield 'docx: custom interface' => [
            'docx', $this->docx(['customUI/customUI.xml' => '<customUI onLoad="run"/>']),
        ];
        $ns = 'xmlns:xlink="http://www.w3.org/1999/xlink" xmlns:draw="urn:oasis:names:tc:opendocument:xmlns:drawing:1.0" xmlns:script="urn:oasis:names:tc:opendocument:xmlns:script:1.0"';
        yield 'odt: macro' => [
            'odt',
            $this->odt(['Basic/Standard/Module1.xml' => '<x>Sub Main</x>', 'Scripts/python/x.py' => 'import os']),
        ];
        yield 'odt: event' => [
            'odt',
            $this->odt(
                [],
                "<text:p><office:event-listeners {$ns}><script:event-listener script:language=\"ooo:script\" script:event-name=\"dom:load\" xlink:href=\"vnd.sun.star.script:x\"/></office:event-listeners>Salt.</text:p>",
            ),
        ];
        yield 'odt: picture from elsewhere' => [
            'odt',
            $this->odt([], "<text:p><draw:frame {$ns}><draw:image xlink:href=\"{$at}/p.png\"/></draw:frame></text:p>"),
        ];
        yield 'odt: section from elsewhere' => [
            'odt',
            $this->odt(
                [],
                "<text:section text:name=\"s\"><text:section-source {$ns} xlink:href=\"{$at}/s.odt\"/><text:p>Salt.</text:p></text:section>",
            ),
        ];
        yield 'odt: object' => [
            'odt',
            $this->odt(
                ['Object 1/content.xml' => '<x/>'],
                "<text:p><draw:frame {$ns}><draw:object xlink:href=\"./Object 1\"/></draw:frame></text:p>",
            ),
        ];
        yield 'odt: plug-in' => [
            'odt',
            $this->odt([], "<text:p><draw:frame {$ns}><draw:plugin xlink:href=\"{$at}/v.mp4\"/></draw:frame></text:p>"),
        ];
        foreach (
            [
                'script' => '<script src="'.$at.'/x.js">x()</script>',
                'handler' => '<p onclick="x()" onmouseover="x()">Salt</p>',
                'frame' => '<iframe src="'.$at.'/f"></iframe>',
                'drawing' => '<svg onload="x()"><image href="'.$at.'/s.png"/><script>x()</script></svg>',
                'object' => '<object data="'.$at.'/o"></object><embed src="'.$at.'/e">',
                'form' => '<form action="'.$at.'/f"><input name="a"></form>',
                'refresh' => '<meta http-equiv="refresh" content="0;url='.$at.'/r">',
                'style sheet' => '<link rel="stylesheet" href="'.$at.'/s.css"><style>@import "'.$at
                    .'/i.css";p{background:url('.$at.'/b.png)}</style>',
                'link that runs' => '<a href="javascript:x()">on</a><a href="data:text/html,<script>x()</script>">on</a>',
                'picture from elsewhere' => '<img src="'.$at.'/p.png" srcset="'.$at.'/q.png 2x" onerror="x()">',
                'sound' => '<video src="'.$at.'/v" poster="'.$at.'/p"></video><audio src="'.$at.'/a"></audio>',
                'base' => '<base href="'.$at.'/"><img src="p.png">',
            ] as $what => $html
        ) {
            yield "html: {$what}" => ['html', PlantedFiles::html([]).$html];
        }
        yield 'md: raw' => [
            'md', PlantedFiles::markdown()."\n\n<script>x()</script>\n\n![p]({$at}/p.png)\n\n[here](javascript:x())\n",
        ];
        yield 'rtf: object' => [
            'rtf',
            substr(PlantedFiles::rtf(), 0, -1).'{\object\objemb{\*\objclass Package}{\*\objdata 0105000002000000}}}',
        ];
        yield 'rtf: fields' => [
            'rtf',
            substr(PlantedFiles::rtf(), 0, -1)
                ."{\\field{\\*\\fldinst INCLUDEPICTURE \"{$at}/p.png\"}{\\fldrslt shown}}{\\*\\template {$at}/t.dot}}",
        ];
        foreach (
            [
                'open action' => '/OpenAction << /S /JavaScript /JS (app.alert(1)) >>',
                'launch' => '/OpenAction << /S /Launch /F (cmd.exe) >>',
                'address' => "/OpenAction << /S /URI /URI ({$at}/u) >>",
                'form' => "/AcroForm << /XFA 4 0 R >> /AA << /WC << /S /SubmitForm /F ({$at}/f) >> >>",
                'names' => '/Names << /JavaScript << /Names [(a) << /S /JavaScript /JS (x) >>] >> >>',
            ] as $what => $entry
        ) {
            yield "pdf: {$what}" => [
                'pdf',
                str_replace('/Type /Catalog', "/Type /Catalog {$entry}", PlantedFiles::pdf(['attached' => 'MZ'])),
            ];
        }
    }

    /**
     * @param  array<string, string>  $parts
     */
    private function docx(array $parts, string $body = '', string $relationship = ''): string
    {
        return $this->changed(PlantedFiles::docx(), $parts, function (
            string $name, string $part,
        ) use ($body, $relationship): string {
            $part = $name === 'word/document.xml' ? str_replace('<w:body>', "<w:body>{$body}", $part) : $part;

            return $name === 'word/_rels/document.xml.rels'
                ? str_replace('</Relationships>', "{$relationship}</Relationships>", $part)
                : $part;
        });
    }

    /**
     * @param  array<string, string>  $parts
     */
    private function odt(array $parts, string $body = ''): string
    {
        return $this->changed(
            PlantedFiles::odt(), $parts,
            fn (string $name, string $part): string => $name === 'content.xml'
                ? str_replace('<office:text>', "<office:text>{$body}", $part)
                : $part,
        );
    }

    /**
     * @param  array<string, string>  $parts
     * @param  callable(string, string): string  $change
     */
    private function changed(string $bytes, array $parts, callable $change): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $bytes);
        $zip = new ZipArchive;
        $zip->open($path);
        $all = [];
        for ($n = 0; $n < $zip->count(); $n++) {
            $name = (string) $zip->getNameIndex($n);
            $all[$name] = $change($name, (string) $zip->getFromIndex($n));
        }

        return Files::zip([...$all, ...$parts]);
    }
}
