<?php

declare(strict_types=1);

namespace Tests\Feature\Discuss;

use App\Actions\Collect\SetGroups;
use App\Actions\Discuss\CloseTopic;
use App\Actions\Discuss\FlagPost;
use App\Actions\Discuss\FollowTopic;
use App\Actions\Discuss\HidePost;
use App\Actions\Discuss\SaveTopic;
use App\Actions\Discuss\TakeBackPost;
use App\Models\Membership;
use App\Models\Notice;
use App\Models\Post;
use App\Models\PostFile;
use App\Models\TopicReader;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\Files;
use Tests\TestCase;

/**
 * Writing in topics as students and staff do it, and what goes wrong there.
 */
final class WritingTest extends TestCase
{
    use DiscussWorld;

    public function test_what_is_typed_is_shown_safely_and_what_is_sent_twice_is_posted_once(): void
    {
        $this->discussion(2);
        $once = '3f2c7a10-8d5e-4c1b-9f8f-1b8f0b6f9a11';
        $text = "<script>alert(1)</script> **Bold** [x](javascript:alert(1)) <img src=x onerror=alert(1)>\nsecond line";
        $first = $this->send(0, ['text' => $text, 'once' => $once])->assertOk()->json('to');
        self::assertSame($first, $this->send(0, ['text' => $text, 'once' => $once])->assertOk()->json('to'));
        self::assertSame(1, Post::query()->count());
        $page = $this->actingAs($this->students[1])->get(route('topics.show', $this->topic))->assertOk();
        $page->assertSee('<strong>Bold</strong>', false)->assertSee('&lt;script&gt;', false)->assertDontSee('<img src=x', false)
            ->assertDontSee('javascript:', false);
        self::assertStringContainsString('<br', Post::query()->sole()->html);
    }

    public function test_faults_are_said_in_words_and_the_words_stay(): void
    {
        $this->discussion(3);
        $other = app(SaveTopic::class)($this->talk, null, 'Salt tax', 'And salt?', null);
        $this->send(0, ['text' => ' '])->assertUnprocessable();
        $this->send(0, ['text' => str_repeat('salt ', 40_000)])->assertConflict()->assertSee('199,999 characters');
        $this->send(0, ['text' => '> only what someone else said'])->assertConflict()->assertSee('a few words of your own');
        $this->send(0, ['text' => '***'])->assertConflict();
        $post = $this->says(1);
        $this->send(0, ['text' => 'An answer', 'answers' => 'no-id'])->assertUnprocessable();
        $moved = $this->says(1, 'This belongs elsewhere, as the coordinator will see.');
        $this->actingAs($this->coordinator)->post(route('posts.move', $moved), ['topic' => $other->public_id])->assertRedirect();
        $this->send(0, ['text' => 'An answer', 'answers' => $moved->public_id])->assertConflict()->assertSee('moved to the topic');
        app(TakeBackPost::class)($post);
        $this->send(0, ['text' => 'An answer', 'answers' => $post->public_id])->assertConflict()->assertSee('taken back meanwhile');
        $hidden = $this->says(1, 'Something that is not nice to read here.');
        app(HidePost::class)($hidden, $this->coordinator, 'Not nice.');
        $this->send(0, ['text' => 'An answer', 'answers' => $hidden->public_id])->assertConflict()->assertSee('hidden by staff');
        app(CloseTopic::class)($this->topic, true, $this->coordinator);
        $this->send(0, ['text' => 'In the middle of a sent'])->assertConflict()->assertSee('closed meanwhile');
        self::assertSame(0, Post::query()->where('author_id', $this->students[0]->id)->count());
        // Without page scripts the words come back in the form.
        $this->actingAs($this->students[0])->from(route('topics.show', $other))
            ->post(route('posts.store', $this->topic), ['text' => 'In the middle of a sent', 'for' => 'new'])
            ->assertRedirect(route('topics.show', $other));
        $this->get(route('topics.show', $other))->assertSee('In the middle of a sent')->assertSee('closed meanwhile');
        Carbon::setTestNow($this->talk->closes_at->copy()->addSecond());
        $this->actingAs($this->students[0])->post(route('posts.store', $other), ['text' => 'Too late'])->assertSessionHasErrors('text');
    }

