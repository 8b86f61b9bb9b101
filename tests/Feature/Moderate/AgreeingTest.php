<?php

declare(strict_types=1);

namespace Tests\Feature\Moderate;

use App\Actions\Mark\FinishMark;
use App\Actions\Moderate\DealWithOverdue;
use App\Actions\Release\ReleaseResults;
use App\Exceptions\Refused;
use App\Mail\SettleOverdue;
use App\Models\Conflict;
use App\Models\Proposal;
use App\Models\Result;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SecondView;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\Standing;

/**
 * Two who do not agree: criterion by criterion, with a third, by a coordinator, and what their student then reads.
 */
final class AgreeingTest extends TestCase
{
    private User $first;

    private User $second;

    /** Marks of 80 and 50: 60 × 10/10 + 40 × 5/10 against 60 × 5/10 + 40 × 5/10. */
    private function apart(array $scheme = [], int $tutors = 4): Script
    {
        $this->module($tutors);
        $script = $this->script($this->sharedOut($this->assignment(['scheme' => $this->scheme($scheme)])));
        $this->finish($this->markOf($script, Seat::First), 'l3', 'l2');
        $this->finish($this->markOf($script, Seat::Second), 'l2', 'l2');
        $this->first = $this->markOf($script, Seat::First)->marker;
        $this->second = $this->markOf($script, Seat::Second)->marker;

        return $script->refresh();
    }

    /**
     * @return array<string, mixed>
     */
    private function byCriterion(string $first = 'l3', string $second = 'l1'): array
    {
        return [
            'how' => 'criteria', 'reason' => 'We set both criteria anew, together.', 'from' => ['first', 'second'],
            'criteria' => [
                'c1' => ['stop' => $first, 'comment' => 'Strong where it argues.'], 'c2' => ['stop' => $second],
            ],
        ];
    }

    public function test_the_page_says_where_the_difference_comes_from_and_the_parts_add_up(): void
    {
        $script = $this->apart();
        $this->actingAs($this->first)->get(route('moderate.show', $script))->assertOk()
            ->assertSeeInOrder(
                [
                    'Where the difference comes from', 'Argument', '+30', '60', '30', 'Evidence', '0', '20', '20',
                    'Together', '+30',
                ]
            )
            ->assertSee('to settle')->assertSee('Propose an agreed mark');
    }

    public function test_agreed_criterion_by_criterion_the_levels_a_student_reads_add_up_to_the_mark(): void
    {
        $script = $this->apart();
        $this->actingAs($this->first)->post(route('moderate.propose', $script), $this->byCriterion())
            ->assertSessionHasNoErrors();
        $proposal = Proposal::query()->sole();
        self::assertSame('60', $proposal->shownMark());
        $this->actingAs($this->second)->get(route('moderate.show', $script))->assertSee('Accept 60')
            ->assertSee('The student reads the comments of: first mark, second mark.');
        $this->post(route('moderate.accept', $script), ['proposal' => $proposal->id])->assertSessionHasNoErrors();
        $settlement = Settlement::query()->sole();
        self::assertSame(['60', SettledBy::Agreement], [$settlement->mark, $settlement->settled_by]);
        self::assertSame(
            ['First mark', 'Second mark', 'Agreed by both markers, criterion by criterion'],
            array_column($settlement->working, 'what'),
        );
        app(ReleaseResults::class)($script->assignment, [$script->code], $this->coordinator);
        $document = Result::query()->sole()->document;
        self::assertSame('60.0', $document['mark']);
        self::assertSame('agreed', $document['levels_of']);
        $reached = array_map(
            fn (array $criterion) => collect($criterion['levels'])->firstWhere('reached', true)['title'],
            $document['criteria'],
        );
        self::assertSame(['High', 'Low'], $reached);
        self::assertSame(['Strong where it argues.', ''], array_column($document['criteria'], 'comment'));
        $this->actingAs($this->students[0])->get(route('results.show', Result::query()->sole()))
            ->assertSee('The levels here are those they agreed on, and the mark is their total.')
            ->assertSee('First mark')->assertSee('80.0')->assertSee('50.0');
    }

