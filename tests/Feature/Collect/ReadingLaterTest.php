<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\FinishHandIn;
use App\Actions\Collect\ReadWhatWasLost;
use App\Actions\Collect\TakeHandIn;
use App\Enums\HandInBy;
use App\Jobs\ReadDraftJob;
use App\Jobs\ReadHandinJob;
use App\Mail\CouldNotBeRead;
use App\Models\DraftCheck;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\OverlapReport;
use App\Models\Script;
use App\Queries\ShareOut\Planning;
use Illuminate\Queue\Middleware\WithoutOverlapping;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;

/**
 * Work is recorded at once and read by the worker: what every page says until then, and when it cannot be read.
 */
final class ReadingLaterTest extends TestCase
{
    public function test_a_receipt_is_given_at_once_and_pages_say_that_reading_is_to_come(): void
    {
        Queue::fake();
        $this->module();
        $assignment = $this->assignment(['max_files' => 3]);
        $page = $this->actingAs($this->students[0])->post(
            route('hand-in.store', $assignment),
            [
                'files' => [
                    Files::upload('One two three.', 'one.txt'), Files::upload('Four five.', 'two.txt'),
                    Files::upload('Six.', 'three.txt'),
                ],
            ],
        );
        $handin = Handin::query()->sole();
        $page->assertRedirect(route('receipts.show', $handin));
        self::assertNull($handin->read_at);
        self::assertSame(hash('sha256', 'One two three.'), $handin->files[0]->sha256);
        $handin->update(['files_read' => 2]);
        $this->get(route('receipts.show', $handin))->assertSee('Read: 2 of 3 files')->assertSee('Handed in')
            ->assertSee($handin->files[2]->sha256)->assertDontSee('0 words');
        $this->get(route('hand-in.show', $assignment))->assertSee('read: 2 of 3 files')->assertDontSee('0 words')
            ->assertDontSee('could not be read');
        $this->actingAs($this->coordinator)->get(route('collect.index', $assignment))->assertSee('One hand-in is')
            ->assertSee('1 of 3 in');
        $this->get(route('screen.index', $assignment))->assertSee('waiting');
        self::assertCount(0, app(Planning::class)->scripts($assignment), 'nobody is given what is not read');

        Queue::assertPushed(ReadHandinJob::class, function (ReadHandinJob $job): bool {
            $job->handle(app(FinishHandIn::class));

            return true;
        });
        self::assertSame(
            [6, 3, "One two three.\n\nFour five.\n\nSix."],
            [
                $handin->refresh()->words, $handin->files_read,
                str_replace(["\n\nFile 2", "\n\nFile 3"], '', $handin->text),
            ],
        );
        $this->actingAs($this->students[0])->get(route('receipts.show', $handin), ['HX-Request' => 'true'])
            ->assertSee('6 words')->assertDontSee('hx-get', false);
        $this->actingAs($this->coordinator)->get(route('collect.index', $assignment))
            ->assertDontSee('still being read');
        self::assertCount(1, app(Planning::class)->scripts($assignment));
    }

    public function test_what_cannot_be_read_does_not_count_and_its_student_is_told_what_counts(): void
    {
        Mail::fake();
        $this->module();
        $assignment = $this->assignment();
        $good = app(TakeHandIn::class)($assignment, $this->students[0], 'A good one.');
        $bad = app(TakeHandIn::class)($assignment, $this->students[0], Files::upload(Files::pdf(), 'scan.pdf'));
        self::assertStringStartsWith('The pages of this PDF hold no text', (string) $bad->unreadable);
        self::assertSame($good->id, $this->script($assignment)->current_handin_id, 'the attempt before counts again');
        self::assertSame([$good->id], OverlapReport::query()->pluck('handin_id')->all());
        Mail::assertQueued(
            CouldNotBeRead::class,
            fn (CouldNotBeRead $mail) => $mail->hasTo($this->students[0]->email)
                && str_contains($mail->render(), 'The pages of this PDF hold no text')
                && str_contains($mail->render(), 'Attempt 1, of'),
        );
        $this->actingAs($this->students[0])->get(route('receipts.show', $bad))
            ->assertSee('It could not be read, so it does not count.')->assertSee('Attempt 1 counts in its place.');
        $this->get(route('hand-in.show', $assignment))->assertSee('Attempt 2 could not be read')
            ->assertDontSee(route('receipts.choose', $bad), false);
        $this->post(route('receipts.choose', $bad))->assertSessionHasErrors(
            ['attempt' => 'That attempt could not be read, so it cannot count.']
        );
        self::assertTrue(Storage::exists($bad->files[0]->path), 'the file is kept as it came');

        $only = app(TakeHandIn::class)($assignment, $this->students[1], Files::upload(Files::pdf(), 'scan.pdf'));
        $script = $this->script($assignment, 1);
        self::assertSame([null, null], [$script->current_handin_id, $script->received_at]);
        self::assertStringContainsString('Nothing of yours counts', (new CouldNotBeRead($only))->render());
        $this->actingAs($this->coordinator)->get(route('collect.index', $assignment))
            ->assertSee('The last attempts of 2 students could not be read')
            ->assertSee($this->students[1]->name.', attempt 1')->assertSee('1 of 3 in');
        app(TakeHandIn::class)($assignment, $this->students[1], 'Now as text.');
        $this->get(route('collect.index', $assignment))->assertSee('One student’s last attempt could not be read')
            ->assertSee('2 of 3 in');
    }