    public function test_two_changes_at_once_keep_both_and_the_earlier_wording_stays_for_staff(): void
    {
        $this->discussion(2, ['edit_minutes' => 30]);
        $post = $this->says(0, 'The first wording of what I wanted to say.');
        $this->actingAs($this->students[0]);
        $this->put(route('posts.update', $post), ['text' => 'The second wording of it.', 'seen' => 1])->assertRedirect();
        $this->put(route('posts.update', $post), ['text' => 'From another device, later.', 'seen' => 1])->assertOk()
            ->assertSee('From another device, later.')->assertSee('The second wording of it.')->assertSee('changed elsewhere');
        self::assertSame('The second wording of it.', $post->refresh()->text);
        $this->get(route('topics.show', $this->topic))->assertDontSee('The first wording');
        $this->actingAs($this->coordinator)->get(route('topics.show', $this->topic))->assertSee('The first wording');
        $this->actingAs($this->students[1])->put(route('posts.update', $post), ['text' => 'Mine now', 'seen' => 2])->assertForbidden();
        Carbon::setTestNow(now()->addMinutes(31));
        $this->actingAs($this->students[0])->put(route('posts.update', $post), ['text' => 'Too late for this.', 'seen' => 2])
            ->assertSessionHasErrors(['text' => __('discuss.refused.change_late', ['minutes' => 30])]);
    }

    public function test_others_posts_show_after_a_post_of_ones_own_also_by_their_address_search_and_news(): void
    {
        $this->discussion(2, ['own_first' => true]);
        $post = $this->says(0, 'A secret of the estuary that nobody else has said.');
        $file = $post->files()->create([
            'position' => 1, 'kind' => 'picture', 'name' => 'a.png', 'description' => 'x', 'path' => 'posts/x', 'mime' => 'image/png',
            'bytes' => 1, 'sha256' => str_repeat('0', 64),
        ]);
        Storage::put('posts/x', 'x');
        $this->actingAs($this->students[1]);
        $sees = fn (): array => [
            str_contains((string) $this->get(route('topics.show', $this->topic))->getContent(), 'secret of the estuary'),
            str_contains((string) $this->get(route('discussion.show', [$this->talk, 'q' => 'secret']))->getContent(), 'secret of the estuary'),
            $this->get(route('posts.show', $post))->getStatusCode() < 400,
            $this->get(route('posts.file', $file))->getStatusCode() < 400,
            $this->get(route('posts.replies', $post))->getStatusCode() < 400,
            $this->get(route('topics.news', [$this->topic, 'after' => 0]))->json('threads') > 0,
            str_contains((string) $this->get(route('topics.threads', [$this->topic, 'after' => 0]))->getContent(), 'secret'),
            $this->send(1, ['text' => 'An answer to it.', 'answers' => $post->public_id])->getStatusCode() < 400,
        ];
        self::assertSame(array_fill(0, 8, false), $sees());
        $this->actingAs($this->students[1])->get(route('topics.show', $this->topic))->assertSee(__('discuss.own_first'));
        $this->says(1, 'What I think of it before I have read the others.');
        self::assertSame(array_fill(0, 8, true), $sees());
    }

    public function test_sections_talk_by_themselves_and_one_who_is_moved_meanwhile_is_told(): void
    {
        $this->discussion(4, ['audience' => 'section']);
        foreach ($this->students as $n => $student) {
            Membership::query()->where('user_id', $student->id)->update(['section' => $n < 2 ? 'A' : 'B']);
        }
        $post = $this->says(0, 'Only those of section A read what I write here.');
        self::assertSame('A', $post->room);
        $this->actingAs($this->students[1])->get(route('topics.show', $this->topic))->assertSee('Only those of section A');
        $this->actingAs($this->students[2])->get(route('topics.show', $this->topic))->assertDontSee('Only those of section A');
        $this->get(route('posts.show', $post))->assertForbidden();
        $this->send(2, ['text' => 'From B', 'answers' => $post->public_id])->assertConflict();
        Membership::query()->where('user_id', $this->students[1]->id)->update(['section' => 'B']);
        $this->send(1, ['text' => 'Begun in A', 'room' => 'A'])->assertConflict()->assertSee('You were moved meanwhile');
        $this->send(1, ['text' => 'Begun in A, posted in B', 'room' => 'B'])->assertOk();
        // Staff see each room by itself, and answer in the one they read.
        $this->actingAs($this->tutors[0])->get(route('topics.show', [$this->topic, 'room' => 'B']))->assertSee('posted in B')
            ->assertDontSee('Only those of section A');
        $this->post(route('posts.store', $this->topic), ['text' => 'To A alone', 'room' => 'A'])->assertSessionHasNoErrors();
        $this->post(route('posts.store', $this->topic), ['text' => 'To nobody', 'room' => 'C'])->assertSessionHasErrors('text');
        $this->actingAs($this->students[3])->get(route('topics.show', $this->topic))->assertDontSee('To A alone');
    }

