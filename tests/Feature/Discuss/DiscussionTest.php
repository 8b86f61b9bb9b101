<?php

declare(strict_types=1);

namespace Tests\Feature\Discuss;

use App\Actions\Collect\ChangeExtension;
use App\Actions\Discuss\FreezeDueDiscussions;
use App\Actions\Discuss\HidePost;
use App\Actions\Discuss\TakeBackPost;
use App\Actions\Screen\CompareHandin;
use App\Documents\Receipts;
use App\Models\Handin;
use App\Models\OverlapReport;
use App\Models\Participation;
use App\Models\Post;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use RuntimeException;
use Tests\TestCase;
use YoungHarbor\Core\Discussion\FrozenWork;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\Standing;

/**
 * What is marked of a discussion: everything one student wrote until it ended for them, frozen as an attempt like any
 * other.
 */
final class DiscussionTest extends TestCase
{
    use DiscussWorld;

    public function test_what_each_wrote_becomes_a_script_with_what_stands_around_it(): void
    {
        $this->discussion();
        $first = $this->says(0, 'The **ships** that used the light should have paid. See https://a.example/dues');
        $reply = $this->says(1, "I agree with {$this->students[0]->name}; the town gained too, so it should pay a part.", $first);
        $this->says(0, 'But the town had no means to pay in those years at all.', $reply);
        self::assertSame([1, 1, false], array_values($this->written(0)->only('posts', 'replies', 'below')));
        self::assertSame(2, $this->ends());
        $script = $this->script($this->talk)->refresh();
        $handin = $script->currentHandin;
        self::assertFalse($handin->late);
        self::assertSame($first->created_at->timestamp, $handin->received_at->timestamp);
        self::assertSame(Standing::HandedIn, $script->standing);
        self::assertStringContainsString('1. Post in “Lighthouse dues”', $handin->html);
        self::assertStringContainsString('2. Reply in “Lighthouse dues”', $handin->html);
        self::assertStringContainsString('one post, one reply', $handin->html);
        self::assertStringNotContainsString('town gained', $handin->text, 'none of the words of others are the writer’s');
        self::assertSame(27, $handin->words);
        self::assertStringContainsString($this->script($this->talk, 1)->code.' answered: “I agree with '.$script->code.';', $handin->html);
        foreach ($this->students as $student) {
            self::assertStringNotContainsString($student->name, $handin->html);
        }
        self::assertNull($this->script($this->talk, 2)->refresh()->current_handin_id);
        self::assertSame(0, app(FreezeDueDiscussions::class)(), 'once');
        $this->get(route('receipts.show', $handin))->assertRedirect(route('sign-in'));
        $this->actingAs($this->students[0])->get(route('receipts.show', $handin))->assertOk()->assertSee($handin->sha256)
            ->assertSee(__('discuss.frozen_then'));
        $kept = (string) $this->get(route('receipts.file', [$handin, 1]))->streamedContent();
        self::assertSame($handin->sha256, hash('sha256', $kept));
        self::assertCount(2, FrozenWork::fromJson($kept)->pieces);
        $this->artisan('receipt:verify', [
            'file' => $this->temporary($kept), 'receipt' => $this->temporary(app(Receipts::class)->text($handin)),
        ])->assertExitCode(0);
    }

    public function test_a_first_post_after_its_time_is_late_and_one_that_was_taken_back_is_none(): void
    {
        $this->discussion();
        $this->says(0);
        $back = $this->says(1, 'I did not mean to post this here at all.');
        app(TakeBackPost::class)($back);
        Carbon::setTestNow($this->talk->due_at->copy()->addSecond());
        $this->says(2, 'Late, but here is what I have to say of it.');
        self::assertSame(2, $this->ends());
        self::assertSame([false, null, true], array_map(
            fn (int $n) => $this->script($this->talk, $n)->currentHandin?->late, [0, 1, 2],
        ));
        $this->actingAs($this->coordinator)->get(route('collect.index', [$this->talk, 'show' => 'silent']))->assertOk()
            ->assertSee($this->students[1]->name)->assertDontSee($this->students[0]->name);
    }

