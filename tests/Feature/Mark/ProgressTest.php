<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Actions\Mark\SaveChoice;
use App\Desk\DeskQueue;
use App\Logbook\LogEvent;
use App\Mail\FromCoordinator;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\Membership;
use App\Queries\Mark\MarkerProgress;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use YoungHarbor\Core\Allocation\Pace;
use YoungHarbor\Core\Marking\Seat;

final class ProgressTest extends TestCase
{
    /**
     * Worked by hand: scripts a day so far beside scripts a day that are left, the day itself counted in both.
     */
    #[DataProvider('paces')]
    public function test_the_pace_is_held_against_the_promised_date(
        int $given, int $done, int $days, ?int $left, Pace $pace,
    ): void {
        self::assertSame($pace, Pace::of($given, $done, $days, $left));
    }

    /**
     * @return array<string, array{int, int, int, int|null, Pace}>
     */
    public static function paces(): array
    {
        return [
            '10 in 2 days, 20 in 4' => [30, 10, 2, 3, Pace::InTime],
            '10 in 2 days, 21 in 4' => [31, 10, 2, 3, Pace::Behind],
            'all today' => [5, 1, 1, 0, Pace::Behind], 'the last today' => [5, 4, 2, 0, Pace::InTime],
            'none yet' => [5, 0, 0, 9, Pace::NotBegun], 'done' => [5, 5, 3, -2, Pace::Done],
            'over' => [5, 4, 3, -1, Pace::Past], 'no date' => [5, 1, 1, null, Pace::Open],
        ];
    }

    public function test_given_begun_done_and_the_median_of_minutes_at_the_desk(): void
    {
        $this->module(2, 6);
        $assignment = $this->sharedOut(
            $this->assignment(['scheme' => $this->oneMark(), 'promised_on' => now()->addDays(9)->toDateString()])
        );
        $mine = Mark::query()->where('marker_id', $this->tutors[0]->id)->orderBy('id')->get();
        foreach ([300, 1260, 480] as $n => $seconds) {
            $n < 2 ? $this->finish($mine[$n], 'l2', 'l2') : app(SaveChoice::class)($mine[$n], 'c1', ['level' => 'l1']);
            Mark::query()->whereKey($mine[$n]->id)->update(['seconds' => $seconds]);
        }
        $row = app(MarkerProgress::class)->of($assignment)->firstWhere('name', $this->tutors[0]->name);
        self::assertSame(
            [3, 1, 2, 13.0, Pace::InTime],
            [$row['given'] ?? 0, $row['begun'] ?? 0, $row['done'] ?? 0, $row['minutes'] ?? 0, $row['pace'] ?? null],
            'the median of 5 and 21 minutes; what is not done does not count',
        );
        $this->actingAs($this->coordinator)->get(route('mark.index', $assignment))->assertOk()
            ->assertSee('in time at this pace')->assertSee('nothing done yet');
        $this->actingAs($this->tutors[1])->get(route('mark.index', $assignment))->assertOk()
            ->assertDontSee('How far is everyone')->assertDontSee($this->tutors[0]->name);
    }

    public function test_a_reminder_goes_to_those_who_have_something_left_with_their_own_number(): void
    {
        Mail::fake();
        $this->module(2, 4);
        $assignment = $this->sharedOut(
            $this->assignment(['scheme' => $this->oneMark(), 'promised_on' => now()->addDays(9)->toDateString()])
        );
        foreach (Mark::query()->where('marker_id', $this->tutors[0]->id)->get() as $mark) {
            $this->finish($mark, 'l2', 'l2');
        }
        $to = [$this->tutors[0]->public_id, $this->tutors[1]->public_id, $this->students[0]->public_id];
        $this->actingAs($this->coordinator)
            ->post(
                route('mark.remind', $assignment),
                ['to' => $to, 'body' => 'Dear {name}, {open} of {assignment}. {nobody}'],
            )
            ->assertSessionHasErrors('body');
        $this->post(
            route('mark.remind', $assignment), ['to' => $to, 'body' => 'Dear {name}, {open} left.'],
        )->assertSessionHas('said', 'One marker was written to.');
        Mail::assertQueued(
            FromCoordinator::class,
            fn (FromCoordinator $mail) => $mail->hasTo($this->tutors[1]->email)
                && $mail->text === "Dear {$this->tutors[1]->name}, 2 scripts left.",
        );
        Mail::assertQueued(FromCoordinator::class, 1);
        self::assertSame(1, LogbookLine::query()->where('event', LogEvent::MarkersReminded)->count());
        $this->post(
            route('mark.remind', $assignment), ['to' => [$this->tutors[0]->public_id], 'body' => 'x'],
        )->assertSessionHasErrors('refused');
    }

