<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Upload;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Files;
use Tests\TestCase;

/**
 * Files that arrive piece by piece over a bad connection.
 */
final class UploadTest extends TestCase
{
    public function test_a_file_goes_on_where_it_stopped_and_counts_from_its_first_piece(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $text = 'A file in three pieces. '.$this->prose(200, 1);
        $begun = $this->begin($assignment, $this->students[0], $text);
        $begun->assertOk()->assertJson(['arrived' => 0]);
        $this->piece($begun, 0, substr($text, 0, 100))->assertOk()->assertJson(['arrived' => 100]);
        // its answer was lost
        $this->piece($begun, 0, substr($text, 0, 100))->assertStatus(409)->assertJson(['arrived' => 100]);
        // the page was loaded again
        $again = $this->begin($assignment, $this->students[0], $text)->assertJson(['arrived' => 100]);
        self::assertSame($begun->json('id'), $again->json('id'));
        $this->postJson(route('hand-in.store', $assignment), ['uploads' => [$begun->json('id')]])->assertStatus(422)
            ->assertJsonValidationErrors('file');
        $this->piece($begun, 300, 'x')->assertStatus(409);
        $this->piece($begun, 100, substr($text, 100, 400))->assertOk();

        Carbon::setTestNow($assignment->due_at?->copy()->subSecond());
        Carbon::setTestNow($assignment->due_at?->copy()->addMinutes(2));
        $this->piece($begun, 500, substr($text, 500))->assertOk()->assertJson(['arrived' => strlen($text)]);
        Carbon::setTestNow($assignment->due_at?->copy()->addMinutes(15));
        $this->postJson(route('hand-in.store', $assignment), ['uploads' => [$begun->json('id')]])->assertOk()
            ->assertJsonStructure(['to']);
        $handin = Handin::query()->sole();
        self::assertFalse($handin->late, 'its first piece had come before the due time, and named the whole of it');
        $this->get(route('receipts.show', $handin))->assertSee('once others before it were');
        self::assertSame(hash('sha256', $text), $handin->sha256);
        self::assertSame(
            [0, []], [Upload::query()->count(), Storage::files('uploads')], 'what is handed in is not kept twice',
        );
    }

    public function test_a_file_that_was_sent_ahead_counts_from_the_form_when_that_comes_much_later(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $begun = $this->begin($assignment, $this->students[0], 'Sent early, handed in late.');
        $this->piece($begun, 0, 'Sent early, handed in late.')->assertOk();
        Carbon::setTestNow($assignment->due_at?->copy()->addMinutes(15)->addSecond());
        $this->postJson(route('hand-in.store', $assignment), ['uploads' => [$begun->json('id')]])->assertOk();
        self::assertTrue(Handin::query()->sole()->late);
    }

    public function test_the_first_piece_may_come_with_what_is_declared(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $text = 'A short one.';
        $send = fn (string $piece, int $bytes) => $this->actingAs($this->students[0])->post(
            route('uploads.store', $assignment),
            [
                'name' => 'a.txt', 'bytes' => (string) $bytes, 'sha256' => hash('sha256', $text),
                'piece' => Files::upload($piece, 'piece'),
            ],
            ['Accept' => 'application/json'],
        );
        $send('Changed one.', 12)->assertStatus(422);
        $whole = $send($text, 12)->assertOk()->assertJson(['arrived' => 12]);
        self::assertSame(
            $whole->json('id'), $send($text, 12)->assertOk()->assertJson(['arrived' => 12])->json('id'),
            'its answer was lost',
        );
        Carbon::setTestNow($assignment->due_at?->copy()->addMinutes(10));
        $this->postJson(route('hand-in.store', $assignment), ['uploads' => [$whole->json('id')]])->assertOk();
        self::assertFalse(Handin::query()->sole()->late);
    }

