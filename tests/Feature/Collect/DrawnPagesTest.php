<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\TakeHandIn;
use App\Extraction\Child;
use App\Extraction\Pages\PageMaker;
use App\Extraction\Pages\PagesMade;
use App\Extraction\Pages\Sight;
use App\Handins\WorkReader;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\Process\Process;
use Tests\Files;
use Tests\Plantings;
use Tests\TestCase;
use YoungHarbor\Core\Names\PictureNames;

/**
 * Pages of a PDF are drawn anew: whoever looks at them, searches them or takes the file apart finds no author. What the
 * pictures show is read by the same program that reads scans.
 */
final class DrawnPagesTest extends TestCase
{
    private const HEAD = '/F1 12 Tf 60 800 Td 16 TL ';

    public function test_names_in_the_text_of_pages_are_covered_and_cannot_be_searched(): void
    {
        $person = Plantings::people()[1];
        $line = fn (string $text): string => '('.addcslashes($text, '()\\').') Tj T* ';
        $pages = array_map(
            fn (int $n): string => self::HEAD.$line("O'Donnell {$n}").$line(
                "The pans were drawn twice a day; so says P. O'Donnell in his book."
            ).$line(
                $n === 3
                    ? "Niamh O'Donnell found this in 204113 and at niamh.odonnell@merrow.example"
                    : 'Salt was raked by women.'
            ).$line('Tide mills and lighthouse dues.'),
            range(1, 4),
        );
        [$made, $path] = $this->made(Files::pdfOf(...$pages), $person);
        self::assertSame(4, $made->pages);
        self::assertSame([], $made->unread);
        $inside = IdentityTest::inside((string) file_get_contents($path), \App\Extraction\FileKind::Pdf);
        self::assertStringContainsString(
            'Salt was raked by women.', (string) preg_replace('/\s+/', ' ', $inside['text']),
        );
        self::assertStringContainsString(
            'P. O’Donnell in his book', str_replace("'", '’', (string) preg_replace('/\s+/', ' ', $inside['text'])),
            'another of the name stays',
        );
        foreach ($inside as $where => $text) {
            self::assertSame(
                [],
                $person->left(
                    str_replace(["P. O'Donnell", 'P. O’Donnell'], '', (string) preg_replace('/\s+/', ' ', $text))
                ),
                "{$where}: {$text}",
            );
        }
        self::assertDoesNotMatchRegularExpression('/CreationDate|ModDate|Producer|Author/', $inside['bytes']);
        $seen = $this->seen($path, 3);
        self::assertStringContainsString('found this in', $seen);
        self::assertSame([], $person->left(str_replace(["P. O'Donnell", 'P. O’Donnell'], '', $seen)), $seen);
    }

    public function test_a_scanned_title_page_hides_nothing(): void
    {
        $person = Plantings::people()[2];
        [$made, $path] = $this->made(
            $this->scan(
                [
                    'SALT ROADS OF THE ESTUARY', 'Layla Haddad', 'Student number: S1880412',
                    'Coastal Communities and Change',
                ],
                'The second page holds text, and the pans were let by the year.',
            ),
            $person,
        );
        self::assertGreaterThanOrEqual(3, $made->inPictures);
        $seen = $this->seen($path, 1);
        self::assertStringContainsString('SALT ROADS', $seen, 'the page can still be read');
        self::assertSame([], $person->left($seen), $seen);
    }

    public function test_a_word_that_sight_is_not_sure_of_is_covered_too(): void
    {
        $person = Plantings::people()[1];
        [, $path] = $this->made(
            $this->scan(
                [
                    'TIDE MILLS OF THE ESTUARY', 'Niamh O’Donnell', 'Student number: M204113',
                    'Coastal Communities and Change',
                ],
                'The second page holds text.',
            ),
            $person,
        );
        $seen = $this->seen($path, 1);
        self::assertStringContainsString('TIDE MILLS', $seen);
        self::assertSame([], $person->left($seen), $seen);
    }