    public function test_a_mark_by_criterion_needs_every_criterion_and_a_total_none(): void
    {
        $script = $this->apart();
        $half = $this->byCriterion();
        unset($half['criteria']['c2']);
        $this->actingAs($this->first)->post(route('moderate.propose', $script), $half)
            ->assertSessionHasErrors(
                ['criteria' => 'Evidence has no mark yet: an agreed mark needs one on every criterion.']
            );
        $this->post(
            route('moderate.propose', $script), ['how' => 'criteria', 'criteria' => ['c1' => ['stop' => 'l9']]] + $half,
        )
            ->assertSessionHasErrors('criteria');
        $this->post(route('moderate.propose', $script), ['how' => 'total', 'reason' => 'A reason that is long enough.'])
            ->assertSessionHasErrors('mark');
        $this->post(route('moderate.propose', $script), ['from' => ['peer']] + $half)->assertSessionHasErrors('from.0');
        self::assertSame(0, Proposal::query()->count());
    }

    public function test_a_preview_shows_what_the_student_would_see_and_changes_nothing(): void
    {
        $script = $this->apart();
        $this->actingAs($this->first)->post(
            route('moderate.preview', $script),
            ['own_general' => '1', 'general' => 'We both liked it.', 'reason' => ''] + $this->byCriterion(),
            ['HX-Request' => 'true'],
        )->assertOk()->assertSee('60')->assertSee('We both liked it.')->assertSee('Strong where it argues.')
            ->assertDontSee('<html', false);
        $half = $this->byCriterion();
        unset($half['criteria']['c1']);
        $this->post(route('moderate.preview', $script), $half, ['HX-Request' => 'true'])
            ->assertSee('Argument has no mark yet');
        self::assertSame([0, 0], [Proposal::query()->count(), Settlement::query()->count()]);
        self::assertSame(Standing::ToSettle, $script->refresh()->standing);
    }

    public function test_a_preview_tells_markers_nothing_of_when_work_came_in(): void
    {
        $script = $this->apart();
        $script->assignment->update([
            'late_rule' => ['take' => 'points', 'amount' => '10', 'per' => 'day', 'grace_minutes' => 0, 'floor' => '0'],
        ]);
        $script->currentHandin?->forceFill(['received_at' => now()->addDay(), 'late' => true])->save();
        $script->update(['late' => true, 'received_at' => now()->addDay()]);
        $page = (string) $this->actingAs($this->first)->post(
            route('moderate.preview', $script), $this->byCriterion(), ['HX-Request' => 'true'],
        )->assertOk()->assertSee('60')->getContent();
        self::assertDoesNotMatchRegularExpression('/\blate:|handed in late|day late|h late|Late</', $page);
        $this->get(route('moderate.show', $script))->assertDontSee('handed in late')->assertDontSee('days late');
    }

    public function test_a_third_is_chosen_by_the_planner_never_one_of_the_two_nor_with_a_conflict_and_decides(): void
    {
        $script = $this->apart();
        $others = collect($this->tutors)->reject(
            fn (User $one) => in_array($one->id, [$this->first->id, $this->second->id], true)
        )
            ->values();
        Conflict::factory()->create([
            'module_id' => $this->module->id, 'marker_id' => $others[0]->id, 'student_id' => $script->student_id,
            'made_by' => $this->coordinator->id,
        ]);
        $this->actingAs($this->second)->post(
            route('moderate.third', $script), ['view' => 'open', 'why' => 'The sources.'],
        )
            ->assertSessionHasNoErrors();
        $third = $this->markOf($script, Seat::Third);
        self::assertSame([$others[1]->id, SecondView::Open], [$third->marker_id, $third->view]);
        self::assertSame(Standing::WithThirdMarker, $script->refresh()->standing);
        // Asked again, by the other marker in the same minute.
        $this->actingAs($this->first)->post(route('moderate.third', $script), ['view' => 'blind'])
            ->assertSessionHasErrors('refused');
        $this->post(route('moderate.propose', $script), ['mark' => '60', 'reason' => 'Half-way between us two.'])
            ->assertSessionHasErrors(
                ['refused' => 'A third marker has this script now. It can be settled once that mark is done.'],
            );
        $this->get(route('moderate.show', $script))->assertOk()->assertSee('with a third marker');
        // The third sees both marks at the desk, and says why.
        $this->actingAs($third->marker)->get(route('mark.desk', $third))->assertOk()
            ->assertSee('Comment of the first marker.')->assertSee('Comment of the second marker.')
            ->assertSee('Why it should be this mark');
        try {
            $this->finish($third, 'l3', 'l3');
            self::fail('A third who decides says why.');
        } catch (Refused $e) {
            self::assertStringContainsString('your mark decides, so say why', $e->getMessage());
        }
        $this->put(route('mark.comment', $third), ['reason' => 'Both read past the last page, which carries it.']);
        app(FinishMark::class)($third->refresh());
        $settlement = Settlement::query()->sole();
        self::assertSame(['100', SettledBy::Third], [$settlement->mark, $settlement->settled_by]);
        self::assertStringContainsString('Both read past the last page', $settlement->working[3]['how']);
        app(ReleaseResults::class)($script->assignment, [$script->code], $this->coordinator);
        $document = Result::query()->sole()->document;
        self::assertSame(['third', '100.0'], [$document['levels_of'], $document['mark']]);
        self::assertSame('Comment of the third marker.', $document['criteria'][0]['comment']);
    }

