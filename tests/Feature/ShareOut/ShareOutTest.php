<?php

declare(strict_types=1);

namespace Tests\Feature\ShareOut;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Mark\SaveChoice;
use App\Logbook\LogEvent;
use App\Models\AllocationPlan;
use App\Models\Assignment;
use App\Models\Conflict;
use App\Models\LogbookLine;
use App\Models\Mark;
use App\Models\Membership;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

final class ShareOutTest extends TestCase
{
    /**
     * @param  list<\App\Models\User>|null  $markers
     * @return array<string, mixed>
     */
    private function asked(?array $markers = null, int $seed = 7): array
    {
        return ['markers' => array_map(fn ($tutor) => $tutor->public_id, $markers ?? $this->tutors), 'seed' => $seed];
    }

    private function handedIn(int $tutors, int $students, array $fields = []): Assignment
    {
        $this->module($tutors, $students);
        $assignment = $this->assignment($fields);
        foreach ($this->students as $n => $student) {
            app(TakeHandIn::class)($assignment, $student, $this->prose(20, $n));
        }

        return $assignment;
    }

    private function draft(): AllocationPlan
    {
        return AllocationPlan::query()->where('state', 'draft')->sole();
    }

    public function test_a_plan_is_looked_at_first_then_given_out_just_as_it_was_shown(): void
    {
        $assignment = $this->handedIn(3, 5);
        $this->actingAs($this->coordinator)->post(route('share-out.plan', $assignment), $this->asked())
            ->assertRedirect(route('share-out.index', $assignment));
        $this->get(route('share-out.index', $assignment))->assertOk()->assertSee('10 marks to give out')
            ->assertSee('The due time is still to come');
        self::assertSame(0, Mark::query()->count());
        $this->post(route('share-out.apply', $this->draft()), ['seen' => 1])
            ->assertSessionHasErrors(
                ['refused' => 'Scripts can still change until the due time; share them out after it.']
            );

        Carbon::setTestNow(now()->addDays(2));
        $plan = $this->draft();
        $this->post(
            route('share-out.apply', $plan), ['seen' => 1],
        )->assertSessionHas('said', '10 marks are given out.');
        foreach ($plan->entries as $entry) {
            self::assertSame(
                $entry['marker'],
                Mark::query()->where('seat', $entry['part'])
                    ->whereHas('script', fn ($query) => $query->where('code', $entry['script']))->sole()
                    ->marker->public_id,
            );
        }
        $this->post(route('share-out.apply', $plan), ['seen' => 1])->assertSessionHasErrors('refused');
        $line = LogbookLine::query()->where('event', LogEvent::ScriptsSharedOut)->sole();
        self::assertSame(
            [7, 10, $plan->public_id], [$line->details['seed'], $line->details['given'], $line->details['plan']],
        );
        $this->post(route('share-out.plan', $assignment), $this->asked());
        $this->get(route('share-out.index', $assignment))->assertSee('changes nothing');
    }

    public function test_agreed_shares_and_sections_are_kept_and_remembered(): void
    {
        $assignment = $this->handedIn(3, 6, ['scheme' => $this->oneMark()]);
        foreach ($this->students as $n => $student) {
            Membership::query()->where('user_id', $student->id)->update(['section' => $n < 3 ? 'A' : 'B']);
        }
        [$one, $two, $three] = $this->tutors;
        $this->actingAs($this->coordinator)
            ->post(
                route('share-out.plan', $assignment),
                [
                    ...$this->asked(),
                    'share' => [$one->public_id => '2', $two->public_id => '1,0', $three->public_id => '0'],
                    'sections' => [$two->public_id => ['B']],
                ],
            )
            ->assertSessionHasNoErrors();
        $has = array_count_values(array_column($this->draft()->entries, 'marker'));
        self::assertEquals([$one->public_id => 4, $two->public_id => 2], $has);
        $sections = collect($this->draft()->entries)->where('marker', $two->public_id)
            ->map(
                fn (array $entry) => Membership::query()
                    ->where('user_id', $assignment->scripts()->where('code', $entry['script'])->sole()->student_id)
                    ->sole()->section
            );
        self::assertSame(['B'], $sections->unique()->values()->all());
        $this->get(route('share-out.index', $assignment))->assertSee('value="2"', false);
        $this->post(
            route('share-out.plan', $assignment), [...$this->asked(), 'share' => [$one->public_id => 'much']],
        )->assertSessionHasErrors(
            ['markers' => 'A share must be a number from 0 to 1000 with at most three decimals, such as "1.5".']
        );
    }