    public function test_a_page_whose_picture_cannot_be_read_is_told(): void
    {
        $scribble = imagecreatetruecolor(900, 1200);
        imagefilledrectangle($scribble, 0, 0, 900, 1200, 0xFFFFFF);
        for ($n = 0; $n < 60; $n++) {
            imagesetthickness($scribble, 5);
            imagearc(
                $scribble, 100 + ($n * 97) % 700, 100 + ($n * 61) % 1000, 120, 50 + $n, $n * 7, $n * 7 + 220, 0x111111,
            );
        }
        [$made] = $this->made(
            $this->pictured($scribble, 'The second page holds text, and the pans were let by the year.'),
            Plantings::people()[2],
        );
        self::assertSame([1], $made->unread);
    }

    public function test_pages_that_are_turned_or_cut_are_covered_where_they_show_the_name(): void
    {
        $person = Plantings::people()[2];
        $plain = Files::pdfOf(
            self::HEAD
                .'(Salt and those who raked it, a study) Tj T* (as Layla Haddad has it in 1880412 and elsewhere) Tj'
        );
        foreach (['/Rotate 90', '/CropBox [40 400 555 842]', '/Rotate 180 /CropBox [40 400 555 842]'] as $how) {
            $pdf = str_replace('/MediaBox [0 0 595 842]', "/MediaBox [0 0 595 842] {$how}", $plain);
            [$made, $path] = $this->made($pdf, $person);
            self::assertGreaterThanOrEqual(2, $made->covered, $how);
            // Looked at upright, as a person would turn it.
            $seen = $this->seen($path, 1, str_contains($how, '90') ? '270' : (str_contains($how, '180') ? '180' : '0'));
            self::assertStringContainsString('those who raked it', $seen, $how);
            self::assertSame([], $person->left($seen), "{$how}: {$seen}");
        }
    }

    public function test_a_picture_in_a_document_is_looked_through_and_the_page_gets_it_covered(): void
    {
        $this->module(2, 1);
        $this->students[0]->update(
            ['name' => 'Layla Haddad', 'number' => 'S1880412', 'email' => 'lhaddad2@merrow.example']
        );
        $assignment = $this->assignment();
        $folder = sys_get_temp_dir().'/'.uniqid('scan');
        mkdir($folder);
        imagepng(
            $this->drawn(['SALT ROADS OF THE ESTUARY', 'Layla Haddad', 'Student number: S1880412']),
            "{$folder}/title.png",
        );
        file_put_contents("{$folder}/essay.md", "# The pans\n\n![](title.png)\n\nSalt and coal.\n");
        (new Process(['pandoc', '-o', 'essay.docx', 'essay.md'], $folder))->mustRun();
        $handin = app(TakeHandIn::class)(
            $assignment, $this->students[0],
            [Files::upload((string) file_get_contents("{$folder}/essay.docx"), 'essay.docx')],
        );
        self::assertNull($handin->prepared_at);
        app(PrepareForMarkers::class)($handin);
        $handin->refresh();
        self::assertNotNull($handin->prepared_at);
        self::assertNull($handin->prepare_failure);
        self::assertContains('pictures', array_column($handin->identity, 'place'));
        self::assertSame(1, preg_match('~base64,([^"]+)"~', $handin->html, $picture));
        file_put_contents("{$folder}/seen.png", base64_decode($picture[1] ?? ''));
        $seen = $this->words(app(Sight::class)->read("{$folder}/seen.png", 1.0) ?? []);
        self::assertStringContainsString('SALT ROADS', $seen);
        self::assertSame([], Plantings::people()[2]->left($seen), $seen);
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }

    public function test_what_waits_or_fails_is_told_to_the_coordinator_before_sharing_out(): void
    {
        $this->module(2, 2);
        $assignment = $this->assignment();
        $handin = app(TakeHandIn::class)(
            $assignment, $this->students[0],
            [Files::upload(Files::pdf('Salt pans of the estuary.', 'Two lines of an essay.'), 'essay.pdf')],
        );
        $this->actingAs($this->coordinator)->get(route('share-out.index', $assignment))->assertOk()
            ->assertSee('1 script is still being looked through for names');
        app(PrepareForMarkers::class)($handin);
        $this->get(route('share-out.index', $assignment))->assertOk()->assertDontSee('looked through for names');
        $handin->refresh();
        self::assertSame(
            Child::DATED, filemtime(Storage::path((string) $handin->files->first()?->pages_path)),
            'nothing tells when it came in',
        );
        // The worker met a file that it could not draw.
        Storage::put($handin->files->first()->path ?? '', 'no longer a PDF');
        app(PrepareForMarkers::class)($handin);
        $this->get(route('names.index', $assignment))->assertOk()->assertSee($this->script($assignment)->code)
            ->assertSee('This PDF has no pages that can be drawn.');
        $this->post(route('names.again', $assignment))->assertRedirect();
        self::assertNull($handin->refresh()->prepare_failure);
    }

    /**
     * @return array{PagesMade, string}
     */
    private function made(string $pdf, Plantings $person): array
    {
        $from = (string) tempnam(sys_get_temp_dir(), 'from');
        $to = (string) tempnam(sys_get_temp_dir(), 'drawn');
        file_put_contents($from, $pdf);
        $seen = PictureNames::of([['name' => $person->name, 'number' => $person->number, 'email' => $person->email]]);

        return [app(PageMaker::class)->make($from, $to, WorkReader::masks([$person->user()]), $seen), $to];
    }

    /** What a person sees on a page. */
    private function seen(string $pdf, int $page, string $turn = '0'): string
    {
        $picture = (string) tempnam(sys_get_temp_dir(), 'page');
        (
            new Process(['pdftoppm', '-r', '150', '-gray', '-png', '-singlefile', '-f', (string) $page, $pdf, $picture])
        )->mustRun();
        $image = imagecreatefrompng("{$picture}.png");
        self::assertNotFalse($image);
        $turned = $turn === '0' ? $image : imagerotate($image, (float) $turn === 270.0 ? 90.0 : 180.0, 0xFFFFFF);
        self::assertNotFalse($turned);
        imagepng($turned, "{$picture}.png");

        return $this->words(app(Sight::class)->read("{$picture}.png", 150 / 72) ?? []);
    }

    /**
     * @param  list<list<\App\Extraction\Pages\Box>>  $lines
     */
    private function words(array $lines): string
    {
        return implode(
            ' ', array_map(fn (array $line) => implode(' ', array_map(fn ($box) => $box->word, $line)), $lines),
        );
    }

    /**
     * @param  list<string>  $lines
     */
    private function drawn(array $lines): \GdImage
    {
        $image = imagecreatetruecolor(1000, 1400);
        imagefilledrectangle($image, 0, 0, 1000, 1400, 0xFFFFFF);
        foreach ($lines as $n => $line) {
            imagettftext(
                $image, 28, 0, 100, 240 + 110 * $n, 0x111111,
                base_path('vendor/dompdf/dompdf/lib/fonts/DejaVuSans.ttf'), $line,
            );
        }

        return $image;
    }

    /**
     * @param  list<string>  $lines
     */
    private function scan(array $lines, string $after): string
    {
        return $this->pictured($this->drawn($lines), $after);
    }

    /** A PDF whose first page is a picture and whose second is text. */
    private function pictured(\GdImage $image, string $after): string
    {
        ob_start();
        imagejpeg($image, null, 90);
        $jpeg = (string) ob_get_clean();
        $dompdf = new \Dompdf\Dompdf;
        $dompdf->loadHtml(
            '<style>@page{margin:0}</style><img src="data:image/jpeg;base64,'.base64_encode($jpeg)
                .'" style="width:560pt;height:780pt"><p style="page-break-before:always;margin:2cm">'.$after.'</p>'
        );
        $dompdf->render();

        return (string) $dompdf->output();
    }
}
