<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Moderate\ProposeMark;
use App\Actions\Release\ReleaseResults;
use App\Enums\Role;
use App\Models\Mark;
use App\Models\Result;
use App\Queries\Today;
use App\Queries\TodayItem;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Seat;

final class TodayTest extends TestCase
{
    /**
     * @return list<string> what is on a person's Today, those that wait for them with a star
     */
    private function today(\App\Models\User $person): array
    {
        $items = app(Today::class)->of($person->fresh(['memberships']) ?? $person);

        return array_map(fn (TodayItem $item) => ($item->needsYou ? '* ' : '').$item->what, $items);
    }

    public function test_a_coordinators_day_follows_the_assignment_through_its_stages(): void
    {
        $this->module();
        $this->actingAs($this->coordinator);
        self::assertSame([], $this->today($this->coordinator));

        $assignment = $this->assignment();
        self::assertSame(['0 of 3 handed in'], $this->today($this->coordinator));

        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(20, 1));
        self::assertSame(['1 of 3 handed in'], $this->today($this->coordinator));

        Carbon::setTestNow(now()->addDays(2));
        self::assertSame(['* 1 script is not shared out'], $this->today($this->coordinator));

        $this->shareOut($assignment);
        self::assertSame(['0 first and 0 second marks of 1 are in'], $this->today($this->coordinator));

        $this->finish($this->markOf($this->script($assignment), Seat::First), 'l3', 'l3');
        $this->finish($this->markOf($this->script($assignment), Seat::Second), 'l2', 'l2');
        self::assertSame(['1 script waits to be settled by its two markers'], $this->today($this->coordinator));

        app(ProposeMark::class)($this->script($assignment), $this->tutors[0], MarkOffer::total(
            '70', Feedback::usual(), 'Somewhere between the two.',
        ));
        $proposal = $this->script($assignment)->proposals()->sole();
        app(\App\Actions\Moderate\AcceptProposal::class)($this->script($assignment), $proposal->id, $this->tutors[1]);
        self::assertSame(['* 1 result is ready to release'], $this->today($this->coordinator));

        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertSame(
            ['Everything is released; names are still hidden from markers'],
            $this->today($this->coordinator),
        );
    }

    public function test_a_marker_is_told_what_to_mark_and_what_to_settle_when_it_is_their_turn(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $script = $this->script($assignment);
        $first = $this->markOf($script, Seat::First);
        $second = $this->markOf($script, Seat::Second);
        self::assertSame(['* 3 scripts to mark'], $this->today($first->marker));

        $this->finish($first, 'l3', 'l3');
        self::assertSame(['* 2 scripts to mark'], $this->today($first->marker));
        $this->finish($second, 'l1', 'l1');
        self::assertContains("* {$script->code} to settle with the other marker", $this->today($first->marker));

        app(ProposeMark::class)($script, $first->marker, MarkOffer::total(
            '50', Feedback::usual(), 'Half-way between our two readings.',
        ));
        self::assertNotContains("* {$script->code} to settle with the other marker", $this->today($first->marker));
        self::assertContains("* {$script->code} to settle with the other marker", $this->today($second->marker));
    }

    public function test_a_student_is_told_of_what_is_due_and_of_results(): void
    {
        $this->module();
        $assignment = $this->assignment();
        self::assertSame(['* Not handed in yet'], $this->today($this->students[0]));

        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(20, 1));
        self::assertStringStartsWith('Handed in, ', $this->today($this->students[0])[0]);

        Carbon::setTestNow(now()->addDays(2));
        self::assertSame(['* Not handed in; the due time has passed'], $this->today($this->students[1]));

        $this->shareOut($assignment);
        $this->finishBoth($this->script($assignment));
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertSame(['* Your result is here'], $this->today($this->students[0]));

        $this->actingAs($this->students[0])->get(route('results.show', Result::query()->sole()));
        self::assertSame(['Your result'], $this->today($this->students[0]));
    }

    public function test_what_waits_for_the_person_stands_first_and_by_its_date(): void
    {
        $this->module();
        $this->assignment(['title' => 'Later', 'due_at' => now()->addDays(9), 'closes_at' => null]);
        $this->assignment(['title' => 'Sooner', 'due_at' => now()->addDays(2), 'closes_at' => null]);
        $titles = array_map(
            fn (TodayItem $item) => $item->about->title,
            app(Today::class)->of($this->students[0]->load('memberships')),
        );
        self::assertSame(['Sooner', 'Later'], $titles);
    }

    public function test_the_page_asks_the_database_no_more_with_ten_assignments_than_with_one(): void
    {
        $this->module(2, 2);
        $queries = [];
        foreach ([1, 10] as $many) {
            while (\App\Models\Assignment::query()->count() < $many) {
                $this->assignment();
            }
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->actingAs($this->coordinator->fresh() ?? $this->coordinator)->get(route('today'))->assertOk();
            $queries[] = count(DB::getQueryLog());
            DB::disableQueryLog();
        }
        self::assertSame($queries[0], $queries[1]);
    }

    public function test_a_held_script_is_not_on_a_markers_list(): void
    {
        $this->module(2, 1);
        $assignment = $this->sharedOut($this->assignment());
        $this->script($assignment)->update(['held_reason' => 'A talk is arranged.']);
        self::assertSame([], $this->today($this->tutors[0]));
        self::assertSame(2, Mark::query()->count());
    }

    public function test_an_examiner_finds_what_they_may_look_into(): void
    {
        $this->module(2, 2);
        $examiner = $this->member(Role::Examiner);
        $assignment = $this->assignment();
        $this->actingAs($examiner)->get('/')->assertSee('Nothing here yet')
            ->assertSee('once its scripts are with markers');
        $this->sharedOut($assignment);
        $this->get('/')->assertSee('0 of 2 scripts have an agreed mark, 0 are released')
            ->assertSee(route('moderate.index', $assignment))->assertDontSee('Waiting for you');
        $this->get(route('moderate.index', $assignment))->assertOk()->assertDontSee('Settle');
    }
}
