<?php

declare(strict_types=1);

namespace Tests\Feature\Discuss;

use App\Actions\Collect\AddPeople;
use App\Actions\Discuss\ChangePost;
use App\Actions\Discuss\FlagPost;
use App\Actions\Discuss\FollowTopic;
use App\Actions\Discuss\HidePost;
use App\Enums\Role;
use App\Models\Post;
use App\Models\User;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Tests\Crawl;
use Tests\TestCase;

/**
 * Names and times of a discussion that are not to be known: everything each can reach from Today is searched, while
 * it goes
 * on and while it is marked.
 */
final class HiddenTest extends TestCase
{
    use Crawl;
    use DiscussWorld;

    /** @var list<string> times of posts, as pages show them */
    private array $times = [];

    public function test_staff_meet_no_name_number_or_time_and_students_no_name_where_codes_are_shown(): void
    {
        $this->discussion(3, ['names' => false, 'goes_on' => true]);
        foreach ([...$this->tutors, $this->coordinator] as $staff) {
            app(FollowTopic::class)($this->topic, $staff, true);
        }
        [$a, $b, $c] = $this->students;
        $said = [
            [0, "I am {$a->name}, number {$a->number}. Thanks {$b->name}!", null], [1, "Hello **{$a->name}**, see https://a.example/~{$a->email}.", 0],
            [2, "> I am {$a->name}\n\nAs ".mb_strtolower((string) strtok($b->name, ' '))." says, and {$c->email} too.", 1],
            [0, "Once more, {$c->number}.", 2],
        ];
        $posts = [];
        foreach ($said as $n => [$who, $text, $answers]) {
            $this->at(now()->startOfHour()->addMinutes(61 + 7 * $n));
            $posts[] = $this->says($who, $text, $answers === null ? null : $posts[$answers]);
        }
        Carbon::setTestNow(now()->addMinutes(25));
        app(ChangePost::class)($posts[3], $a, "Once more, {$c->name}.", 1);
        app(HidePost::class)($posts[2], $this->coordinator, 'It names people.');
        app(FlagPost::class)($posts[1], $c, 'It has an address of someone.');
        $this->look([...$this->tutors, $this->coordinator], staff: true);
        $this->look($this->students, staff: false);
        self::assertSame(3, $this->ends());
        $this->shareOut($this->talk->refresh());
        $this->says(1, "And after the end: {$a->name}.");
        $this->look([...$this->tutors, $this->coordinator], staff: true);
        self::assertNotEmpty(preg_grep('~/desk/~', array_keys($this->seen)) ?: [], 'the desk was opened');
    }

    /** @var array<string, true> addresses */
    private array $seen = [];

    public function test_someone_who_joins_later_is_hidden_in_what_was_written_before(): void
    {
        $this->discussion(2);
        $post = $this->says(0, 'My flatmate Wilhelmina Abernathy-Quist says that the wharf should pay, Wilhelmina is right.');
        $this->actingAs($this->tutors[0])->get(route('topics.show', $this->topic))->assertSee('Wilhelmina Abernathy-Quist');
        app(AddPeople::class)($this->module, Role::Student, [
            ['name' => 'Wilhelmina Abernathy-Quist', 'email' => 'w.abernathy@merrow.example', 'number' => 'M209999', 'section' => null],
        ]);
        $this->get(route('topics.show', $this->topic))->assertDontSee('Wilhelmina');
        self::assertStringNotContainsString('Wilhelmina', $post->refresh()->masked_text);
        self::assertStringContainsString('Wilhelmina', $post->text, 'what was typed stays');
    }

    public function test_names_show_to_staff_once_they_are_revealed(): void
    {
        $this->discussion(1);
        $this->says(0, "I am {$this->students[0]->name}.");
        $this->actingAs($this->coordinator)->get(route('topics.show', $this->topic))->assertDontSee($this->students[0]->name);
        $this->talk->update(['names_revealed_at' => now()]);
        $this->get(route('topics.show', $this->topic))->assertSee($this->students[0]->name)
            ->assertSee(LocalTime::shown(Post::query()->sole()->created_at));
    }

    private function at(Carbon $when): void
    {
        Carbon::setTestNow($when);
        $this->times[] = $when->copy()->setTimezone('Europe/London')->format('H:i');
        $this->times[] = $when->copy()->utc()->format('H:i');
    }

    /**
     * @param  list<User>  $people
     */
    private function look(array $people, bool $staff): void
    {
        foreach ($people as $person) {
            $this->sent = [];
            $this->actingAs(User::query()->findOrFail($person->id));
            $this->crawl(route('today', absolute: false));
            $this->crawl(route('discussion.show', [$this->talk, 'q' => 'name'], false));
            self::assertGreaterThan(8, count($this->sent), 'the crawl got somewhere');
            $this->seen += array_fill_keys(array_keys($this->sent), true);
            foreach ($this->sent as $address => $text) {
                // Where people stand by name: no script code does.
                $byName = preg_match('~/(people|members|collect|write|groups|conflicts|grade-book|modules/[^/]+/(?:logbook|board))|/find|modules$~', $address) === 1;
                foreach ($this->students as $k => $other) {
                    // Whom someone names themselves they can read in their own words.
                    $n = array_search($person->id, array_column($this->students, 'id'), true);
                    if ($other->is($person) || ($n !== false && ($n === 0 || $k === 0))) {
                        continue;
                    }
                    $code = $this->script($this->talk, $k)->code;
                    if ($byName && $staff) {
                        // A line of the logbook has a name or a code; its page has lines of both.
                        str_contains($text, $other->name) && ! str_contains($address, 'logbook')
                            && self::assertStringNotContainsString($code, $text, $address);
                    } else {
                        foreach ([$other->name, $other->number, $other->email, $other->public_id] as $sign) {
                            self::assertStringNotContainsStringIgnoringCase((string) $sign, $text, "{$address} as {$person->name}");
                        }
                    }
                }
                foreach ($staff ? $this->times : [] as $time) {
                    self::assertStringNotContainsString($time, (string) preg_replace('~Date:[^\n]*|expires=[^;]*~i', '', $text), "{$address} as {$person->name}");
                }
            }
        }
    }
}