    public function test_a_blind_third_sees_nothing_and_two_closest_settle(): void
    {
        $script = $this->apart(['third_rule' => 'two-closest', 'tolerance' => '10']);
        $this->actingAs($this->first)->post(route('moderate.third', $script), ['view' => 'blind']);
        $third = $this->markOf($script, Seat::Third);
        $this->actingAs($third->marker)->get(route('mark.desk', $third))->assertOk()
            ->assertDontSee('Comment of the first marker.')->assertDontSee($this->first->name)->assertDontSee('80.0');
        $this->get(route('moderate.show', $script))->assertForbidden();
        $this->finish($third, 'l3', 'l1'); // 60: ten from 50, twenty from 80
        self::assertSame(['55', SettledBy::Rule], [
            Settlement::query()->sole()->mark, Settlement::query()->sole()->settled_by,
        ]);
    }

    public function test_a_third_mark_is_handed_over_with_its_view_and_no_plan_moves_it(): void
    {
        $script = $this->apart([], 5);
        $this->actingAs($this->first)->post(route('moderate.third', $script), ['view' => 'open']);
        $third = $this->markOf($script, Seat::Third);
        $this->actingAs($this->coordinator)->post(route('share-out.plan', $script->assignment), [
            'seed' => 9, 'even_out' => '1', 'markers' => array_map(fn (User $one) => $one->public_id, $this->tutors),
        ])->assertSessionHasNoErrors();
        $plan = \App\Models\AllocationPlan::query()->where('state', 'draft')->sole();
        self::assertNotContains('third', array_column($plan->entries, 'part'));
        $free = collect($this->tutors)->firstOrFail(
            fn (User $one) => ! in_array($one->id, [$this->first->id, $this->second->id, $third->marker_id], true),
        );
        $this->get(route('moderate.show', $script))->assertSee('Give the third mark to someone else')
            ->assertSee($free->name);
        $this->post(route('share-out.hand-over', $script->assignment), [
            'script' => $script->code, 'part' => 'third', 'to' => $free->public_id, 'reason' => 'Ill since Monday.',
        ])->assertSessionHasNoErrors();
        $new = $this->markOf($script, Seat::Third);
        self::assertSame([$free->id, SecondView::Open], [$new->marker_id, $new->view]);
        $this->actingAs($third->marker)->get(route('mark.desk', $third))->assertNotFound();
    }

    public function test_where_nobody_can_be_third_that_is_said_and_nothing_changes(): void
    {
        $script = $this->apart([], 2);
        $this->actingAs($this->first)->post(route('moderate.third', $script), ['view' => 'open'])
            ->assertSessionHasErrors('refused');
        self::assertSame(Standing::ToSettle, $script->refresh()->standing);
    }

