<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\ChangeAllowance;
use App\Actions\Collect\ChangeExtension;
use App\Actions\Collect\SetGroups;
use App\Actions\Collect\TakeHandIn;
use App\Actions\Plan\SaveAssignment;
use App\Enums\HandInBy;
use App\Logbook\LogEvent;
use App\Mail\ExtensionGiven;
use App\Models\Allowance;
use App\Models\LogbookLine;
use App\Models\Membership;
use App\Models\Script;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * When each student's work is due: for everyone, by what they are always allowed, by an extension, in a group.
 */
final class DueTimesTest extends TestCase
{
    private const RULE = ['take' => 'points', 'amount' => '5', 'per' => 'day'];

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2027-01-11 09:00:00'); // a Monday
    }

    public function test_a_standing_allowance_holds_for_every_assignment_that_is_not_yet_due_and_is_explained(): void
    {
        $this->module();
        $past = $this->assignment(['due_at' => now()->addHour(), 'closes_at' => null]);
        Carbon::setTestNow(now()->addHours(2));
        $open = $this->assignment(
            ['due_at' => now()->addDays(3)->setTime(12, 0), 'closes_at' => now()->addDays(4)->setTime(12, 0)]
        );
        $this->allow(3, 25);
        self::assertTrue($this->script($past)->due_at?->equalTo($past->due_at), 'what was due before stays as it was');
        // Thursday and three days is Sunday: on to Monday.
        self::assertSame('2027-01-18 12:00', $this->script($open)->due_at?->format('Y-m-d H:i'));
        self::assertSame('2027-01-19 12:00', $this->script($open)->closes_at?->format('Y-m-d H:i'));
        self::assertTrue($this->script($open, 1)->due_at?->equalTo($open->due_at));
        $later = $this->assignment(
            ['title' => 'Later', 'due_at' => now()->addDays(8)->setTime(12, 0), 'closes_at' => null]
        );
        self::assertSame(
            '2027-01-22 12:00', $this->script($later)->due_at?->format('Y-m-d H:i'), 'and the next one by itself',
        );

        $this->actingAs($this->students[0])->get(route('hand-in.show', $open))->assertSee('Mon 18 Jan 2027 12:00')
            ->assertSee('this is your own due time')->assertSee('to the next day that is no weekend or closure day')
            ->assertSee("was set by {$this->coordinator->name}")->assertDontSee('Plan of September');
        $this->actingAs($this->students[1])->get(route('hand-in.show', $open))->assertDontSee('your own due time');
        $this->actingAs($this->coordinator)->get(route('members.show', $this->member0()))
            ->assertSee('3 extra days; 25 % extra time in timed assignments')->assertSee('Plan of September')
            ->assertSee($this->coordinator->name);
        $line = LogbookLine::query()->where('event', LogEvent::AllowanceGiven)->sole();
        self::assertStringNotContainsString('September', json_encode($line->details, JSON_THROW_ON_ERROR));
    }

    public function test_extra_time_is_a_share_of_a_timed_paper(): void
    {
        $this->module();
        app(ChangeAllowance::class)($this->member0(), 3, 25, 'Plan.', $this->coordinator);
        $timed = $this->assignment(['opens_at' => now()->addDay(), 'due_at' => now()->addDays(2), 'closes_at' => null]);
        self::assertSame('2027-01-13 15:00', $this->script($timed)->due_at?->format('Y-m-d H:i'));
    }

    public function test_an_allowance_is_replaced_and_ended_and_each_is_kept(): void
    {
        $this->module();
        $assignment = $this->assignment(['opens_at' => now()->subWeek(), 'due_at' => now()->addDays(2)]);
        $this->allow(1);
        $this->post(
            route('members.allowance', $this->member0()),
            ['extra_days' => 2, 'extra_percent' => 0, 'reason' => 'More.'],
        )->assertRedirect();
        self::assertSame('2027-01-15', $this->script($assignment)->due_at?->format('Y-m-d'));
        $this->post(
            route('members.allowance', $this->member0()), ['extra_days' => 0, 'extra_percent' => 0],
        )->assertRedirect();
        self::assertSame('2027-01-13', $this->script($assignment)->due_at?->format('Y-m-d'));
        self::assertSame(2, Allowance::query()->whereNotNull('ended_at')->count());
        $this->post(
            route('members.allowance', $this->member0()), ['extra_days' => 0, 'extra_percent' => 0],
        )->assertSessionHasErrors('extra_days');
        $this->post(
            route('members.allowance', $this->member0()), ['extra_days' => 2, 'extra_percent' => 0, 'reason' => ' '],
        )->assertSessionHasErrors('reason');
        $this->post(
            route('members.allowance', $this->member0()), ['extra_days' => 61, 'extra_percent' => 'x', 'reason' => 'r'],
        )->assertSessionHasErrors(['extra_days', 'extra_percent']);
    }

    public function test_an_extension_is_told_by_mail_makes_late_work_timely_and_stays_once_it_was_used(): void
    {
        Mail::fake();
        $this->module();
        $assignment = $this->assignment(
            ['due_at' => now()->addDay(), 'closes_at' => now()->addDays(5), 'late_rule' => self::RULE]
        );
        Carbon::setTestNow(now()->addDays(2));
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], 'A little late.');
        self::assertTrue($handin->late);
        $script = $this->script($assignment);
        $this->actingAs($this->coordinator)
            ->post(
                route('scripts.extension', $script), ['extension' => '2027-01-14T12:00', 'extension_reason' => 'Ill.'],
            )
            ->assertRedirect(route('members.show', $this->member0()));
        Mail::assertQueued(
            ExtensionGiven::class,
            fn (ExtensionGiven $mail) => $mail->hasTo($this->students[0]->email)
                && ! str_contains($mail->render(), 'Ill.') && str_contains($mail->render(), 'Thu 14 Jan 2027 12:00'),
        );
        self::assertFalse($handin->refresh()->late);
        self::assertSame(0, $script->refresh()->lateness()->elapsed());
        $this->post(route('scripts.extension', $script), ['take_back' => '1'])->assertSessionHasErrors('extension');
        self::assertFalse($handin->refresh()->late, 'nothing half done');
        $this->post(
            route('scripts.extension', $this->script($assignment, 1)),
            ['extension' => '2027-01-11T12:00', 'extension_reason' => 'No.'],
        )->assertSessionHasErrors('extension');
        $this->post(
            route('scripts.extension', $this->script($assignment, 1)), ['take_back' => '1'],
        )->assertSessionHasErrors('extension');
    }

    public function test_a_group_has_the_latest_time_of_its_members_and_nobody_is_told_whose(): void
    {
        $this->module(2, 3);
        $assignment = $this->assignment(['handin_by' => HandInBy::GroupOneMark, 'due_at' => now()->addDays(2)]);
        app(SetGroups::class)($assignment, [$this->students[0]->id => 'Red', $this->students[1]->id => 'Red'], 'list');
        app(ChangeExtension::class)($this->script($assignment, 1), now()->addDays(5), 'Ill.', $this->coordinator);
        self::assertSame(
            ['2027-01-16', '2027-01-16', '2027-01-13'],
            array_map(fn (int $n) => $this->script($assignment, $n)->due_at?->format('Y-m-d'), [0, 1, 2]),
        );
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))
            ->assertSee('the latest of its members’ times')->assertDontSee('Extension');
        app(SetGroups::class)($assignment, [], 'list');
        self::assertSame('2027-01-13', $this->script($assignment)->due_at?->format('Y-m-d'));
    }

    public function test_a_later_due_time_for_everyone_and_closure_days_move_each_students(): void
    {
        $this->module();
        app(ChangeAllowance::class)($this->member0(), 1, 0, 'Plan.', $this->coordinator);
        $assignment = $this->assignment(
            ['opens_at' => now()->subWeek(), 'due_at' => now()->addDays(2)->setTime(12, 0)]
        );
        self::assertSame('2027-01-14', $this->script($assignment)->due_at?->format('Y-m-d'));
        $this->actingAs($this->coordinator)
            ->post(route('closure-days.store', $this->module), ['lines' => "2027-01-14 to 2027-01-15 Storm\n"])
            ->assertSessionHasNoErrors();
        self::assertSame(
            '2027-01-18', $this->script($assignment)->due_at?->format('Y-m-d'), 'past the closure and the weekend',
        );
        foreach (['tomorrow', '2027-02-30', '2027-01-15 to 2027-01-10', '2027-01-01 to 2027-12-31'] as $bad) {
            $this->post(route('closure-days.store', $this->module), ['lines' => $bad])->assertSessionHasErrors('lines');
        }
        app(SaveAssignment::class)(
            $this->module, $assignment->refresh(),
            ['due_at' => now()->addDays(8)->setTime(12, 0), 'closes_at' => null], $assignment->lock_version,
        );
        self::assertSame('2027-01-20', $this->script($assignment)->due_at?->format('Y-m-d'));
    }

    public function test_the_second_before_and_after_the_due_time_over_a_change_of_the_clocks(): void
    {
        $this->module();
        Carbon::setTestNow('2027-03-20 09:00:00');
        // 02:30 does not exist that night; due at 03:30 summer time is 02:30 UTC.
        $assignment = $this->assignment(
            ['due_at' => Carbon::parse('2027-03-28 02:30:00', 'UTC'), 'closes_at' => null, 'late_rule' => self::RULE]
        );
        Carbon::setTestNow('2027-03-28 02:29:59');
        self::assertFalse(app(TakeHandIn::class)($assignment, $this->students[0], 'In time.')->late);
        Carbon::setTestNow('2027-03-28 02:30:00');
        self::assertFalse(app(TakeHandIn::class)($assignment, $this->students[1], 'On the second.')->late);
        Carbon::setTestNow('2027-03-28 02:30:01');
        self::assertTrue(app(TakeHandIn::class)($assignment, $this->students[2], 'A second late.')->late);
        $this->actingAs($this->students[2])->get(route('hand-in.show', $assignment))
            ->assertSee('Sun 28 Mar 2027 03:30');
    }

    public function test_lateness_is_waived_with_a_reason_and_costs_nothing_then(): void
    {
        $this->module();
        $assignment = $this->assignment(
            ['due_at' => now()->addDay(), 'closes_at' => now()->addDays(5), 'late_rule' => self::RULE]
        );
        Carbon::setTestNow(now()->addDay()->addHours(30));
        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(60, 1));
        $script = $this->script($assignment);
        $this->actingAs($this->coordinator);
        $this->get(route('members.show', $this->member0()))->assertSee('2 started days × 5 marks');
        $this->post(route('scripts.waiver', $script), ['waiver' => ' '])->assertSessionHasErrors('waiver');
        $this->post(
            route('scripts.waiver', $this->script($assignment, 1)), ['waiver' => 'x'],
        )->assertSessionHasErrors('waiver');
        $this->post(
            route('scripts.waiver', $script), ['waiver' => 'The network was down.'],
        )->assertSessionHasNoErrors();
        self::assertTrue($script->refresh()->lateness()->waived);
        $this->get(route('members.show', $this->member0()))->assertSee('The network was down.');
        $this->post(route('scripts.waiver', $script), ['take_back' => '1'])->assertSessionHasNoErrors();
        self::assertFalse($script->refresh()->lateness()->waived);
        self::assertSame(
            [LogEvent::LatenessWaived, LogEvent::WaiverTakenBack],
            LogbookLine::query()->where('event', 'like', '%waive%')->orderBy('number')->get()->pluck('event')->all(),
        );
    }

    public function test_markers_see_nothing_of_extensions_allowances_and_lateness(): void
    {
        $this->module(2, 3);
        app(ChangeAllowance::class)($this->member0(), 2, 0, 'Plan.', $this->coordinator);
        $assignment = $this->assignment(
            ['due_at' => now()->addDay(), 'closes_at' => now()->addDays(9), 'late_rule' => self::RULE]
        );
        app(ChangeExtension::class)($this->script($assignment, 1), now()->addDays(4), 'Ill.', $this->coordinator);
        Carbon::setTestNow(now()->addDay()->addHour());
        foreach ($this->students as $n => $student) {
            app(TakeHandIn::class)($assignment, $student, $this->prose(60, $n));
        }
        Carbon::setTestNow(now()->addDays(5));
        $this->shareOut($assignment);
        $seen = [];
        foreach (Script::query()->where('assignment_id', $assignment->id)->get() as $script) {
            $mark = $this->markOf($script, Seat::First);
            $this->finishBoth($script);
            foreach (
                [
                    route('mark.desk', $mark), route('mark.index', $assignment), route('moderate.index', $assignment),
                    route('moderate.show', $script), route('screen.show', $script),
                ] as $address
            ) {
                $page = strip_tags((string) $this->actingAs($mark->marker)->get($address)->assertOk()->getContent());
                foreach (
                    ['late', 'Late', 'extension', 'Extension', 'allowance', 'more time', 'waived', 'attempt'] as $word
                ) {
                    self::assertDoesNotMatchRegularExpression("/\\b{$word}\\b/", $page, "{$word} on {$address}");
                }
                $seen[$address] = true;
            }
        }
        self::assertGreaterThan(10, count($seen));
    }

    public function test_the_original_opens_for_the_coordinator_with_a_reason_and_that_is_logged(): void
    {
        $this->module();
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], 'By '.$this->students[0]->name.' herself.');
        $script = $this->script($assignment);
        $this->actingAs($this->coordinator)->post(route('scripts.original', $script), ['original_reason' => ''])
            ->assertSessionHasErrors('original_reason');
        $this->post(
            route('scripts.original', $this->script($assignment, 1)), ['original_reason' => 'x'],
        )->assertSessionHasErrors('original_reason');
        self::assertSame(
            'By '.$this->students[0]->name.' herself.',
            $this->post(route('scripts.original', $script), ['original_reason' => 'A file that markers cannot read.'])
                ->assertOk()->streamedContent(),
        );
        self::assertSame(
            'A file that markers cannot read.',
            LogbookLine::query()->where('event', LogEvent::OriginalOpened)->sole()->text('reason'),
        );
    }

    /** Gives the first student an allowance through the page, as the coordinator. */
    private function allow(int $days, int $percent = 0): void
    {
        $this->actingAs($this->coordinator)
            ->post(
                route('members.allowance', $this->member0()),
                ['extra_days' => $days, 'extra_percent' => $percent, 'reason' => 'Plan of September.'],
            )
            ->assertSessionHasNoErrors();
    }

    private function member0(): Membership
    {
        return Membership::query()->where('module_id', $this->module->id)->where('user_id', $this->students[0]->id)
            ->sole();
    }

    public function test_extra_time_counts_from_when_an_assignment_was_opened_when_no_time_is_given_for_it(): void
    {
        $this->module();
        app(ChangeAllowance::class)($this->member0(), 0, 25, 'Plan.', $this->coordinator);
        $assignment = $this->assignment(['due_at' => now()->addHours(8), 'closes_at' => now()->addDay()]);
        self::assertSame('2027-01-11 09:00', $assignment->opens_at?->format('Y-m-d H:i'));
        self::assertSame(
            '2027-01-11 19:00', $this->script($assignment)->due_at?->format('Y-m-d H:i'),
            'a quarter of eight hours more',
        );
    }
}