    public function test_groups_of_a_discussion_are_made_under_collect(): void
    {
        $this->discussion(2, ['audience' => 'group']);
        app(SetGroups::class)($this->talk, [$this->students[0]->id => 'Pilots'], 'list');
        self::assertSame('Pilots', $this->says(0)->room);
        $this->actingAs($this->students[1])->get(route('topics.show', $this->topic))->assertDontSee('The ships that used');
        self::assertNull($this->script($this->talk)->lead_id, 'each is marked alone');
    }

    public function test_pictures_lose_what_the_camera_wrote_and_need_words_for_those_who_cannot_see_them(): void
    {
        $this->discussion(2);
        $before = count(Storage::files('posts'));
        $picture = imagecreatetruecolor(40, 30);
        ob_start();
        imagejpeg($picture);
        $jpeg = (string) ob_get_clean();
        $exif = "\xFF\xE1".pack('n', 2 + 6 + 20)."Exif\0\0".'GPS 51.5 N 4.2 W ..';
        $tagged = substr($jpeg, 0, 2).$exif."\0".substr($jpeg, 2);
        $this->send(0, ['text' => 'Look at this.', 'files' => [$this->file('lamp.jpg', $tagged)]])->assertConflict()
            ->assertSee('Say in a few words what');
        $this->send(0, ['text' => 'Look at this.', 'files' => [$this->file('lamp.jpg', $tagged)], 'descriptions' => ['A lamp on a pole']])->assertOk();
        $kept = PostFile::query()->sole();
        self::assertStringNotContainsString('GPS', (string) Storage::get($kept->path));
        $this->actingAs($this->students[1])->get(route('topics.show', $this->topic))->assertSee('alt="A lamp on a pole"', false);
        $this->get(route('posts.file', $kept))->assertOk()->assertHeader('X-Content-Type-Options', 'nosniff');
        $this->actingAs($this->tutors[0])->get(route('posts.file', $kept))->assertForbidden();
        $heic = "\0\0\0\x18ftypheic\0\0\0\0mif1heic".random_bytes(200);
        $this->send(0, ['text' => 'And this.', 'files' => [$this->file('IMG_1.HEIC', $heic)], 'descriptions' => ['x']])->assertConflict()
            ->assertSee('HEIC');
        $this->send(0, ['text' => 'And this.', 'files' => [$this->file('big.jpg', $jpeg, 41_000)], 'descriptions' => ['x']])->assertConflict()
            ->assertSee('a picture can have 20');
        $this->send(0, ['text' => 'And this.', 'files' => [$this->file('x.png', 'no picture')], 'descriptions' => ['x']])->assertConflict();
        self::assertSame(1, PostFile::query()->count());
        self::assertSame($before + 1, count(Storage::files('posts')), 'what was refused is not kept');
    }

    public function test_a_document_stands_beside_a_post_where_names_show_and_its_words_are_marked(): void
    {
        $this->discussion(1);
        $this->send(0, ['text' => 'My table of the dues.', 'files' => [Files::upload('Dues by year and by tonnage of ships.', 'table.txt')]])->assertOk();
        $this->send(0, ['text' => 'And one that cannot be read.', 'files' => [Files::upload("%PDF-1.4\nbroken", 'broken.pdf')]]);
        $this->ends();
        $handin = $this->script($this->talk)->refresh()->currentHandin;
        self::assertNull($handin->unreadable);
        self::assertStringContainsString('Dues by year and by tonnage', $handin->text);
        self::assertStringContainsString('My table of the dues', $handin->text);
        $this->talk->update(['discussion' => \YoungHarbor\Core\Discussion\Settings::fromArray(['names' => false, 'goes_on' => true])]);
        $this->send(0, ['text' => 'Once more.', 'files' => [Files::upload('Dues by year.', 'table.txt')]])->assertConflict()->assertSee('is no picture');
    }