    public function test_a_coordinator_who_marked_neither_decides_and_one_who_marked_does_not(): void
    {
        $script = $this->apart();
        $offer = ['mark' => '66', 'reason' => 'Read twice; the rubric says so.'];
        $this->actingAs($this->first)->post(route('moderate.decide', $script), $offer)->assertForbidden();
        $this->actingAs($this->coordinator)->get(route('moderate.show', $script))->assertSee('as the last resort');
        $this->post(route('moderate.decide', $script), $offer)->assertSessionHasNoErrors();
        $settlement = Settlement::query()->sole();
        self::assertSame(
            ['66', SettledBy::Coordinator, $this->coordinator->id],
            [$settlement->mark, $settlement->settled_by, $settlement->decided_by],
        );
        $this->post(route('moderate.decide', $script), $offer)->assertSessionHasErrors('refused');
        $other = $this->script($script->assignment, 1);
        $this->markOf($other, Seat::First)->update(['marker_id' => $this->coordinator->id]);
        $this->finish($this->markOf($other, Seat::First), 'l3', 'l2');
        $this->finish($this->markOf($other, Seat::Second), 'l1', 'l1');
        $this->post(route('moderate.decide', $other), $offer)->assertForbidden();
    }

    public function test_what_was_settled_can_be_opened_again_until_it_is_out_and_stays_readable(): void
    {
        $script = $this->apart();
        $this->actingAs($this->coordinator)
            ->post(route('moderate.decide', $script), ['mark' => '66', 'reason' => 'Read twice; the rubric says so.']);
        $this->post(route('moderate.open', $script), ['why' => 'short'])->assertSessionHasErrors('why');
        $this->actingAs($this->second)
            ->post(route('moderate.open', $script), ['why' => 'I had read another page than the first marker.'])
            ->assertSessionHasNoErrors();
        self::assertSame(Standing::ToSettle, $script->refresh()->standing);
        $this->get(route('moderate.show', $script))
            ->assertSee('it was settled at 66. Opened again: I had read another page');
        $this->post(route('moderate.propose', $script), ['mark' => '60', 'reason' => 'Half-way between us two.']);
        $this->actingAs($this->first)
            ->post(route('moderate.accept', $script), ['proposal' => Proposal::query()->sole()->id])
            ->assertSessionHasNoErrors();
        self::assertSame(
            ['66', '60'], Settlement::query()->orderBy('id')->pluck('mark')->all(), 'both stand there, one holds',
        );
        app(ReleaseResults::class)($script->assignment, [$script->code], $this->coordinator);
        $this->post(route('moderate.open', $script), ['why' => 'I had read another page than you.'])
            ->assertSessionHasErrors('refused');
    }

    public function test_whose_comments_a_student_reads_can_be_changed_until_the_result_is_out(): void
    {
        $script = $this->apart(['tolerance' => '40']);
        self::assertSame(Standing::Agreed, $script->standing, 'settled by the rule');
        $this->actingAs($this->second)->put(route('moderate.feedback', $script), ['from' => []])
            ->assertSessionHasErrors('from');
        $this->put(route('moderate.feedback', $script), ['from' => ['third']])->assertSessionHasErrors('from');
        $this->put(route('moderate.feedback', $script), [
            'from' => ['second', 'first'], 'own_general' => '1', 'general' => 'We agree on most of it.',
        ])->assertSessionHasNoErrors();
        $this->get(route('moderate.show', $script))->assertSee(
            'The student reads the comments of: first mark, second mark.'
        );
        app(ReleaseResults::class)($script->assignment, [$script->code], $this->coordinator);
        $document = Result::query()->sole()->document;
        self::assertSame(['65.0', 'We agree on most of it.'], [$document['mark'], $document['general_comment']]);
        self::assertSame(
            "Comment of the first marker.\n\nComment of the second marker.", $document['criteria'][0]['comment'],
        );
        $this->put(route('moderate.feedback', $script), ['from' => ['first']])->assertSessionHasErrors('refused');
    }