    public function test_a_conflict_is_never_matched_and_a_move_by_hand_does_not_say_why_not(): void
    {
        $assignment = $this->handedIn(3, 6, ['scheme' => $this->oneMark()]);
        $own = $this->script($assignment, 4);
        $this->actingAs($this->coordinator)
            ->post(
                route('conflicts.store', $this->module),
                [
                    'marker' => $this->membership($this->tutors[0])->public_id,
                    'student' => $this->membership($this->students[4])->public_id, 'reason' => 'Cousins.',
                ],
            )
            ->assertSessionHasNoErrors();
        for ($seed = 1; $seed < 12; $seed++) {
            $this->post(route('share-out.plan', $assignment), $this->asked(null, $seed));
            self::assertNotSame(
                $this->tutors[0]->public_id,
                collect($this->draft()->entries)->firstWhere('script', $own->code)['marker'] ?? null,
            );
        }
        $this->post(
            route('share-out.move', $this->draft()),
            ['script' => $own->code, 'part' => 'first', 'to' => $this->tutors[0]->public_id],
        )
            ->assertSessionHasErrors(
                [
                    'refused' => "A rule of this module keeps {$own->code} from {$this->tutors[0]->name}. Nothing was moved.",
                ]
            );
        $this->actingAs($this->tutors[1])->get(route('conflicts.index', $this->module))->assertForbidden();
        $this->actingAs($this->coordinator)->delete(route('conflicts.destroy', Conflict::query()->sole()))
            ->assertSessionHas('said', 'Taken back.');
        self::assertSame(
            [LogEvent::ConflictRecorded, LogEvent::ConflictTakenBack],
            LogbookLine::query()->where('event', 'like', '%conflict%')->orderBy('number')->get()->pluck('event')->all(),
        );
        foreach (LogbookLine::query()->where('event', 'like', '%conflict%')->get() as $line) {
            self::assertStringNotContainsString(
                $own->code, json_encode($line->details, JSON_THROW_ON_ERROR).$line->subject,
                'a line names people or a code, never both',
            );
        }
    }

    public function test_scripts_are_moved_by_hand_and_two_coordinators_do_not_overlook_each_other(): void
    {
        $assignment = $this->handedIn(3, 4);
        Carbon::setTestNow(now()->addDays(2));
        $this->actingAs($this->coordinator)->post(route('share-out.plan', $assignment), $this->asked());
        $plan = $this->draft();
        $entry = $plan->entries[0];
        $other = collect($plan->entries)->first(
            fn (array $one) => $one['script'] === $entry['script'] && $one['part'] !== $entry['part']
        );
        $third = collect($this->tutors)->first(
            fn ($tutor) => ! in_array($tutor->public_id, [$entry['marker'], $other['marker']], true)
        );
        $this->post(
            route('share-out.move', $plan),
            ['script' => strtolower($entry['script']), 'part' => $entry['part'], 'to' => $other['marker']],
        )->assertSessionHasErrors('refused');
        $this->post(
            route('share-out.move', $plan), ['script' => 'GULL-000', 'part' => 'first', 'to' => $third->public_id],
        )->assertSessionHasErrors(
            ['refused' => 'There is no first mark of GULL-000 in this plan. Check the code; nothing was moved.']
        );
        $this->post(
            route('share-out.move', $plan),
            ['script' => $entry['script'], 'part' => $entry['part'], 'to' => $third->public_id],
            ['HX-Request' => 'true'],
        )
            ->assertOk()->assertSee('1 move by hand')->assertSee($third->name);
        $this->post(route('share-out.apply', $plan), ['seen' => 1])->assertSessionHasErrors(
            [
                'refused' => 'Someone moved a script in this plan after you had looked at it. Look at it once more, then give it out.',
            ]
        );
        $this->post(route('share-out.apply', $plan), ['seen' => 2])->assertSessionHasNoErrors();
        self::assertSame(
            $third->id,
            $this->markOf(
                $assignment->scripts()->where('code', $entry['script'])->sole(), Seat::from($entry['part']),
            )->marker_id,
        );
        $this->post(
            route('share-out.move', $plan),
            ['script' => $entry['script'], 'part' => 'first', 'to' => $third->public_id],
        )->assertSessionHasErrors('refused');
    }

