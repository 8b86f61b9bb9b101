<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\ReadWhatWasLost;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Plan\AddTemplate;
use App\Actions\Screen\AddToArchive;
use App\Exceptions\Refused;
use App\Extraction\Child;
use App\Extraction\ReaderBusy;
use App\Extraction\Refusal;
use App\Jobs\ReadHandinJob;
use Illuminate\Support\Facades\Queue;
use Tests\Files;
use Tests\TestCase;

/**
 * A machine that has no time is no fault of a file: nothing a student handed in is refused for it.
 */
final class BusyReaderTest extends TestCase
{
    private function busy(bool $is): void
    {
        config(['harbor.extraction.waits' => $is ? 0.001 : 120]);
    }

    public function test_work_waits_for_a_machine_that_has_no_time_and_is_read_when_it_has(): void
    {
        Queue::fake([ReadHandinJob::class]);
        $this->module(1, 1);
        $assignment = $this->assignment();
        $handin = app(TakeHandIn::class)(
            $assignment, $this->students[0], Files::upload(Files::document('Salt and coal.', 'docx'), 'mills.docx'), [],
        );
        $this->busy(true);
        try {
            app(FinishHandIn::class)([$handin->id]);
            self::fail('it was read');
        } catch (ReaderBusy) {
            self::assertNull($handin->refresh()->read_at, 'nobody is told that it cannot be read');
            self::assertNull($handin->unreadable);
        }
        $this->travel(1)->hours();
        app(ReadWhatWasLost::class)();
        Queue::assertPushed(ReadHandinJob::class, 2);
        $this->busy(false);
        app(FinishHandIn::class)([$handin->id]);
        self::assertSame('Salt and coal.', $handin->refresh()->text);
        self::assertNull($handin->unreadable);
    }

    public function test_who_waits_for_the_reading_is_told_whose_fault_it_is_not(): void
    {
        $this->module(1, 1);
        $assignment = $this->assignment();
        $file = fn () => Files::upload(Files::document('Salt and coal.', 'docx'), 'mills.docx');
        $this->busy(true);
        $outcome = app(AddToArchive::class)($assignment->module, [$file()], 'Mills', '2025', $this->coordinator);
        self::assertSame(0, $outcome['added']);
        self::assertStringContainsString('mills.docx: The server was too busy', $outcome['refused'][0]);
        self::assertStringContainsString('Nothing is wrong with the file', $outcome['refused'][0]);
        try {
            app(AddTemplate::class)($assignment, $file());
            self::fail('a template without its words would be compared with nothing');
        } catch (Refused $e) {
            self::assertStringContainsString('too busy', $e->getMessage());
        }
        self::assertSame(0, $assignment->templates()->count());
    }

    public function test_a_file_that_needs_too_much_computing_is_refused_for_that(): void
    {
        config(['harbor.extraction.seconds' => 1]);
        $this->expectException(Refusal::class);
        $this->expectExceptionMessage('could not be read within 1 seconds of computing');
        app(Child::class)->run(['sh', '-c', 'while :; do :; done'], limitAddressSpace: false);
    }
}