    public function test_who_is_answered_and_who_follows_hears_of_it_once_until_they_read_on(): void
    {
        $this->discussion(3);
        $post = $this->says(0);
        app(FollowTopic::class)($this->topic, $this->students[2], true);
        $this->says(1, 'An answer to what you wrote about the dues.', $post);
        $this->says(1, 'And another one, since I thought again.', $post);
        self::assertSame(2, $this->notices($this->students[0]), 'each answer');
        self::assertSame(1, $this->notices($this->students[2]), 'once');
        self::assertSame(0, $this->notices($this->students[1]), 'not of one’s own');
        self::assertSame(
            ['daily'], Notice::query()->where('kind', 'post')->distinct()->pluck('mail')->map(fn ($one) => $one->value)->all(),
        );
        $this->actingAs($this->students[2])->get(route('topics.show', $this->topic))->assertOk();
        self::assertSame(0, $this->notices($this->students[2]), 'read');
        $this->says(1, 'Something new for the whole topic to read.');
        self::assertSame(1, $this->notices($this->students[2]));
        $title = (string) Notice::query()->where('user_id', $this->students[0]->id)->orderBy('id')->value('title');
        self::assertStringContainsString($this->students[1]->name, $title, 'students see names here');
        app(FollowTopic::class)($this->topic, $this->tutors[0], true);
        $hint = app(\App\Actions\Discuss\WritePost::class)($this->topic->fresh(['assignment']), $this->tutors[0], 'What of the wharf?', room: '');
        $this->says(1, 'The wharf took more ships, I think.', $hint);
        $told = (string) Notice::query()->where('user_id', $this->tutors[0]->id)->value('title');
        self::assertStringContainsString($this->script($this->talk, 1)->code, $told);
        self::assertStringNotContainsString($this->students[1]->name, $told);
    }

    public function test_unread_is_counted_and_can_be_set_back(): void
    {
        $this->discussion(2);
        $this->says(0);
        $second = $this->says(0, 'A second one, for you to come back to.');
        $this->says(0, 'And a third one, to be read after it.');
        $this->actingAs($this->students[1])->get(route('discussion.show', $this->talk))->assertSee('3 new');
        $this->get(route('topics.show', $this->topic));
        $this->get(route('discussion.show', $this->talk))->assertDontSee('3 new');
        $this->post(route('posts.unread', $second))->assertRedirect();
        $this->get(route('discussion.show', $this->talk))->assertSee('2 new');
        $this->getJson(route('topics.news', [$this->topic, 'after' => $second->id]))->assertJson(['threads' => 1, 'replies' => []]);
        self::assertSame(1, TopicReader::query()->where('user_id', $this->students[1]->id)->count());
    }

    public function test_staff_hide_pin_move_and_decide_on_what_readers_point_out(): void
    {
        $this->discussion(3);
        $other = app(SaveTopic::class)($this->talk, null, 'Salt tax', 'And salt?', null);
        $post = $this->says(0, 'Something rude about someone else here.');
        $reply = $this->says(1, 'An answer that goes with it, wherever it goes.', $post);
        $this->actingAs($this->students[1])->post(route('posts.flag', $post), ['reason' => 'This is about me.'])->assertRedirect();
        $this->post(route('posts.flag', $reply), ['reason' => 'My own one.'])->assertForbidden();
        $page = $this->actingAs($this->coordinator)->get(route('discussion.show', $this->talk))->assertSee('This is about me.');
        $page->assertDontSee($this->students[1]->name)->assertDontSee($this->students[0]->name);
        $this->actingAs($this->tutors[0])->get(route('discussion.show', $this->talk))->assertDontSee('This is about me.');
        $this->actingAs($this->coordinator)->post(route('posts.hide', $post), ['reason' => ''])->assertSessionHasErrors('reason');
        $this->post(route('posts.hide', $post), ['reason' => 'It names someone.'])->assertSessionHasNoErrors();
        $this->get(route('discussion.show', $this->talk))->assertDontSee('This is about me.');
        $this->actingAs($this->students[2])->get(route('topics.show', $this->topic))->assertDontSee('Something rude')
            ->assertDontSee('It names someone')->assertSee(__('discuss.hidden'));
        $this->actingAs($this->students[0])->get(route('topics.show', $this->topic))->assertSee('It names someone');
        $this->actingAs($this->coordinator)->post(route('posts.pin', $post), ['pinned' => '1'])->assertSessionHasErrors();
        $this->post(route('posts.hide', $post), ['show' => '1'])->assertSessionHasNoErrors();
        $this->post(route('posts.pin', $post), ['pinned' => '1'])->assertSessionHasNoErrors();
        $this->says(2, 'A newer thread, which stands below the one kept at the top.');
        $this->actingAs($this->students[2])->get(route('topics.show', $this->topic))->assertSeeInOrder(['Something rude', 'A newer thread']);
        $this->actingAs($this->coordinator)->post(
            route('posts.move', $reply), ['topic' => $other->public_id],
        )->assertSessionHasErrors();
        $this->post(route('posts.move', $post), ['topic' => $other->public_id])->assertSessionHasNoErrors();
        self::assertSame([$other->id, $other->id], [$post->refresh()->topic_id, $reply->refresh()->topic_id]);
        $this->actingAs($this->students[2])->post(route('posts.hide', $post), ['reason' => 'I do not like it.'])->assertForbidden();
        app(FlagPost::class)($post, $this->students[2], 'Please look at this.');
        $flag = \App\Models\PostFlag::query()->whereNull('decided_at')->sole();
        $this->actingAs($this->coordinator)->put(route('flags.leave', $flag))->assertRedirect();
        self::assertSame('left', $flag->refresh()->decision);
        $this->get(route('logbook', $this->module))->assertSee('hid a post')->assertSee('It names someone.');
    }