    public function test_with_more_time_it_is_frozen_when_it_ends_for_that_student_until_a_marker_has_it(): void
    {
        $this->discussion(2);
        $this->says(0);
        $this->says(1);
        $script = $this->script($this->talk, 1);
        app(ChangeExtension::class)($script, $this->talk->due_at->copy()->addDays(6), 'Ill.', $this->coordinator);
        $script->refresh();
        self::assertTrue($script->closes_at->gt($this->talk->closes_at));
        self::assertSame(1, $this->ends());
        $this->says(1, 'What I could only say after the others had gone home.');
        Carbon::setTestNow($script->closes_at->copy()->addMinute());
        self::assertSame(1, app(FreezeDueDiscussions::class)());
        self::assertSame(2, Post::query()->where('script_id', $script->id)->where(
            'id', '<=', $this->written(1)->frozen_to,
        )->count());
        // Still more time brings another attempt, which counts.
        app(ChangeExtension::class)($script, now()->addDay(), 'Ill.', $this->coordinator);
        $this->says(1, 'And this, on the day after, with a word more.');
        Carbon::setTestNow($script->refresh()->closesDiscussionAt()->copy()->addMinute());
        self::assertSame(1, app(FreezeDueDiscussions::class)());
        self::assertSame(2, $script->refresh()->currentHandin->attempt);
        self::assertStringContainsString('3. Post', $script->currentHandin->html);
        // With a marker, nothing takes its place; what comes is shown apart.
        $this->shareOut($this->talk->refresh());
        app(ChangeExtension::class)($script, now()->addDay(), 'Ill.', $this->coordinator);
        $this->says(1, 'A word that comes too late to be marked here.');
        Carbon::setTestNow($script->refresh()->closesDiscussionAt()->copy()->addMinute());
        self::assertSame(0, app(FreezeDueDiscussions::class)());
        self::assertSame(2, $script->refresh()->currentHandin->attempt);
        $mark = $this->markOf($script, Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertSee('written after the close')
            ->assertSee('A word that comes too late');
    }

    public function test_a_hidden_post_is_among_what_is_marked_and_says_so(): void
    {
        $this->discussion(1);
        $post = $this->says(0);
        app(HidePost::class)($post, $this->coordinator, 'Not how we speak to each other.');
        $this->ends();
        self::assertStringContainsString(
            'Hidden from students by staff: Not how we speak', $this->script($this->talk)->refresh()->currentHandin->html,
        );
    }

    public function test_freezing_that_fails_half_way_leaves_nothing_and_is_done_again(): void
    {
        $this->discussion(1);
        $this->says(0);
        $files = count(Storage::files('handins'));
        $fails = true;
        DB::listen(function ($query) use (&$fails): void {
            if ($fails && str_starts_with($query->sql, 'update `participations`')) {
                throw new RuntimeException('The database went away.');
            }
        });
        self::assertSame(0, $this->ends());
        self::assertNull($this->script($this->talk)->refresh()->current_handin_id);
        $fails = false;
        self::assertSame(1, app(FreezeDueDiscussions::class)());
        self::assertSame(1, $this->script($this->talk)->refresh()->currentHandin->attempt);
        self::assertGreaterThan($files, count(Storage::files('handins')));
    }

    public function test_posts_are_compared_with_each_other_and_with_every_shelf(): void
    {
        $this->discussion(3);
        $text = $this->prose(60, 7);
        $this->says(0, $text);
        $this->says(1, "Let me add to this: {$text}");
        $this->says(2, $this->prose(60, 8));
        $this->ends();
        $handins = array_map(fn (int $n) => $this->script($this->talk, $n)->currentHandin, [0, 1, 2]);
        array_map(app(CompareHandin::class), $handins);
        $shares = array_map(
            fn (Handin $one) => (float) OverlapReport::query()->where('handin_id', $one->id)->value('share'), $handins,
        );
        self::assertGreaterThan(80, $shares[0]);
        self::assertGreaterThan(80, $shares[1]);
        self::assertLessThan(20, $shares[2]);
    }

    public function test_one_who_copies_one_post_ten_times_shows(): void
    {
        $this->discussion(2);
        $text = $this->prose(50, 3);
        $this->says(0, $text);
        for ($n = 0; $n < 10; $n++) {
            $this->says(1, $text);
        }
        $this->ends();
        $script = $this->script($this->talk, 1)->refresh();
        app(CompareHandin::class)($script->currentHandin);
        self::assertSame(500, $script->currentHandin->words);
        self::assertGreaterThan(90, (float) OverlapReport::query()->where('handin_id', $script->current_handin_id)->value('share'),
            'all ten of them');
        self::assertSame(10, $this->written(1)->posts);
    }

    public function test_from_marks_to_a_result_that_reads_like_any_other(): void
    {
        $this->discussion(1);
        $this->says(0);
        $this->ends();
        $this->shareOut($this->talk->refresh());
        $mark = $this->finish($this->markOf($this->script($this->talk), Seat::First), 'l3', 'l2');
        self::assertNotNull($mark->done_at);
        $this->actingAs($this->coordinator)->post(route('release.store', $this->talk), ['which' => 'all', 'when' => 'now'])
            ->assertSessionHasNoErrors();
        $result = $this->script($this->talk)->refresh()->result;
        self::assertNotNull($result);
        $this->actingAs($this->students[0])->get(route('results.show', $result))->assertOk()
            ->assertSee('The ships that used the light')->assertSee('1. Post in “Lighthouse dues”');
    }

    private function written(int $student): Participation
    {
        return Participation::query()->findOrFail($this->script($this->talk, $student)->id);
    }

    private function temporary(string $text): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'receipt');
        file_put_contents($path, $text);

        return $path;
    }
}
