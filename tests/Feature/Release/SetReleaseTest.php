<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Moderate\OpenSettled;
use App\Actions\Release\RunRelease;
use App\Actions\Release\SendDueReleases;
use App\Actions\Release\SetRelease;
use App\Enums\MailState;
use App\Enums\ReleaseState;
use App\Jobs\RunReleaseJob;
use App\Mail\NoticeMail;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Membership;
use App\Models\Notice;
use App\Models\PreparedResult;
use App\Models\Release;
use App\Models\Result;
use App\Notices\SendNotices;
use App\Release\ReleasePlan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Symfony\Component\Mailer\Exception\TransportException;
use Tests\TestCase;
use YoungHarbor\Core\Release\Scope;

/**
 * Results that go out at a time, in part, provisionally, and all in one moment, whatever is killed on the way.
 */
final class SetReleaseTest extends TestCase
{
    private function agreed(int $students = 3): Assignment
    {
        $this->module(2, $students);
        $assignment = $this->sharedOut($this->assignment());
        foreach ($this->scripts($assignment) as $script) {
            $this->finishBoth($script);
        }

        return $assignment->refresh();
    }

    /**
     * @param  array<string, mixed>  $fields
     */
    private function set(Assignment $assignment, string $at, array $fields = []): Release
    {
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), [
            'which' => 'all', 'when' => 'later', 'at' => $at, ...$fields,
        ])->assertSessionHasNoErrors();

        return Release::query()->latest('id')->firstOrFail();
    }

    public function test_results_go_out_at_the_time_that_was_set_and_not_before(): void
    {
        $assignment = $this->agreed();
        Carbon::setTestNow('2026-11-28 07:00:00');
        $release = $this->set($assignment, '2026-11-28T09:00');
        self::assertSame(ReleaseState::Set, $release->state);
        $this->get(route('release.index', $assignment))->assertSee('Goes out Sat 28 Nov 2026 09:00');
        Carbon::setTestNow('2026-11-28 08:59:59');
        self::assertSame(0, app(SendDueReleases::class)());
        self::assertSame(0, Result::query()->count());
        Carbon::setTestNow('2026-11-28 09:00:04');
        self::assertSame(1, app(SendDueReleases::class)());
        self::assertSame(3, Result::query()->count());
        self::assertSame(0, app(SendDueReleases::class)(), 'once');
        $this->get(route('release.index', $assignment))->assertSee('3 of 3 released Sat 28 Nov 2026 09:00:04')
            ->assertDontSee('The machine or its scheduler');
        $lines = LogbookLine::query()->where('event', 'like', 'release.%')->orderBy('number')->get();
        self::assertSame(
            ['release.set', 'release.result-released', 'release.result-released', 'release.result-released', 'release.out'],
            $lines->map(fn (LogbookLine $line) => $line->event->value)->all(),
        );
        self::assertSame($this->coordinator->public_id, $lines->last()?->actor, 'by whoever set it');
    }

    public function test_a_machine_that_was_down_lets_them_out_when_it_is_back_and_says_so(): void
    {
        $assignment = $this->agreed();
        Carbon::setTestNow('2026-11-28 07:00:00');
        $this->set($assignment, '2026-11-28T09:00');
        Carbon::setTestNow('2026-11-28 11:17:30');
        app(SendDueReleases::class)();
        self::assertSame(3, Result::query()->count());
        $this->get(route('release.index', $assignment))
            ->assertSee('It was set for Sat 28 Nov 2026 09:00: the machine or its scheduler was not running then');
    }

    public function test_it_is_moved_and_stopped_until_it_begins(): void
    {
        $assignment = $this->agreed();
        Carbon::setTestNow('2026-11-28 07:00:00');
        $release = $this->set($assignment, '2026-11-28T09:00');
        $this->put(route('releases.update', $release), ['at' => '2026-11-28T06:00'])->assertSessionHasErrors('at');
        $this->put(route('releases.update', $release), ['at' => '2026-11-30T10:30'])->assertSessionHas('said');
        Carbon::setTestNow('2026-11-28 09:00:10');
        app(SendDueReleases::class)();
        RunReleaseJob::dispatch($release->id); // asked for before it was moved
        self::assertSame(0, Result::query()->count());
        $this->actingAs($this->tutors[0])->put(route('releases.update', $release), ['stop' => '1'])->assertForbidden();
        $this->actingAs($this->coordinator)->put(route('releases.update', $release), ['stop' => '1']);
        Carbon::setTestNow('2026-12-01 09:00:00');
        app(SendDueReleases::class)();
        self::assertSame([0, ReleaseState::Stopped], [Result::query()->count(), $release->refresh()->state]);
        $this->put(route('releases.update', $release), ['at' => '2026-12-05T10:30'])->assertSessionHasErrors('refused');
    }

    public function test_hours_that_a_clock_change_skips_or_shows_twice(): void
    {
        config(['harbor.timezone' => 'Europe/Paris']);
        $assignment = $this->agreed();
        Carbon::setTestNow('2027-03-27 12:00:00');
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), [
            'which' => 'all', 'when' => 'later', 'at' => '2027-03-28T02:30',
        ])->assertSessionHasErrors(['at' => 'Not set: that time does not exist; the clocks skip it. Choose another one.']);
        self::assertSame(0, Release::query()->count());
        $this->post(route('release.store', $assignment), ['which' => 'all', 'when' => 'later', 'at' => '2027-10-31T02:30'])
            ->assertSessionHas('said', fn (string $said) => str_contains($said, 'it is the second of the two'));
        self::assertSame('2027-10-31T01:30:00+00:00', Release::query()->sole()->due_at?->toIso8601String());
    }

    public function test_what_is_wrong_is_said_and_nothing_goes_out(): void
    {
        $assignment = $this->agreed(1);
        Carbon::setTestNow('2026-11-28 07:00:00');
        $this->actingAs($this->coordinator);
        foreach ([
            'no time' => [['when' => 'later'], 'at'],
            'a past one' => [['when' => 'later', 'at' => '2026-11-28T06:00'], 'at'],
            'no time at all' => [['when' => 'later', 'at' => 'tomorrow'], 'at'],
            'too far off' => [['when' => 'later', 'at' => '2028-11-28T06:00'], 'at'],
            'no section' => [['which' => 'section'], 'sections'],
            'ticked, but all chosen' => [['scripts' => ['TERN-111']], 'scripts'],
            'the mark in the mail' => [['body' => 'You have {mark}: {link}'], 'body'],
            'no link' => [['body' => 'It is there.'], 'body'],
            'an unknown word' => [['body' => '{surname}, {link}'], 'body'],
            'two lines of subject' => [['subject' => "A\r\nBcc: x@y.example"], 'subject'],
        ] as $what => [$fields, $field]) {
            $answer = $this->post(route('release.store', $assignment), ['which' => 'all', ...$fields]);
            $answer->assertSessionHasErrors($field);
            self::assertSame([0, 0], [Release::query()->count(), Result::query()->count()], $what);
            $this->get(route('release.index', $assignment))->assertOk();
        }
    }

    public function test_a_section_goes_out_and_the_others_stay(): void
    {
        $assignment = $this->agreed();
        foreach ($this->students as $n => $student) {
            Membership::query()->where('user_id', $student->id)->update(['section' => $n === 1 ? 'B' : 'A']);
        }
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))->assertSee('Those of a section');
        $this->post(route('release.store', $assignment), ['which' => 'section', 'sections' => ['B']])
            ->assertSessionHas('said', '1 result is released; its student is being told by mail.');
        self::assertSame([$this->script($assignment, 1)->id], Result::query()->pluck('script_id')->all());
    }

    public function test_provisional_is_said_and_confirmed_without_a_change(): void
    {
        Mail::fake();
        $assignment = $this->agreed(1);
        $this->actingAs($this->coordinator)->post(route('release.confirm', $assignment), ['sure' => '1'])
            ->assertSessionHasErrors('refused');
        $this->post(route('release.store', $assignment), ['which' => 'all', 'provisional' => '1']);
        $result = Result::query()->sole();
        $this->actingAs($this->students[0])->get(route('results.show', $result))->assertSee('Provisional.')
            ->assertSee('may change it');
        $this->actingAs($this->coordinator)->post(route('release.confirm', $assignment))->assertSessionHasErrors('sure');
        $this->post(route('release.confirm', $assignment), ['sure' => '1'])->assertSessionHas('said');
        self::assertSame($result->document, $result->refresh()->document);
        $this->actingAs($this->students[0])->get(route('results.show', $result))->assertDontSee('Provisional.')
            ->assertSee('Confirmed by the board of examiners');
        Mail::assertSent(NoticeMail::class, fn (NoticeMail $mail) => str_contains($mail->render(), 'has confirmed it'));
    }

    public function test_feedback_goes_out_first_and_the_marks_later(): void
    {
        $assignment = $this->agreed(2);
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), [
            'which' => 'all', 'marks' => 'without',
        ]);
        $first = Result::query()->where('script_id', $this->script($assignment)->id)->sole();
        $this->actingAs($this->students[0])->get(route('results.show', $first))->assertSee('Feedback without a mark')
            ->assertSee('Comment of the first marker.')->assertDontSee('50.0');
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), ['which' => 'all', 'marks' => 'without'])
            ->assertSessionHasErrors('refused');
        $this->post(route('release.store', $assignment), ['which' => 'all'])->assertSessionHasNoErrors();
        $second = $this->script($assignment)->result;
        self::assertNotNull($second);
        self::assertSame([2, '50.0', 'The mark is added.'], [$second->version, $second->shownMark(), $second->what_changed]);
        $this->actingAs($this->students[0])->get(route('results.show', $first))->assertOk()
            ->assertSee('A corrected one took its place')->assertSee(route('results.show', $second));
        $this->get(route('results.show', $second))->assertSee('50.0')->assertSee('The mark is added.')
            ->assertSee(route('results.show', $first));
        self::assertSame(4, Result::query()->count());
    }

    public function test_a_mark_opened_in_the_same_second_is_left_out_and_named(): void
    {
        $assignment = $this->agreed();
        Queue::fake();
        $release = app(SetRelease::class)($assignment, new ReleasePlan(Scope::all()), $this->coordinator);
        $opened = $this->script($assignment, 1);
        $this->whenWritten(2, fn () => app(OpenSettled::class)($opened, $this->coordinator, 'We had the wrong page.'));
        app(RunRelease::class)($release);
        self::assertSame(2, Result::query()->count());
        self::assertNull($opened->refresh()->result);
        self::assertSame([$opened->code => 'to-settle'], $release->refresh()->left_out);
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertSee("1 was left out: {$opened->code} (to settle)");
    }

    public function test_what_changed_while_results_were_written_is_in_them(): void
    {
        $assignment = $this->agreed(2);
        Queue::fake();
        $release = app(SetRelease::class)($assignment, new ReleasePlan(Scope::all()), $this->coordinator);
        $this->whenWritten(2, fn () => DB::table('scripts')->where('id', $this->script($assignment)->id)->update([
            'waived_at' => now(), 'waived_reason' => 'Meanwhile.',
        ]) && DB::table('settlements')->where('script_id', $this->script($assignment)->id)->update(['mark' => '61']));
        app(RunRelease::class)($release);
        self::assertSame('61.0', $this->script($assignment)->result?->shownMark());
    }

    public function test_pressed_twice_each_result_goes_out_once(): void
    {
        $assignment = $this->agreed();
        Queue::fake();
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), ['which' => 'all']);
        $this->post(route('release.store', $assignment), ['which' => 'all'])->assertSessionHasErrors([
            'refused' => "{$this->coordinator->name} is releasing 3 results of this assignment right now. Nothing was started twice: look again in a moment.",
        ]);
        $this->get(route('release.index', $assignment))->assertSee('3 results are going out now');
        $release = Release::query()->sole();
        $this->get(route('releases.progress', $release))->assertOk()->assertSee('0 of 3 are written');
        app(RunRelease::class)($release);
        app(RunRelease::class)($release->refresh());
        self::assertSame([3, 3], [Result::query()->count(), Notice::query()->where('kind', 'result')->count()]);
        $this->get(route('releases.progress', $release))->assertSee('3 of 3 released');
    }

    public function test_when_nothing_is_ready_at_the_time_whoever_set_it_is_told(): void
    {
        $assignment = $this->agreed(1);
        Carbon::setTestNow('2026-11-28 07:00:00');
        $release = $this->set($assignment, '2026-11-28T09:00');
        app(OpenSettled::class)($this->script($assignment), $this->coordinator, 'We had the wrong page.');
        Carbon::setTestNow('2026-11-28 09:00:01');
        app(SendDueReleases::class)();
        self::assertSame(ReleaseState::Refused, $release->refresh()->state);
        $this->get(route('release.index', $assignment))->assertSee('did not go out: no script was ready then');
        $this->get(route('today'))->assertSee("Results of {$assignment->title} did not go out");
    }

    /** Killed at ten places on the way: none lost, none twice, none half; the next run finishes it. */
    public function test_a_release_that_is_killed_is_taken_up_and_is_never_half_out(): void
    {
        $assignment = $this->agreed(4);
        Queue::fake();
        $release = app(SetRelease::class)($assignment, new ReleasePlan(Scope::all()), $this->coordinator);
        // Statements of the run, from writing the first result to the last word of the release.
        $statements = $this->statements($release);
        $at = $told = 0;
        DB::listen(function () use (&$told, &$at): void {
            if (++$told === $at) {
                throw new RuntimeException('killed');
            }
        });
        $kept = LogbookLine::query()->count();
        for ($place = 1; $place <= 10; $place++) {
            DB::beginTransaction();
            [$at, $told, $killed] = [(int) ceil($statements * $place / 11), 0, false];
            try {
                app(RunRelease::class)($release);
            } catch (RuntimeException) {
                $killed = true;
                self::assertContains(Result::query()->count(), [0, 4], "all or none, at place {$place}");
            }
            $at = 0;
            self::assertTrue($killed);
            app(RunRelease::class)($release->refresh());
            self::assertSame(ReleaseState::Out, $release->refresh()->state);
            self::assertSame([4, 4, 4, 0, $kept + 5], [
                Result::query()->count(), Result::query()->distinct()->count('script_id'),
                Notice::query()->where('kind', 'result')->count(), PreparedResult::query()->count(),
                LogbookLine::query()->count(),
            ], "at place {$place}");
            DB::rollBack();
            $release->refresh();
        }
    }

    /** A run's worker that says nothing any more is taken for lost, and only then. */
    public function test_a_run_whose_worker_is_lost_is_asked_for_again(): void
    {
        $assignment = $this->agreed(1);
        Queue::fake();
        $release = app(SetRelease::class)($assignment, new ReleasePlan(Scope::all()), $this->coordinator);
        Release::query()->whereKey($release->id)->update(['beat_at' => now()]);
        app(RunRelease::class)($release); // another is at it
        self::assertSame(0, Result::query()->count());
        self::assertSame(0, app(SendDueReleases::class)());
        $this->travel(RunRelease::PATIENCE + 1)->seconds();
        self::assertSame(1, app(SendDueReleases::class)());
        app(RunRelease::class)($release);
        self::assertSame(1, Result::query()->count());
    }

    public function test_a_mail_run_that_is_killed_sends_the_one_in_hand_again_with_the_same_id_and_loses_none(): void
    {
        $assignment = $this->agreed(4);
        Queue::fake();
        app(RunRelease::class)(app(SetRelease::class)($assignment, new ReleasePlan(Scope::all()), $this->coordinator));
        self::assertSame(4, Notice::query()->where('mail', MailState::Waiting)->count());
        /** @var list<array{string, string}> $sent */
        $sent = [];
        $kill = true;
        Mail::shouldReceive('to')->andReturnUsing(function (string $to) use (&$sent, &$kill) {
            return new class($to, $sent, $kill)
            {
                /** @param  list<array{string, string}>  $sent */
                public function __construct(private string $to, private array &$sent, private bool &$kill)
                {
                }

                public function send(NoticeMail $mail): void
                {
                    $this->sent[] = [$this->to, (string) $mail->headers()->messageId];
                    if ($this->kill && count($this->sent) === 2) { // sent, and killed before that was written down
                        throw new RuntimeException('killed');
                    }
                }
            };
        });
        try {
            app(SendNotices::class)();
        } catch (RuntimeException) {
            $kill = false;
        }
        app(SendNotices::class)();
        self::assertCount(4, $sent, 'the one in hand is left to whoever had it');
        $this->travel(SendNotices::PATIENCE + 1)->seconds();
        app(SendNotices::class)();
        self::assertCount(5, $sent);
        self::assertSame($sent[1], $sent[4], 'the same mail, known by its id');
        self::assertCount(4, array_unique(array_column($sent, 0)));
        self::assertSame(4, Notice::query()->where('mail', MailState::Sent)->count());
    }

    public function test_a_mail_server_that_refuses_is_tried_again_and_then_shown(): void
    {
        $assignment = $this->agreed(1);
        Queue::fake();
        app(RunRelease::class)(app(SetRelease::class)($assignment, new ReleasePlan(Scope::all()), $this->coordinator));
        Mail::shouldReceive('to->send')->times(SendNotices::TRIES)->andThrow(new TransportException('550 no such box'));
        for ($n = 0; $n < SendNotices::TRIES + 1; $n++) {
            app(SendNotices::class)();
            $this->travel(2)->hours();
        }
        self::assertSame(MailState::Failed, Notice::query()->sole()->mail);
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertSee('1 mail could not be sent')->assertSee('550 no such box');
        $this->post(route('release.mail', $assignment))->assertSessionHas('said');
        self::assertSame(MailState::Waiting, Notice::query()->sole()->mail);
    }

    public function test_a_preview_shows_the_page_as_it_would_be_without_a_name(): void
    {
        $assignment = $this->agreed(1);
        $script = $this->script($assignment);
        $this->actingAs($this->coordinator)->get(route('release.preview', $script))->assertOk()->assertSee($script->code)
            ->assertSee('50.0')->assertSee('not released')->assertDontSee($this->students[0]->name);
        foreach ([$this->tutors[0], $this->students[0]] as $person) {
            $this->actingAs($person)->get(route('release.preview', $script))->assertForbidden();
        }
        $this->actingAs($this->coordinator);
        app(OpenSettled::class)($script, $this->coordinator, 'We had the wrong page.');
        $this->get(route('release.preview', $script))->assertNotFound();
    }

    /** Lets something happen when so many results are written, before they go out. */
    private function whenWritten(int $count, callable $then): void
    {
        $written = 0;
        PreparedResult::created(function () use (&$written, $count, $then): void {
            if (++$written === $count) {
                $then();
            }
        });
    }

    /** How many statements a run makes, undone again. */
    private function statements(Release $release): int
    {
        $count = 0;
        DB::listen(function () use (&$count): void {
            $count++;
        });
        DB::beginTransaction();
        app(RunRelease::class)($release);
        DB::rollBack();

        return $count;
    }
}