    public function test_a_queue_is_filtered_and_ordered_and_its_steps_stay_within_the_filter(): void
    {
        $this->module(2, 8);
        foreach ($this->students as $n => $student) {
            Membership::query()->where('user_id', $student->id)->update(['section' => $n % 2 === 0 ? 'A' : 'B']);
        }
        $assignment = $this->sharedOut($this->assignment());
        $tutor = $this->tutors[0];
        $mine = Mark::query()->where('marker_id', $tutor->id)->orderByRaw(DeskQueue::order(''))->get();
        $this->finish($mine[0], 'l2', 'l2');
        app(SaveChoice::class)($mine[5], 'c1', ['level' => 'l1']);
        $this->actingAs($tutor)->post(route('mark.aside', $mine[1]), ['reason' => 'Two pages are missing.'])
            ->assertSessionHas('said', "{$mine[1]->script->code} is set aside.");
        $this->post(route('mark.aside', $mine[0]), ['reason' => 'x'])->assertSessionHasErrors('refused');
        $this->get(route('mark.index', [$assignment, 'show' => 'aside']))->assertOk()
            ->assertSee('set aside: Two pages are missing.')->assertSee($mine[1]->script->code)
            ->assertDontSee($mine[2]->script->code);
        $needs = app(DeskQueue::class)->queue($assignment->id, $tutor->id, [])->orderByRaw(DeskQueue::order('need'))
            ->pluck('id')->all();
        self::assertSame(
            [$mine[5]->id, $mine[1]->id, $mine[0]->id], [$needs[0], $needs[6], $needs[7]],
            'begun first, set aside behind what is not begun, done last',
        );

        $section = ['section' => 'B'];
        $inB = $mine->filter(
            fn (Mark $mark) => Membership::query()->where('user_id', $mark->script->student_id)
                ->value('section') === 'B'
        )->values();
        $around = app(DeskQueue::class)->around($inB[1], $section);
        self::assertSame(
            [2, $inB->count(), $inB[0]->public_id, $inB[2]->public_id],
            [$around['place'], $around['all'], $around['previous'], $around['next']],
        );
        $page = $this->get(route('mark.desk', [$inB[1], ...$section]))->assertOk();
        $page->assertSee(e(route('mark.desk', [$inB[2], ...$section])), false);
        // What is set aside comes last of all when one goes on.
        self::assertNotSame($mine[1]->id, app(DeskQueue::class)->nextOpen($mine[0])?->id);
        Mark::query()->whereKey($mine[5]->id)->update(['touched_at' => now()]);
        self::assertSame($mine[5]->id, app(DeskQueue::class)->resume($assignment, $tutor)?->id);
    }

    public function test_another_attempt_can_be_looked_at_and_the_one_that_counts_is_marked(): void
    {
        $this->module(2, 1);
        $assignment = $this->assignment();
        app(\App\Actions\Collect\TakeHandIn::class)($assignment, $this->students[0], 'The first attempt of mine.');
        app(\App\Actions\Collect\TakeHandIn::class)($assignment, $this->students[0], 'The second one, better.');
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertSee('attempt 2 of 2')
            ->assertSee('The second one, better.')->assertDontSee('The first attempt of mine.');
        $this->get(route('mark.desk', [$mark, 'attempt' => 1]))->assertOk()->assertSee('The first attempt of mine.')
            ->assertSee('which does not count');
        $this->get(route('mark.desk', [$mark, 'attempt' => 7]))->assertNotFound();
    }

    public function test_what_was_declared_is_at_hand_without_its_authors_name(): void
    {
        $this->module(2, 1);
        $assignment = $this->assignment(
            ['declaration' => [['id' => 'people', 'kind' => 'words', 'label' => 'Who helped', 'required' => true]]]
        );
        app(\App\Actions\Collect\TakeHandIn::class)(
            $assignment, $this->students[0], 'An essay.',
            [['label' => 'Who helped', 'answer' => "Nobody. {$this->students[0]->name}"]],
        );
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertSee('Who helped')
            ->assertSee('Nobody.')->assertDontSee($this->students[0]->name);
    }

    public function test_the_last_ten_on_a_criterion_are_at_hand(): void
    {
        $this->module(1, 13);
        $this->sharedOut($this->assignment(['scheme' => $this->oneMark()]));
        $mine = Mark::query()->orderBy('id')->get();
        foreach ($mine->slice(0, 12) as $n => $mark) {
            Carbon::setTestNow(now()->addMinutes(5));
            app(SaveChoice::class)($mark, 'c1', ['level' => 'l2', 'comment' => "Comment number {$n}."]);
        }
        app(SaveChoice::class)($mine[11], 'c2', ['level' => 'l2']);
        $page = $this->actingAs($this->tutors[0])->get(route('mark.lately', [$mine[12], 'c1']))->assertOk();
        $page->assertSeeInOrder([$mine[11]->script->code, $mine[10]->script->code, $mine[2]->script->code])
            ->assertDontSee($mine[1]->script->code)->assertSee('Comment number 5.');
        $this->get(route('mark.lately', [$mine[12], 'c2']))->assertSee($mine[11]->script->code)
            ->assertDontSee($mine[10]->script->code);
        $this->get(route('mark.lately', [$mine[12], 'none']))->assertNotFound();
    }

    public function test_keys_are_changed_switched_off_and_never_two_the_same(): void
    {
        $this->module();
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $this->actingAs($mark->marker)->putJson(route('mark.settings'), ['keys' => ['comment' => 'x', 'next' => 'x']])
            ->assertStatus(422)->assertJsonPath('message', 'Two commands have the same key: x. Nothing was changed.');
        $this->putJson(
            route('mark.settings'), ['keys' => ['comment' => 'x', 'next' => '', 'none' => 'q'], 'side' => 500],
        )->assertNoContent();
        self::assertSame(
            ['x', '', 'p'],
            [
                \App\Desk\DeskKeys::of($mark->marker->refresh())['comment'],
                \App\Desk\DeskKeys::of($mark->marker)['next'], \App\Desk\DeskKeys::of($mark->marker)['previous'],
            ],
        );
        $this->putJson(route('mark.settings'), ['keys' => ['comment' => 'xy']])->assertStatus(422);
        $this->get(route('mark.desk', $mark))->assertOk();
    }
}