    public function test_a_late_attempt_counts_where_the_one_in_time_turns_out_unreadable(): void
    {
        Queue::fake();
        $this->module();
        $assignment = $this->assignment();
        $first = app(TakeHandIn::class)($assignment, $this->students[0], Files::upload(Files::pdf(), 'scan.pdf'));
        Carbon::setTestNow($assignment->due_at?->copy()->addHour());
        $late = app(TakeHandIn::class)($assignment, $this->students[0], 'Late and whole.');
        self::assertSame($first->id, $this->script($assignment)->current_handin_id);
        app(FinishHandIn::class)([$first->id]);
        $script = $this->script($assignment);
        self::assertSame([$late->id, true], [$script->current_handin_id, $script->late]);
    }

    public function test_a_group_s_files_are_read_once_for_all(): void
    {
        $this->module(1, 2);
        $assignment = $this->assignment(['handin_by' => HandInBy::GroupOneMark]);
        Script::query()->where('assignment_id', $assignment->id)->update(['group_name' => 'North']);
        app(TakeHandIn::class)($assignment, $this->students[0], "By {$this->students[1]->name}. Together.");
        $texts = Handin::query()->whereNotNull('read_at')->pluck('text');
        self::assertCount(2, $texts);
        self::assertSame(1, $texts->unique()->count());
        self::assertStringNotContainsString($this->students[1]->name, (string) $texts[0]);
    }

    public function test_one_reading_a_student_at_a_time_of_work_and_drafts_alike(): void
    {
        $keys = array_map(function (object $job): string {
            $middleware = $job->middleware()[0];
            assert($middleware instanceof WithoutOverlapping);

            return $middleware->getLockKey($job);
        }, [new ReadHandinJob([1], 7), new ReadHandinJob([2], 7), new ReadDraftJob(3, 7), new ReadHandinJob([4], 8)]);
        self::assertSame([1, 2], [count(array_unique(array_slice($keys, 0, 3))), count(array_unique($keys))]);
    }

    public function test_what_was_lost_on_the_way_to_the_worker_is_asked_for_again(): void
    {
        Queue::fake();
        $this->module();
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], 'Lost.');
        Queue::fake();
        self::assertSame(0, app(ReadWhatWasLost::class)(), 'it may still be waiting');
        $this->actingAs($this->coordinator)->get(route('collect.index', $assignment))->assertSee('still being read')
            ->assertDontSee('may stand still');
        self::assertStringContainsString(
            $this->script($assignment)->code.',still being read',
            $this->get(route('collect.zip', $assignment))->streamedContent(), 'a ZIP leaves nothing out in silence',
        );
        Carbon::setTestNow(now()->addMinutes(16));
        $this->get(route('collect.index', $assignment))->assertSee('may stand still');
        self::assertSame(1, app(ReadWhatWasLost::class)());
        Queue::assertPushed(
            ReadHandinJob::class, fn (ReadHandinJob $job) => $job->studentId === $this->students[0]->id,
        );
    }

    public function test_a_draft_that_cannot_be_read_uses_no_check_up(): void
    {
        $this->module();
        $assignment = $this->assignment(['self_checks' => 1]);
        $this->actingAs($this->students[0])
            ->post(route('drafts.store', $assignment), ['draft' => [Files::upload(Files::pdf(), 'scan.pdf')]])
            ->assertSessionHasNoErrors();
        $draft = DraftCheck::query()->sole();
        $this->get(route('drafts.show', $draft))->assertSee('This draft could not be read.')
            ->assertSee('The pages of this PDF hold no text')->assertSee('one check left');
        self::assertSame([null, []], [$draft->files, Storage::files('drafts')]);
    }

    public function test_what_counts_is_when_it_arrived_at_the_front(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $due = $assignment->due_at ?? self::fail();
        Carbon::setTestNow($due->copy()->addSeconds(40));
        $send = fn (int $student, array $server): Handin => tap(
            Handin::query()->make(),
            fn () => $this->actingAs($this->students[$student])->call(
                'POST', route('hand-in.store', $assignment), ['typed_text' => 'Pressed in time.'], [], [], $server,
            ),
        )->newQuery()->latest('id')->firstOrFail();
        $at = fn (int $seconds): string => sprintf('%.3f', $due->getTimestamp() + $seconds);

        $told = $send(0, ['HTTP_X_REQUEST_ARRIVED' => $at(-1)]);
        self::assertTrue($told->late, 'a visitor cannot say when they came');
        config(['trustedproxy.proxies' => ['127.0.0.1']]);
        foreach ([[-1, false], [0, false], [1, true], [41, true], [-7200, true], [7200, true]] as [$seconds, $late]) {
            $handin = $send(1, ['HTTP_X_REQUEST_ARRIVED' => $at($seconds)]);
            self::assertSame($late, $handin->late, "{$seconds} s after the due time, told 40 s after it");
            self::assertSame($due->copy()->addSeconds(40)->getTimestamp(), $handin->created_at->getTimestamp());
        }
        foreach (['soon', '-1', '1e9', ''] as $nonsense) {
            self::assertTrue($send(1, ['HTTP_X_REQUEST_ARRIVED' => $nonsense])->late);
        }
        self::assertFalse($send(1, ['REQUEST_ARRIVED' => $at(-1)])->late, 'as FastCGI hands it over');
        self::assertFalse(
            $send(1, ['REQUEST_TIME_FLOAT' => (float) $due->getTimestamp()])->late, 'as PHP’s own server does',
        );
        self::assertSame(0, Mark::query()->count());
    }
}