    public function test_topics_are_added_changed_and_taken_away_while_nobody_relies_on_them(): void
    {
        $this->discussion(1);
        $this->actingAs($this->coordinator)->post(route('topics.store', $this->talk), ['title' => '', 'prompt' => ''])
            ->assertSessionHasErrors(['title', 'prompt']);
        $this->post(route('topics.store', $this->talk), ['title' => 'Salt', 'prompt' => 'And salt?'])->assertSessionHasNoErrors();
        $salt = $this->talk->topics()->where('title', 'Salt')->sole();
        $this->put(route('topics.update', $salt), ['title' => 'Salt tax', 'prompt' => 'And the tax?', 'seen' => 1])->assertSessionHasNoErrors();
        $this->put(route('topics.update', $salt), ['title' => 'Old', 'prompt' => 'Old', 'seen' => 1])->assertSessionHasErrors('title');
        $this->says(0);
        $this->put(route('topics.update', $this->topic), ['title' => 'Dues', 'prompt' => 'Another question', 'seen' => 1])->assertSessionHasErrors('prompt');
        $this->put(
            route('topics.update', $this->topic), ['title' => 'Dues', 'prompt' => $this->topic->prompt, 'seen' => 1],
        )->assertSessionHasNoErrors();
        $this->delete(route('topics.destroy', $this->topic))->assertSessionHasErrors();
        $this->delete(route('topics.destroy', $salt))->assertSessionHasNoErrors();
        self::assertSame(['Dues'], $this->talk->topics()->pluck('title')->all());
    }

    public function test_nothing_is_handed_in_to_a_discussion(): void
    {
        $this->discussion(1);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $this->talk))->assertOk()->assertSee('Lighthouse dues')
            ->assertDontSee('name="files');
        $this->post(route('hand-in.store', $this->talk), ['typed_text' => 'An essay'])->assertForbidden();
        $this->post(route('drafts.store', $this->talk), ['draft_text' => 'An essay'])->assertForbidden();
        $this->get(route('today'))->assertSee('You have written nothing yet');
        $this->says(0);
        $this->get(route('today'))->assertSee('Still asked for: one reply.');
    }

    /**
     * @param  array<string, mixed>  $fields
     */
    private function send(int $student, array $fields): TestResponse
    {
        return $this->actingAs($this->students[$student])
            ->post(route('posts.store', $this->topic), $fields, ['Accept' => 'application/json']);
    }

    private function notices(User $person): int
    {
        return Notice::query()->where('user_id', $person->id)->where('kind', 'post')->whereNull('read_at')->count();
    }

    private function file(string $name, string $bytes, int $kilobytes = 0): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'post');
        file_put_contents($path, str_pad($bytes, $kilobytes * 1024, "\0"));

        return new UploadedFile($path, $name, null, null, true);
    }
}
