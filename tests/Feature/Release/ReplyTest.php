<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Mark\SyncDesk;
use App\Actions\Release\RateFeedback;
use App\Actions\Release\ReleaseResults;
use App\Actions\Release\RevealNames;
use App\Documents\ScriptText;
use App\Enums\AttachedText;
use App\Models\Assignment;
use App\Models\MarkComment;
use App\Models\Reply;
use App\Models\ReplyThread;
use App\Models\Result;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Files;
use Tests\PlantedFiles;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * What students and markers say to each other about feedback, who learns what of it, and what is recorded of reading.
 */
final class ReplyTest extends TestCase
{
    private Assignment $salt;

    private function out(int $students = 3): MarkComment
    {
        $this->module(2, $students);
        $this->salt = $this->sharedOut($this->assignment());
        foreach (array_keys($this->students) as $n) {
            $mark = $this->markOf($this->script($this->salt, $n), Seat::First);
            $word = (preg_split('/\s+/', ScriptText::of($mark->handin)) ?: [])[3];
            $start = (int) mb_strpos(ScriptText::of($mark->handin), $word);
            app(SyncDesk::class)($mark, [['key' => 'note:'.Str::uuid()->toString(), 'was' => null, 'now' => [
                'body' => 'Say who paid.', 'kind' => 'fix', 'criterion' => null,
                'anchor' => ['exact' => $word, 'start' => $start, 'end' => $start + mb_strlen($word)],
            ]]]);
            $this->finishBoth($this->script($this->salt, $n));
        }
        app(ReleaseResults::class)($this->salt, null, $this->coordinator);

        return MarkComment::query()->whereIn('mark_id', $this->script($this->salt)->marks()->select('id'))->sole();
    }

    private function own(): Result
    {
        return Result::query()->where('script_id', $this->script($this->salt)->id)->sole();
    }

    private function marker(): User
    {
        return $this->markOf($this->script($this->salt), Seat::First)->marker;
    }

    /**
     * @param  array<string, mixed>  $fields
     * @return TestResponse<Response>
     */
    private function reply(string $about, array $fields = []): TestResponse
    {
        return $this->actingAs($this->students[0])->post(route('replies.store', $this->own()), [
            'about' => $about, 'body' => 'The parish paid, on page two.', ...$fields,
        ]);
    }

    public function test_a_reply_reaches_the_marker_without_a_name_and_the_answer_comes_back_without_one(): void
    {
        $comment = $this->out();
        $student = $this->students[0];
        $marker = $this->marker();
        $this->reply("comment:{$comment->public_id}", ['body' => "I am {$student->name}, {$student->email}. The parish paid."])
            ->assertSessionHas('said');
        $thread = ReplyThread::query()->sole();
        $code = $this->script($this->salt)->code;
        $this->actingAs($marker)->get(route('today'))->assertSee("A reply on {$code}");
        $this->get(route('mark.index', $this->salt))->assertSee('replies, 1 new');
        foreach ([route('replies.index', $this->salt), route('replies.show', $thread), route('notices.index')] as $page) {
            $html = $this->get($page)->assertOk();
            foreach ([$student->name, $student->email, $student->public_id] as $secret) {
                $html->assertDontSee($secret);
            }
        }
        $this->get(route('replies.show', $thread))->assertSee('The parish paid.')->assertSee('Say who paid.');
        $this->get(route('mark.index', $this->salt))->assertSee('replies')->assertDontSee('1 new');
        $this->post(route('replies.answer', $thread), ['body' => "So it did. {$marker->name}"])->assertSessionHas('said');
        $this->actingAs($student)->get(route('today'))->assertSee('An answer to your reply');
        $page = $this->get(route('results.show', $this->own()))->assertSee('So it did.')->assertSee('Your marker');
        foreach ([$marker->name, $marker->email, $marker->public_id] as $secret) {
            $page->assertDontSee($secret);
        }
        $this->get(route('today'))->assertDontSee('An answer to your reply');
        app(RevealNames::class)($this->salt);
        $this->get(route('results.show', $this->own()))->assertSee($marker->name);
        $this->actingAs($marker)->get(route('replies.show', $thread))->assertSee($student->name);
    }

