<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Actions\Collect\PrepareForMarkers;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Release\ReleaseResults;
use App\Models\Mark;
use App\Models\MarkAttachment;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

final class AttachmentTest extends TestCase
{
    /** The beginning of a WebM file as browsers record it: an EBML head that names "webm". */
    private const WEBM = "\x1A\x45\xDF\xA3\x9F\x42\x86\x81\x01\x42\xF7\x81\x01\x42\xF2\x81\x04\x42\xF3\x81\x08\x42\x82\x84webm\x42\x87\x81\x04\x42\x85\x81\x02\x18\x53\x80\x67\x01\xFF\xFF\xFF\xFF\xFF\xFF\xFF";

    private function desk(): Mark
    {
        $this->module();

        return $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
    }

    public function test_a_recording_is_kept_on_its_criterion_with_what_is_said_in_writing_and_taken_away_again(): void
    {
        $mark = $this->desk();
        $this->actingAs($mark->marker)->postJson(
            route('attachments.store', $mark),
            [
                'kind' => 'voice', 'criterion' => 'c1', 'seconds' => '12.5',
                'written' => 'You said it better the second time.',
                'recording' => UploadedFile::fake()->createWithContent('r.webm', self::WEBM),
            ],
        )
            ->assertOk()->assertSee('You said it better the second time.');
        $kept = MarkAttachment::query()->sole();
        self::assertSame(
            ['voice', 'c1', 'audio/webm', '12.5'], [$kept->kind, $kept->criterion, $kept->mime, $kept->seconds],
        );
        $this->get(route('attachments.show', $kept))->assertOk()->assertHeader('Content-Type', 'audio/webm');
        $this->actingAs($this->markOf($mark->script, Seat::Second)->marker)->get(route('attachments.show', $kept))
            ->assertForbidden();
        $this->actingAs($mark->marker)->delete(route('attachments.destroy', $kept))
            ->assertRedirect(route('mark.desk', $mark));
        self::assertFalse(Storage::exists($kept->path));
    }

    public function test_what_is_no_recording_is_too_long_or_could_run_is_refused_with_the_reason(): void
    {
        $mark = $this->desk();
        $this->actingAs($mark->marker);
        $kept = Storage::files('attachments');
        $send = fn (array $fields) => $this->postJson(route('attachments.store', $mark), $fields);
        $webm = UploadedFile::fake()->createWithContent('r.webm', self::WEBM);
        $send(
            [
                'kind' => 'voice', 'seconds' => '10',
                'recording' => UploadedFile::fake()->createWithContent('r.webm', '<html><script>alert(1)</script>'),
            ]
        )->assertStatus(409)->assertSee('This is no voice recording that browsers play');
        $send(['kind' => 'voice', 'seconds' => '310', 'recording' => $webm])->assertStatus(409)
            ->assertSee('A recording lasts 5 minutes at most');
        $send(['kind' => 'voice', 'seconds' => '10'])->assertStatus(422);
        $send(
            [
                'kind' => 'file',
                'file' => UploadedFile::fake()->createWithContent(
                    'page.html', '<!DOCTYPE html><html><body>x</body></html>',
                ),
            ]
        )->assertStatus(409)->assertSee('Files that can run');
        self::assertSame([0, $kept], [MarkAttachment::query()->count(), Storage::files('attachments')]);
        $this->post(
            route('attachments.store', $mark),
            ['kind' => 'file', 'file' => UploadedFile::fake()->createWithContent('../reading list.txt', 'Two books.')],
        )->assertSessionHasNoErrors();
        $this->get(route('attachments.show', MarkAttachment::query()->sole()))->assertOk()
            ->assertDownload('reading list.txt');
    }

    public function test_its_student_gets_it_with_the_result_and_nobody_gets_it_before(): void
    {
        $mark = $this->desk();
        $this->actingAs($mark->marker)
            ->postJson(
                route('attachments.store', $mark),
                [
                    'kind' => 'voice', 'seconds' => '3', 'written' => 'In writing.',
                    'recording' => UploadedFile::fake()->createWithContent('r.webm', self::WEBM),
                ],
            )
            ->assertOk();
        $kept = MarkAttachment::query()->sole();
        $this->actingAs($mark->script->student)->get(route('attachments.show', $kept))->assertForbidden();
        $this->finishBoth($mark->script);
        app(ReleaseResults::class)($mark->script->assignment, null, $this->coordinator);
        $this->actingAs($mark->script->student)->get(route('attachments.show', $kept))->assertOk();
        $this->get(route('results.show', $mark->script->refresh()->result))->assertOk()->assertSee('In writing.')
            ->assertSee(route('attachments.show', $kept));
        $this->actingAs($this->students[1])->get(route('attachments.show', $kept))->assertForbidden();
    }

    public function test_pages_are_shown_once_they_are_drawn_anew(): void
    {
        $this->module(2, 1);
        $assignment = $this->assignment();
        $path = (string) tempnam(sys_get_temp_dir(), 'pdf');
        file_put_contents($path, Files::pdf('Salt pans of the estuary.', 'Two lines of an essay.'));
        app(TakeHandIn::class)(
            $assignment, $this->students[0], [new UploadedFile($path, 'essay.pdf', null, null, true)],
        );
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertDontSee('id="pages"', false);
        $this->get(route('mark.pages', [$mark, 1]))->assertNotFound();
        app(PrepareForMarkers::class)($mark->handin);
        $this->get(route('mark.desk', $mark))->assertOk()->assertSee('id="pages"', false);
        $pages = $this->get(route('mark.pages', [$mark, 1]))->assertOk()
            ->assertHeader('Content-Type', 'application/pdf');
        self::assertStringStartsWith('%PDF', $pages->streamedContent());
        $this->actingAs($this->markOf($mark->script, Seat::Second)->marker)->get(route('mark.pages', [$mark, 1]))
            ->assertForbidden();
    }
}