    public function test_a_late_hand_in_is_shared_out_later_and_moves_nobody(): void
    {
        $this->module(2, 3);
        $late = array_pop($this->students);
        $assignment = $this->sharedOut($this->assignment());
        $before = Mark::query()->orderBy('id')->get(['id', 'script_id', 'marker_id'])->toArray();
        self::assertNotNull($late);
        self::assertTrue(app(TakeHandIn::class)($assignment, $late, 'Late but here.')->late);
        $this->shareOut($assignment, null, 3);
        self::assertSame(
            $before,
            Mark::query()->orderBy('id')->limit(count($before))->get(['id', 'script_id', 'marker_id'])->toArray(),
        );
        self::assertSame(count($before) + 2, Mark::query()->count());
    }

    public function test_when_someone_falls_ill_only_what_they_have_not_begun_moves(): void
    {
        $this->module(3, 9);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->oneMark()]));
        [$ill, $second, $third] = $this->tutors;
        $theirs = Mark::query()->where('marker_id', $ill->id)->get();
        app(SaveChoice::class)($theirs[0], 'c1', ['level' => 'l2']);
        $others = Mark::query()->whereIn('marker_id', [$second->id, $third->id])->orderBy('id')
            ->get(['id', 'marker_id'])->toArray();
        $this->actingAs($this->coordinator)->post(
            route('share-out.plan', $assignment), $this->asked([$second, $third]),
        );
        $plan = $this->draft();
        // Begun between looking and giving out: it stays, and the coordinator is told.
        app(SaveChoice::class)($theirs[1], 'c1', ['level' => 'l2']);
        $code = $theirs[1]->script->code;
        $this->post(route('share-out.apply', $plan), ['seen' => 1])->assertSessionHas(
            'said', "1 has a new marker; begun meanwhile, so left where they are: {$code}.",
        );
        self::assertSame(2, Mark::query()->where('marker_id', $ill->id)->count());
        self::assertSame(
            $others,
            Mark::query()->whereKey(array_column($others, 'id'))->orderBy('id')->get(['id', 'marker_id'])->toArray(),
        );
        // The page that was open on the one that moved leads nowhere any more.
        $this->actingAs($ill)->get(route('mark.desk', $theirs[2]))->assertNotFound();
    }

    public function test_a_conflict_recorded_later_moves_what_is_not_begun(): void
    {
        $this->module(3, 6);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->oneMark()]));
        [$mark, $other] = [
            Mark::query()->where('marker_id', $this->tutors[0]->id)->orderBy('id')->firstOrFail(),
            Mark::query()->where('marker_id', $this->tutors[0]->id)->orderByDesc('id')->firstOrFail(),
        ];
        app(SaveChoice::class)($other, 'c1', ['level' => 'l2']);
        foreach ([$mark, $other] as $each) {
            Conflict::factory()->create(
                [
                    'module_id' => $this->module->id, 'marker_id' => $this->tutors[0]->id,
                    'student_id' => $each->script->student_id, 'reason' => 'Related.',
                    'made_by' => $this->coordinator->id,
                ]
            );
        }
        $this->actingAs($this->coordinator)->post(route('share-out.plan', $assignment), $this->asked());
        $entries = collect($this->draft()->entries)->keyBy('script');
        self::assertNotSame($this->tutors[0]->public_id, $entries[$mark->script->code]['marker']);
        self::assertSame(
            [$this->tutors[0]->public_id, true],
            [$entries[$other->script->code]['marker'], $entries[$other->script->code]['fixed']],
            'begun work stays until a person decides',
        );
        self::assertCount(1, $entries->filter(fn (array $entry) => $entry['marker'] !== $entry['from']));
    }

    public function test_begun_work_is_handed_over_deliberately_and_what_was_begun_is_kept(): void
    {
        $this->module(3, 4);
        $assignment = $this->sharedOut($this->assignment());
        $mark = Mark::query()->where('seat', 'first')->orderBy('id')->firstOrFail();
        $code = $mark->script->code;
        $second = $this->markOf($mark->script, Seat::Second);
        $third = collect($this->tutors)->first(
            fn ($tutor) => ! in_array($tutor->id, [$mark->marker_id, $second->marker_id], true)
        );
        $ask = fn (array $change = []) => $this->post(
            route('share-out.hand-over', $assignment),
            [
                'script' => $code, 'part' => 'first', 'to' => $third->public_id,
                'reason' => 'On sick leave until January.', ...$change,
            ],
        );
        $this->actingAs($this->coordinator);
        $ask()->assertSessionHasErrors(['refused' => "The first mark of {$code} is not begun: a plan moves it."]);
        app(SaveChoice::class)($mark, 'c1', ['level' => 'l2', 'comment' => 'Half-way through.']);
        $ask(['reason' => 'x'])->assertSessionHasErrors('reason');
        $ask(['to' => $second->marker->public_id])->assertSessionHasErrors('refused');
        $this->get(route('share-out.index', $assignment))->assertOk()->assertSee('hand over');
        $ask()->assertSessionHas('said');
        $this->get(route('share-out.index', $assignment))->assertSee($code); // the page that says so

        $new = $this->markOf($mark->script, Seat::First);
        self::assertSame([$third->id, [], null], [$new->marker_id, $new->choices->toArray(), $new->begun_at]);
        self::assertSame(
            ['handed over', 'Half-way through.'],
            [$mark->refresh()->isHandedOver() ? 'handed over' : '', $mark->choices->on('c1')->comment],
        );
        self::assertSame(2, $mark->script->marks()->count());
        $line = LogbookLine::query()->where('event', LogEvent::MarkHandedOver)->sole();
        self::assertSame([$code, 'On sick leave until January.'], [$line->subject, $line->text('reason')]);
        // To its old marker it is closed, with the reason why nothing more is taken; it is on nobody's list twice.
        $this->actingAs($mark->marker)
            ->patchJson(route('mark.sync', $mark), ['changes' => [['key' => 'general', 'was' => '', 'now' => 'Late.']]])
            ->assertForbidden()->assertSee('handed over to another marker');
        $this->get(route('mark.index', $assignment))->assertOk()->assertDontSee($code);
        $this->actingAs($third)->get(route('mark.desk', $new))->assertOk()->assertDontSee('Half-way through.');
        $this->finish($new, 'l3', 'l3');
        $this->finish($second, 'l3', 'l3');
        self::assertSame('100', $mark->script->settlement()->sole()->mark, 'what was begun counts for nothing');
        $this->actingAs($this->coordinator)->get(route('moderate.show', $mark->script))->assertOk()
            ->assertSee('Handed a begun first mark over')->assertDontSee('Half-way through.');
        $ask()->assertSessionHasErrors('refused');
    }

    public function test_evening_out_moves_what_is_not_begun_between_those_who_go_on(): void
    {
        $this->module(2, 6);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->oneMark()]));
        $new = $this->member(\App\Enums\Role::Tutor);
        $this->actingAs($this->coordinator)->post(
            route('share-out.plan', $assignment), $this->asked([...$this->tutors, $new]),
        );
        self::assertNotContains($new->public_id, array_column($this->draft()->entries, 'marker'));
        $this->post(
            route('share-out.plan', $assignment), [...$this->asked([...$this->tutors, $new]), 'even_out' => '1'],
        );
        self::assertSame([2, 2, 2], array_values(array_count_values(array_column($this->draft()->entries, 'marker'))));
        $this->delete(route('share-out.drop', $this->draft()))->assertSessionHas('said');
        self::assertSame(0, AllocationPlan::query()->where('state', 'draft')->count());
    }

    public function test_second_marking_needs_two_and_strangers_cannot_be_chosen(): void
    {
        $assignment = $this->handedIn(2, 2);
        $this->actingAs($this->coordinator)->post(
            route('share-out.plan', $assignment), $this->asked([$this->tutors[0], $this->students[1]]),
        )
            ->assertSessionHasErrors(
                ['markers' => 'Second marking needs at least two markers, since nobody marks a script twice.']
            );
        $this->post(
            route('share-out.plan', $assignment), ['seed' => 1],
        )->assertSessionHasErrors(['markers' => 'Choose at least one marker.']);
        self::assertSame(0, AllocationPlan::query()->count());
    }

    private function membership(\App\Models\User $person): Membership
    {
        return Membership::query()->where('user_id', $person->id)->sole();
    }
}