    public function test_who_is_not_concerned_reads_and_says_nothing(): void
    {
        $comment = $this->out();
        $this->reply("comment:{$comment->public_id}");
        $thread = ReplyThread::query()->sole();
        $outsider = User::factory()->create();
        foreach ([$this->students[1], $outsider] as $person) {
            $this->actingAs($person)->get(route('replies.show', $thread))->assertForbidden();
            $this->post(route('replies.answer', $thread), ['body' => 'x'])->assertForbidden();
            $this->put(route('replies.update', $thread), ['close' => '1'])->assertForbidden();
            $this->post(route('replies.store', $this->own()), ['about' => 'whole', 'body' => 'x'])->assertForbidden();
        }
        $this->actingAs($this->students[0])->get(route('replies.show', $thread))->assertForbidden();
        $this->reply('comment:'.Str::uuid()->toString())->assertStatus(422);
        $this->reply('criterion:nothing')->assertStatus(422);
        self::assertSame(1, Reply::query()->count());
        // A comment is its marker's alone to be told of; the other marker sees none of it in their list.
        $other = $this->markOf($this->script($this->salt), Seat::Second)->marker;
        $this->actingAs($other)->get(route('replies.index', $this->salt))->assertOk()->assertDontSee('The parish paid');
        $marker = $this->marker();
        $this->module->members()->where('user_id', $marker->id)->update(['left_at' => now()]);
        $this->actingAs($marker->fresh() ?? $marker)->get(route('replies.show', $thread))->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('replies.index', $this->salt))->assertSee('The parish paid')
            ->assertDontSee($this->students[0]->name);
    }

    public function test_too_long_empty_marked_up_or_a_program_is_refused_or_shown_as_it_is(): void
    {
        $this->out();
        $this->reply('whole', ['body' => str_repeat('a', 100_000)])->assertSessionHasErrors('body');
        $this->reply('whole', ['body' => ''])->assertSessionHasErrors('body');
        $program = UploadedFile::fake()->createWithContent('note.pdf', "#!/bin/sh\necho x\n");
        $this->reply('whole', ['file' => $program])->assertSessionHasErrors('file');
        $this->reply('whole', ['kind' => 'voice', 'file' => UploadedFile::fake()->createWithContent('a.webm', 'no sound')])
            ->assertSessionHasErrors('file');
        $this->reply('whole', ['kind' => 'voice', 'body' => ''])->assertSessionHasErrors('file');
        self::assertSame(0, Reply::query()->count());
        $this->reply('whole', ['body' => '<script>alert(1)</script> & so on'])->assertSessionHas('said');
        $html = (string) $this->get(route('results.show', $this->own()))->getContent();
        self::assertStringNotContainsString('<script>alert(1)', $html);
        self::assertStringContainsString('&lt;script&gt;alert(1)', $html);
    }

    public function test_the_text_of_what_is_attached_is_made_anew_without_names_and_what_has_none_waits(): void
    {
        $this->out();
        $student = $this->students[0];
        $docx = PlantedFiles::docx(
            ['creator' => $student->name, 'header' => (string) $student->number, 'first line' => "By {$student->name}"],
            ['The toll of 1788 was paid in salt.'],
        );
        $this->reply('criterion:c1', ['file' => Files::upload($docx, "{$student->name}.docx")])->assertSessionHas('said');
        $picture = UploadedFile::fake()->image("{$student->name}.png", 20, 20);
        $this->reply('criterion:c2', ['file' => $picture])->assertSessionHas('said');
        [$document, $drawn] = Reply::query()->orderBy('id')->get()->all();
        $this->actingAs($this->marker())->get(route('replies.file', $document))->assertForbidden();
        $this->get(route('replies.index', $this->salt))->assertSee('Argument')->assertSee('Evidence');
        $page = $this->get(route('replies.show', $document->thread))->assertSee('Argument')
            ->assertSee('Comment of the first marker.')->assertSee('What is attached: its text, without names')
            ->assertSee('was paid in salt');
        $other = $this->get(route('replies.show', $drawn->thread))->assertSee('waits here until names are revealed');
        foreach ([$student->name, (string) $student->number, (string) strtok($student->name, ' ')] as $secret) {
            $page->assertDontSee($secret);
            $other->assertDontSee($secret);
        }
        // Lost on the way to the worker, it is not said to be under way for ever.
        $drawn->update(['file_state' => AttachedText::Waits]);
        $this->get(route('replies.show', $drawn->thread))->assertSee('being made anew');
        Carbon::setTestNow(now()->addMinutes(11));
        $this->get(route('replies.show', $drawn->thread))->assertSee('waits here until names are revealed');
    }

    public function test_what_is_attached_waits_until_names_are_revealed_and_a_closed_thread_takes_nothing(): void
    {
        $this->out();
        $student = $this->students[0];
        $this->reply('criterion:c1', ['file' => UploadedFile::fake()->image("{$student->name}.png", 20, 20)]);
        $reply = Reply::query()->sole();
        $this->get(route('replies.file', $reply))->assertOk();
        $this->actingAs($this->marker())->get(route('replies.file', $reply))->assertForbidden();
        $this->get(route('replies.show', $reply->thread))->assertSee('waits here until names are revealed')
            ->assertDontSee($student->name);
        $this->put(route('replies.update', $reply->thread), ['close' => '1'])->assertSessionHas('said');
        $this->reply('criterion:c1')->assertSessionHasErrors('body');
        $this->get(route('results.show', $this->own()))->assertSee('Closed. What was said stays');
        app(RevealNames::class)($this->salt);
        $this->actingAs($this->marker())->get(route('replies.file', $reply))->assertOk();
        $this->put(route('replies.update', $reply->thread), ['close' => '0']);
        $this->reply('criterion:c1')->assertSessionHasNoErrors();
    }

    public function test_how_useful_feedback_was_is_told_of_five_students_or_more(): void
    {
        $this->out(6);
        $marker = $this->marker();
        $about = fn (Result $result): string => 'comment:'.$result->document['comments'][0]['id'];
        $this->actingAs($this->students[0])->post(route('results.rate', $this->own()), [
            'about' => $about($this->own()), 'useful' => '0',
        ])->assertSessionHas('said');
        $this->post(route('results.rate', $this->own()), ['about' => $about($this->own()), 'useful' => '1']);
        $this->get(route('results.show', $this->own()))->assertSee('You found it useful.');
        $this->post(route('results.rate', $this->own()), ['about' => 'comment:x', 'useful' => '1'])->assertStatus(422);
        self::assertSame(1, DB::table('feedback_ratings')->count());
        $this->actingAs($marker)->get(route('replies.index', $this->salt))->assertSee('once five students have said so');
        // All six comments become this marker's, so that there are enough of them.
        DB::table('mark_comments')->update(['mark_id' => $this->markOf($this->script($this->salt), Seat::First)->id]);
        foreach (Result::query()->get() as $n => $result) {
            app(RateFeedback::class)($result, $about($result), $n !== 0);
        }
        $this->get(route('replies.index', $this->salt))->assertSee('Of 6 of your comments that 6 students rated, 5 were found useful');
    }

    public function test_which_comments_came_into_view_is_recorded_and_its_student_sees_the_record(): void
    {
        $comment = $this->out();
        $own = $this->own();
        $this->actingAs($this->students[0])->get(route('results.show', $own))->assertSee('You have opened this once')
            ->assertSee('0 of 1 comments came into view');
        $this->post(route('results.reading', $own), ['seen' => [$comment->public_id, Str::uuid()->toString(), ['x']]])->assertNoContent();
        $this->post(route('results.reading', $own), ['seen' => [$comment->public_id]])->assertNoContent();
        self::assertSame([$comment->public_id], DB::table('comment_views')->pluck('comment')->all());
        $this->get(route('results.show', $own))->assertSee('You have opened this 2 times')
            ->assertSee('1 of 1 comments came into view')->assertSee('Your coordinator can see this');
        $this->actingAs($this->coordinator)->get(route('results.show', $own))->assertSee('Opened 2 times');
        $this->get(route('release.index', $this->salt))->assertSee('Write to them');
    }
}