    public function test_messages_stay_with_those_who_settle_and_an_examiner_reads_them(): void
    {
        $script = $this->apart();
        $this->actingAs($this->first)->post(route('moderate.say', $script), ['body' => ''])
            ->assertSessionHasErrors('body');
        $this->post(route('moderate.say', $script), ['body' => 'Did you see note 4?'])->assertRedirect();
        $this->actingAs($this->second)->get(route('moderate.show', $script))->assertSee('Did you see note 4?');
        $examiner = $this->member(\App\Enums\Role::Examiner);
        $this->actingAs($examiner)->get(route('moderate.show', $script))->assertSee('Did you see note 4?')
            ->assertDontSee('Write to the others')->assertDontSee('Propose it')->assertDontSee('Ask for a third');
        $this->post(route('moderate.say', $script), ['body' => 'Me too'])->assertForbidden();
        $this->post(route('moderate.third', $script), ['view' => 'open'])->assertForbidden();
        $outside = collect($this->tutors)->first(
            fn (User $one) => ! in_array($one->id, [$this->first->id, $this->second->id], true)
        );
        $this->actingAs($outside)->get(route('moderate.show', $script))->assertForbidden();
    }

    public function test_nobody_settles_what_is_not_theirs_by_address_or_by_another_script_s_proposal(): void
    {
        $script = $this->apart();
        $other = $this->script($script->assignment, 1);
        $outside = collect($this->tutors)->firstOrFail(
            fn (User $one) => ! in_array($one->id, [$this->first->id, $this->second->id], true),
        );
        $offer = ['mark' => '60', 'reason' => 'Half-way between us two.'];
        foreach (
            [
                $outside, $this->students[0], $this->students[1],
                $this->member(\App\Enums\Role::Coordinator, \App\Models\Module::factory()->create()),
            ] as $person
        ) {
            foreach (['propose', 'accept', 'decide', 'third', 'open', 'say', 'preview'] as $act) {
                $this->actingAs($person)->post(route("moderate.{$act}", $script), [
                    ...$offer, 'proposal' => 1, 'view' => 'open', 'why' => 'Because I would like to.',
                    'body' => 'Hello.',
                ])->assertForbidden();
            }
        }
        $this->actingAs($this->first)->post(route('moderate.propose', $script), $offer)->assertSessionHasNoErrors();
        $proposal = Proposal::query()->sole();
        foreach ([Seat::First, Seat::Second] as $seat) {
            $mark = $this->markOf($other, $seat);
            $this->finish($mark, $seat === Seat::First ? 'l3' : 'l1', 'l1');
        }
        $this->actingAs($this->markOf($other, Seat::Second)->marker)
            ->post(route('moderate.accept', $other), ['proposal' => $proposal->id])->assertSessionHasErrors('refused');
        self::assertSame(0, Settlement::query()->count());
    }

    public function test_past_the_date_markers_are_reminded_once_and_again_after_as_many_days(): void
    {
        Mail::fake();
        $script = $this->apart(['days' => 3]);
        self::assertSame(0, app(DealWithOverdue::class)());
        Carbon::setTestNow(now()->addDays(3));
        self::assertSame([1, 0], [app(DealWithOverdue::class)(), app(DealWithOverdue::class)()]);
        Mail::assertQueued(SettleOverdue::class, 2);
        Mail::assertQueued(SettleOverdue::class, fn (SettleOverdue $mail) => $mail->hasTo($this->first->email)
            && str_contains($mail->render(), $script->code) && ! str_contains($mail->render(), '80.0'));
        Carbon::setTestNow(now()->addDays(3));
        self::assertSame(1, app(DealWithOverdue::class)());
        $this->actingAs($this->coordinator)->get(route('moderate.index', [$script->assignment, 'show' => 'overdue']))
            ->assertSee('was to be settled by')->assertSee('past their date');
    }

    public function test_past_the_date_a_third_is_asked_for_or_a_coordinator_told_as_the_assignment_says(): void
    {
        Mail::fake();
        $script = $this->apart(['disagreement' => 'third', 'days' => 2]);
        Carbon::setTestNow(now()->addDays(2));
        self::assertSame(1, app(DealWithOverdue::class)());
        self::assertSame(Standing::WithThirdMarker, $script->refresh()->standing);
        Mail::assertNotQueued(SettleOverdue::class);
        $this->tutors = $this->students = [];
        $script = $this->apart(['disagreement' => 'coordinator', 'days' => 2]);
        Carbon::setTestNow(now()->addDays(2));
        app(DealWithOverdue::class)();
        Mail::assertQueued(SettleOverdue::class, fn (SettleOverdue $mail) => $mail->isDecision
            && $mail->hasTo($this->coordinator->email));
        $this->actingAs($this->coordinator)->get(route('today'))
            ->assertSee('1 script waits for your decision: its markers have not agreed');
    }