    public function test_what_is_typed_beside_a_file_sent_ahead_counts_from_the_form(): void
    {
        $this->module();
        $assignment = $this->assignment(['max_files' => 2]);
        $begun = $this->begin($assignment, $this->students[0], 'Sent in time.');
        $this->piece($begun, 0, 'Sent in time.')->assertOk();
        Carbon::setTestNow($assignment->due_at?->copy()->addMinute());
        $this->postJson(
            route('hand-in.store', $assignment),
            ['uploads' => [$begun->json('id')], 'typed_text' => 'Typed after the due time.'],
        )->assertOk();
        self::assertTrue(Handin::query()->sole()->late, 'nobody knows when it was typed');
    }

    public function test_a_file_that_changes_while_it_is_sent_is_not_taken(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $begun = $this->begin($assignment, $this->students[0], 'As it was when it was chosen.');
        $this->piece($begun, 0, 'As it was when it was chosen?')->assertStatus(422)
            ->assertJsonPath('message', fn (string $said) => str_contains($said, 'changed while it was being sent'));
        self::assertSame([0, []], [Upload::query()->count(), Storage::files('uploads')]);
    }

    public function test_what_is_too_large_empty_or_someone_elses_is_refused(): void
    {
        $this->module();
        $assignment = $this->assignment(['max_megabytes' => 1]);
        $this->actingAs($this->students[0]);
        foreach ([['bytes' => 1_048_577], ['bytes' => 0], ['sha256' => 'x'], ['name' => '']] as $bad) {
            $this->postJson(
                route('uploads.store', $assignment),
                $bad + ['name' => 'a.txt', 'bytes' => 5, 'sha256' => str_repeat('0', 64)],
            )->assertStatus(422);
        }
        $begun = $this->begin($assignment, $this->students[0], 'Mine.');
        $this->piece($begun, 0, str_repeat('x', 1_048_577))->assertStatus(422);
        $this->piece($begun, 0, 'More than it said')->assertStatus(409);
        $this->actingAs($this->students[1]);
        $this->piece($begun, 0, 'Mine.')->assertForbidden();
        $this->postJson(route('hand-in.store', $assignment), ['uploads' => [$begun->json('id')]])->assertStatus(422);
        self::assertSame(0, Handin::query()->count());
    }

    public function test_a_form_that_is_sent_twice_hands_in_once(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $once = '6f9619ff-8b86-4011-b42d-00cf4fc964ff';
        $first = $this->actingAs($this->students[0])
            ->postJson(route('hand-in.store', $assignment), ['typed_text' => 'Handed in once.', 'once' => $once])
            ->assertOk();
        $this->postJson(route('hand-in.store', $assignment), ['typed_text' => 'Handed in once.', 'once' => $once])
            ->assertOk()->assertJson(['to' => $first->json('to')]);
        self::assertSame(1, Handin::query()->count());
        $this->actingAs($this->students[1])
            ->postJson(route('hand-in.store', $assignment), ['typed_text' => 'Another student.', 'once' => $once])
            ->assertOk();
        self::assertSame(2, Handin::query()->count());
    }

    public function test_what_was_begun_and_never_handed_in_is_deleted_after_two_days(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $this->piece($this->begin($assignment, $this->students[0], 'Left behind.'), 0, 'Left')->assertOk();
        Carbon::setTestNow(now()->addHours(49));
        $assignment->update(['due_at' => now()->addDay(), 'closes_at' => null]);
        $this->begin($assignment, $this->students[1], 'Another.')->assertOk();
        $this->artisan('harbor:sweep')->assertSuccessful();
        self::assertSame([1, []], [Upload::query()->count(), Storage::files('uploads')]);
    }

    /**
     * @return TestResponse<Response>
     */
    private function begin(Assignment $assignment, User $student, string $text): TestResponse
    {
        return $this->actingAs($student)->postJson(
            route('uploads.store', $assignment),
            ['name' => 'C:\\essays\\essay.txt', 'bytes' => strlen($text), 'sha256' => hash('sha256', $text)],
        );
    }

    /**
     * @param  TestResponse<Response>  $begun
     * @return TestResponse<Response>
     */
    private function piece(TestResponse $begun, int $from, string $bytes): TestResponse
    {
        return $this->call(
            'PUT', $begun->json('to')."?from={$from}", [], [], [],
            ['CONTENT_TYPE' => 'application/octet-stream', 'HTTP_ACCEPT' => 'application/json'], $bytes,
        );
    }
}
