<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\TakeHandIn;
use App\Extraction\FileKind;
use App\Logbook\LogEvent;
use App\Models\LogbookLine;
use App\Models\Mark;
use Illuminate\Support\Carbon;
use LogicException;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\TestCase;
use YoungHarbor\Core\Collect\WebLink;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Tables\Delimited;
use ZipArchive;

/**
 * What leaves the house: files under script codes, searched inside for whoever wrote them.
 */
final class TakeAwayTest extends TestCase
{
    public function test_everything_as_one_zip_by_script_code_with_a_list_and_without_names(): void
    {
        $this->module(2, 5);
        $assignment = $this->assignment(
            ['max_files' => 2, 'handin_kinds' => ['docx', 'odt', 'pdf', 'txt', 'link', 'typed']]
        );
        $name = $this->students[0]->name;
        $planted = ['creator' => $name, 'header' => $name, 'text' => $name, 'first line' => "By {$name}"];
        app(TakeHandIn::class)(
            $assignment, $this->students[0],
            [
                Files::upload(PlantedFiles::docx($planted), "{$name}.docx"),
                Files::upload(PlantedFiles::odt(['creator' => $name, 'text' => $name]), "{$name}.odt"),
            ],
        );
        app(TakeHandIn::class)(
            $assignment, $this->students[1],
            [
                Files::upload(
                    PlantedFiles::pdf(
                        ['author' => $this->students[1]->name, 'text' => (string) $this->students[1]->number]
                    ),
                    'x.pdf',
                ),
            ],
        );
        app(TakeHandIn::class)($assignment, $this->students[2], 'Typed by '.$this->students[2]->name.' herself.');
        app(TakeHandIn::class)($assignment, $this->students[3], [WebLink::of('https://films.example/a', [])]);
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        app(PrepareForMarkers::class)($this->script($assignment, 1)->currentHandin ?? throw new LogicException);

        $entries = $this->entries(
            $this->actingAs($this->coordinator)->get(route('collect.zip', $assignment))->assertOk()
                ->assertHeader('Content-Type', 'application/zip')->streamedContent()
        );
        [$two, $pdf, $typed, $link] = array_map(fn (int $n) => $this->script($assignment, $n)->code, [0, 1, 2, 3]);
        self::assertEqualsCanonicalizing(
            ['list.csv', "{$two}.docx", "{$pdf}.pdf", "{$typed}.docx", "{$link}-1-link.txt"], array_keys($entries),
        );
        $list = array_column(array_slice(Delimited::rows($entries['list.csv']), 1), null, 1);
        self::assertCount(4, $list);
        foreach ($list as $file => [$code, , , $sum]) {
            self::assertSame(hash('sha256', $entries[$file]), $sum, "the list says what is in {$file}");
            self::assertStringStartsWith($code, $file);
        }
        self::assertSame("https://films.example/a\n", $entries["{$link}-1-link.txt"]);
        $this->search($entries);

        foreach ($this->tutors as $tutor) {
            $own = Mark::query()->where('marker_id', $tutor->id)->with('script')->get()
                ->map(fn (Mark $mark) => $mark->script->code)->all();
            $entries = $this->entries(
                $this->actingAs($tutor)->get(route('mark.zip', $assignment))->assertOk()->streamedContent()
            );
            self::assertEqualsCanonicalizing(
                $own,
                array_values(
                    array_unique(
                        array_map(
                            fn (string $file) => substr($file, 0, strcspn($file, '.')),
                            array_map(
                                fn (string $file) => str_replace('-1-link', '', $file),
                                array_diff(array_keys($entries), ['list.csv']),
                            ),
                        )
                    )
                ),
            );
            $this->search($entries);
        }
        $this->get(route('collect.zip', $assignment))->assertForbidden();
        $mark = $this->markOf($this->script($assignment), Seat::First);
        foreach (['docx', 'odt', 'html', 'pdf'] as $kind) {
            $file = $this->actingAs($mark->marker)->get(route('mark.file', [$mark, $kind]))->assertOk()
                ->assertHeader('Content-Disposition', "attachment; filename={$two}.{$kind}");
            $this->search(["{$two}.{$kind}" => $file->streamedContent()]);
        }
        $this->get(route('mark.file', [$mark, 'exe']))->assertNotFound();
        self::assertSame(
            [$assignment->public_id],
            LogbookLine::query()->where('event', LogEvent::ScriptsTaken)->distinct()->pluck('subject')->all(),
            'and each is in the logbook',
        );
    }

    /**
     * @return array<string, string>
     */
    private function entries(string $bytes): array
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $bytes);
        $zip = new ZipArchive;
        self::assertTrue($zip->open($path, ZipArchive::RDONLY));
        $entries = [];
        for ($n = 0; $n < $zip->count(); $n++) {
            $entries[(string) $zip->getNameIndex($n)] = (string) $zip->getFromIndex($n);
        }

        return array_filter($entries, fn (string $name) => ! str_ends_with($name, '/'), ARRAY_FILTER_USE_KEY);
    }

    /**
     * @param  array<string, string>  $entries
     */
    private function search(array $entries): void
    {
        foreach ($entries as $file => $bytes) {
            $kind = FileKind::tryFrom(pathinfo($file, PATHINFO_EXTENSION)) ?? FileKind::Text;
            foreach (IdentityTest::inside($bytes, $kind) as $where => $text) {
                foreach ($this->students as $student) {
                    foreach (
                        [$student->name, (string) $student->number, $student->email, $student->public_id] as $sign
                    ) {
                        self::assertStringNotContainsStringIgnoringCase($sign, $text, "{$file}, {$where}");
                    }
                }
            }
        }
    }
}