    public function test_a_checker_reads_the_first_mark_and_agrees_in_one_step(): void
    {
        $this->module();
        $script = $this->script($this->sharedOut($this->assignment(['scheme' => $this->scheme(['view' => 'check'])])));
        $check = $this->markOf($script, Seat::Second);
        $this->actingAs($check->marker)->get(route('mark.desk', $check))
            ->assertSee('so there is nothing to check yet')->assertDontSee('Agree with');
        $this->get(route('today'))->assertDontSee('to check');
        $this->post(route('mark.agree', $check), ['seen' => 1])->assertSessionHasErrors('refused');
        $first = $this->finish($this->markOf($script, Seat::First), 'l3', 'l2');
        $this->get(route('today'))->assertSee('1 mark to check');
        $this->get(route('mark.desk', $check))->assertSee('Agree with 80.0')->assertSee('Comment of the first marker.');
        $this->post(route('mark.agree', $check), ['seen' => $first->lock_version - 1])->assertSessionHasErrors(
            ['refused' => 'The first mark has changed since you opened this page. Read it as it is now, then agree.'],
        );
        $this->post(route('mark.agree', $check), ['seen' => $first->lock_version])->assertSessionHasNoErrors();
        $check->refresh();
        self::assertSame(
            [true, '80.0', ''], [$check->agrees, $check->shownTotal(), $check->choices->on('c1')->comment],
        );
        self::assertSame([Standing::Agreed, '80'], [$script->refresh()->standing, $script->settlement?->mark]);
        $this->actingAs($check->marker)->get(route('moderate.show', $script))->assertSee('agrees with the first mark');
    }

    public function test_a_checker_proposes_another_criterion_by_criterion_with_a_reason(): void
    {
        $this->module();
        $script = $this->script($this->sharedOut($this->assignment(['scheme' => $this->scheme(['view' => 'check'])])));
        $first = $this->finish($this->markOf($script, Seat::First), 'l3', 'l2');
        $check = $this->markOf($script, Seat::Second);
        $this->actingAs($check->marker)->post(route('mark.take-first', $check))->assertSessionHas('said');
        self::assertSame('l3', $check->refresh()->choices->on('c1')->level);
        $this->post(route('mark.take-first', $check))->assertSessionHasErrors('refused');
        $this->put(route('mark.choose', [$check, 'c1']), ['stop' => 'l1']);
        $this->post(route('mark.done', $check))->assertSessionHasErrors('refused');
        self::assertNull($check->refresh()->done_at);
        $this->put(route('mark.comment', $check), ['reason' => 'No objection is met anywhere in it.']);
        $this->post(route('mark.done', $check))->assertSessionHasNoErrors();
        self::assertSame([false, '20.0'], [$check->refresh()->agrees, $check->shownTotal()]);
        self::assertSame('80.0', $first->refresh()->shownTotal(), 'the first mark stays as it was');
        self::assertSame(Standing::ToSettle, $script->refresh()->standing);
        $this->get(route('moderate.show', $script))->assertSee('No objection is met anywhere in it.');
    }

    public function test_an_open_second_marker_sees_the_first_and_makes_a_mark_of_their_own(): void
    {
        $this->module();
        $script = $this->script($this->sharedOut($this->assignment(['scheme' => $this->scheme(['view' => 'open'])])));
        $second = $this->markOf($script, Seat::Second);
        $this->actingAs($second->marker)->get(route('mark.desk', $second))->assertOk();
        $this->finish($this->markOf($script, Seat::First), 'l3', 'l2');
        $this->get(route('mark.desk', $second))->assertSee('Comment of the first marker.')
            ->assertDontSee('Agree with')->assertDontSee('Propose another');
        $this->finish($second, 'l3', 'l2');
        self::assertFalse($second->refresh()->agrees);
        self::assertSame('total on the rubric', Settlement::query()->sole()->working[1]['how'], 'not marked blind');
    }
}
