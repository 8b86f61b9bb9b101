<?php

declare(strict_types=1);

namespace Tests\Feature\Moderate;

use App\Actions\Mark\ReopenMark;
use App\Actions\Release\ReleaseResults;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\AssignmentMarker;
use App\Models\Mark;
use App\Models\Sample;
use App\Models\SampledScript;
use App\Models\Script;
use App\Models\User;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\Standing;

/**
 * From first marks to a sample that is with its second markers, and what becomes of the rest.
 */
final class DrawSampleTest extends TestCase
{
    private function cohort(int $students = 20, array $rule = []): Assignment
    {
        $this->module(3, $students);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->scheme([
            'second' => 'sample', 'sample' => [
                'share' => '0.1', 'least' => 3, 'root' => false, 'fails' => true, 'top' => true, 'near' => null,
                ...$rule,
            ],
        ])]));
        self::assertSame($students, Mark::counting()->count());
        self::assertSame(0, Mark::counting()->where('seat', Seat::Second)->count());

        return $assignment;
    }

    /** Every fifth fails, every fifth is at the top, the others get 50. */
    private function markAll(Assignment $assignment, ?User $but = null): void
    {
        foreach ($this->scripts($assignment) as $n => $script) {
            $mark = $this->markOf($script, Seat::First);
            $mark->marker_id === $but?->id || $this->finish(
                $mark, match ($n % 5) {
                    0 => 'l1', 1 => 'l3', default => 'l2'
                }, match ($n % 5) {
                    0 => 'l1', 1 => 'l3', default => 'l2'
                },
            );
        }
    }

    /**
     * @param  array<string, mixed>  $query
     * @return TestResponse<Response>
     */
    private function draw(Assignment $assignment, array $query = []): TestResponse
    {
        $page = $this->actingAs($this->coordinator)->get(route('sample.index', [$assignment, ...$query]))->assertOk();
        preg_match('/name="digest" value="(\w+)"/', (string) $page->getContent(), $digest);
        preg_match_all('/type="hidden" name="markers\[\]" value="([\w-]+)"/', (string) $page->getContent(), $markers);

        return $this->post(
            route('sample.store', $assignment), ['digest' => $digest[1] ?? '', 'markers' => $markers[1], ...$query],
        );
    }

    public function test_a_script_waits_for_the_sample_and_is_not_agreed_by_one_mark_alone(): void
    {
        $assignment = $this->cohort(5);
        $script = $this->script($assignment);
        $this->finish($this->markOf($script, Seat::First), 'l2', 'l2');
        self::assertSame([Standing::MarkedOnce, null], [$script->refresh()->standing, $script->settlement]);
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertSee('1 script waits for the sample to be drawn')->assertSee($script->code);
        $this->expectException(Refused::class);
        app(ReleaseResults::class)($assignment, [$script->code], $this->coordinator);
    }

    public function test_must_haves_and_lot_are_drawn_as_previewed_given_out_and_the_rest_is_agreed(): void
    {
        $assignment = $this->cohort();
        $this->markAll($assignment);
        $this->actingAs($this->coordinator)->get(route('sample.index', $assignment))
            ->assertSee('11 scripts of 20: 4 fails, 4 in the top band, 3 drawn by lot.')
            ->assertSee('What this sample can see')->assertSee('8.0 marks, a usual figure')
            ->assertSee('Were all 3 alike, 0.15 of them would still be called different');
        $this->draw($assignment)->assertRedirect(route('moderate.index', $assignment))
            ->assertSessionHas('said', 'The sample is drawn: 11 scripts are with their second markers.');
        $sample = Sample::query()->sole();
        self::assertSame([1, 20, 3], [$sample->number, $sample->from, $sample->drawn]);
        self::assertSame(
            ['["drawn"]' => 3, '["fail"]' => 4, '["top band"]' => 4],
            SampledScript::query()->get()->countBy(fn (SampledScript $one) => json_encode($one->reasons))->sortKeys()
                ->all(),
        );
        foreach ($this->scripts($assignment) as $n => $script) {
            $in = $script->inSample()->exists();
            self::assertSame($in ? Sampled::In : Sampled::Out, $script->sampled);
            self::assertTrue($in || $n % 5 > 1, 'every must-have is in');
            self::assertSame($in ? Standing::MarkedOnce : Standing::Agreed, $script->standing);
            self::assertSame($in ? null : SettledBy::OnlyMark, $script->settlement?->settled_by);
            if ($in) {
                self::assertNotSame(
                    $this->markOf($script, Seat::First)->marker_id, $this->markOf($script, Seat::Second)->marker_id,
                );
                self::assertSame('blind', $this->markOf($script, Seat::Second)->view->value);
            }
        }
        $loads = Mark::counting()->where('seat', Seat::Second)->get()->countBy('marker_id');
        self::assertLessThanOrEqual(1, $loads->max() - $loads->min());
        // Its second mark, and the settled mark is that of both.
        $script = Script::query()->where('sampled', Sampled::In)->firstOrFail();
        $this->finish($this->markOf($script, Seat::Second), 'l2', 'l2');
        self::assertContains($script->refresh()->standing, [Standing::Agreed, Standing::ToSettle]);
    }

    public function test_what_changed_since_the_preview_is_told_and_nothing_is_drawn(): void
    {
        $assignment = $this->cohort();
        $this->markAll($assignment);
        $digest = (string) preg_replace(
            '/.*name="digest" value="(\w+)".*/s', '$1',
            (string) $this->actingAs($this->coordinator)->get(route('sample.index', $assignment))->getContent(),
        );
        $mark = $this->markOf($this->scripts($assignment)[3], Seat::First);
        app(ReopenMark::class)($mark);
        $this->finish($mark->refresh(), 'l1', 'l1');
        $markers = Mark::counting()->with('marker')->get()->pluck('marker.public_id')->unique()->values()->all();
        $this->post(route('sample.store', $assignment), ['digest' => $digest, 'markers' => $markers])
            ->assertSessionHasErrors('refused');
        self::assertSame(0, Sample::query()->count());
        // And a second press of the same button draws nothing a second time.
        $this->draw($assignment)->assertSessionHas('said');
        $this->post(route('sample.store', $assignment), ['digest' => $digest, 'markers' => $markers])
            ->assertSessionHasErrors('refused');
        self::assertSame(1, Sample::query()->count());
    }

    public function test_it_is_drawn_marker_by_marker_and_topped_up_with_what_comes_later(): void
    {
        $assignment = $this->cohort();
        $late = $this->tutors[2];
        $this->markAll($assignment, $late);
        $this->draw($assignment)->assertSessionHas('said');
        $first = Sample::query()->sole();
        self::assertSame(
            Mark::counting()->where('seat', Seat::First)->where('marker_id', '<>', $late->id)->count(), $first->from,
        );
        self::assertSame(
            0, SampledScript::query()->where('first_marker_id', $late->id)->count(), 'who has not finished is left out',
        );
        foreach (Mark::counting()->where('seat', Seat::First)->where('marker_id', $late->id)->get() as $mark) {
            $this->finish($mark, 'l1', 'l1');
        }
        $this->draw($assignment)->assertSessionHas('said');
        $second = Sample::query()->latest('id')->firstOrFail();
        self::assertSame([2, $second->from], [$second->number, $second->scripts()->count()], 'all of them fail');
        self::assertSame(0, Script::query()->where('sampled', Sampled::Undecided)->count());
    }

    public function test_a_mark_that_is_opened_again_and_comes_to_fail_waits_for_the_sample_anew(): void
    {
        $assignment = $this->cohort();
        $this->markAll($assignment);
        $this->draw($assignment);
        $script = Script::query()->where('sampled', Sampled::Out)->firstOrFail();
        $mark = $this->markOf($script, Seat::First);
        app(ReopenMark::class)($mark);
        $this->finish($mark->refresh(), 'l2', 'l2');
        self::assertSame([Sampled::Out, Standing::Agreed], [$script->refresh()->sampled, $script->standing]);
        app(ReopenMark::class)($mark->refresh());
        $this->finish($mark->refresh(), 'l1', 'l1');
        self::assertSame([Sampled::Undecided, Standing::MarkedOnce], [$script->refresh()->sampled, $script->standing]);
        $this->draw($assignment)->assertSessionHas('said');
        self::assertSame(Sampled::In, $script->refresh()->sampled);
        self::assertSame(['fail'], $script->inSample?->reasons);
    }

    public function test_more_can_be_drawn_with_a_reason_and_what_was_agreed_stays_readable(): void
    {
        $assignment = $this->cohort();
        $this->markAll($assignment);
        $this->draw($assignment);
        $this->draw($assignment, ['scope' => 'more', 'drawn' => 4])->assertSessionHasErrors('reason');
        $this->draw(
            $assignment, ['scope' => 'more', 'drawn' => 4, 'reason' => 'The moderator asked for a larger sample.'],
        )
            ->assertSessionHasNoErrors();
        $more = Sample::query()->latest('id')->firstOrFail();
        self::assertSame([2, 4], [$more->number, $more->scripts()->count()]);
        $script = $more->scripts()->firstOrFail()->script;
        self::assertSame(
            [Sampled::In, Standing::MarkedOnce, null], [$script->sampled, $script->standing, $script->settlement],
        );
        self::assertDatabaseHas('settlements', [
            'script_id' => $script->id, 'undone_reason' => 'Drawn to be marked a second time.', 'mark' => '50',
        ]);
        // Three of the twelve in the middle, then four more: what each drawn one weighs follows from all of them.
        $chances = SampledScript::query()->get()->filter(fn (SampledScript $one) => $one->reasons === ['drawn'])
            ->groupBy('first_marker_id');
        foreach ($chances as $marker => $theirs) {
            $all = Mark::counting()->where('seat', Seat::First)->where('marker_id', $marker)->where('total', 50)
                ->count();
            self::assertCount(1, $theirs->unique('chance'));
            self::assertEqualsWithDelta(
                $theirs->count() / $all, \Brick\Math\BigRational::of($theirs->value('chance'))->toFloat(), 1e-12,
            );
        }
    }

    public function test_a_script_for_which_nobody_is_left_is_in_the_sample_and_said(): void
    {
        $this->module(1, 6);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->scheme(['second' => 'sample'])]));
        $this->markAll($assignment);
        $this->actingAs($this->coordinator)->get(route('sample.index', $assignment))
            ->assertSee('Nobody can be found to mark')->assertSee('nobody yet');
        $this->get(route('share-out.index', $assignment))->assertSee('Everything is with markers');
        $this->draw($assignment)->assertSessionHas('said');
        $this->get(route('share-out.index', $assignment))->assertSee('6 scripts still lack a marker');
        self::assertSame(6, Script::query()->where('sampled', Sampled::In)->count());
        self::assertSame(0, Mark::counting()->where('seat', Seat::Second)->count());
        $this->get(route('release.index', $assignment))->assertSee('6 scripts have no finished second mark');
        // Someone comes: the planner finds them a script each.
        $this->tutors[] = $this->member(\App\Enums\Role::Tutor);
        $this->shareOut($assignment);
        self::assertSame(6, Mark::counting()->where('seat', Seat::Second)->count());
    }

    public function test_a_coordinator_who_may_mark_them_blind_sees_no_first_mark_before_or_at_the_draw(): void
    {
        $this->module(2, 12);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->scheme(['second' => 'sample'])]));
        $this->markAll($assignment);
        $this->actingAs($this->coordinator)->get(route('moderate.index', $assignment))->assertSee('50.0');
        AssignmentMarker::query()->create([
            'assignment_id' => $assignment->id, 'user_id' => $this->coordinator->id, 'share' => '1',
        ]);
        $this->get(route('moderate.index', $assignment))->assertDontSee('50.0')->assertDontSee('100.0');
        $this->get(route('moderate.show', $this->script($assignment)))->assertForbidden();
        $this->get(route('sample.index', $assignment))->assertOk()
            ->assertSee('hidden from you until the sample is drawn')
            ->assertDontSee('<td class="num">100</td>', false)->assertDontSee('top band</td>', false);
        $this->draw($assignment)->assertSessionHas('said');
        $own = Mark::counting()->where('marker_id', $this->coordinator->id)->where('seat', Seat::Second)->firstOrFail();
        $this->get(route('moderate.show', $own->script))->assertForbidden();
        $this->get(route('moderate.index', $assignment))->assertDontSee('100.0');
        $this->get(route('mark.desk', $own))->assertOk()->assertDontSee('Comment of the first marker.');
        // What earlier samples left out has been seen by then: more of it goes to others.
        foreach (Mark::counting()->where('marker_id', $this->coordinator->id)->get() as $mark) {
            $this->finish($mark, 'l2', 'l2');
        }
        $left = Script::query()->where('sampled', Sampled::Out)->count();
        $left > 0
            && $this->draw($assignment, ['scope' => 'more', 'drawn' => $left, 'reason' => 'All of them, to be sure.'])
                ->assertSessionHas('said');
        self::assertSame(
            0, Mark::counting()->where('marker_id', $this->coordinator->id)->whereNull('done_at')->count(),
        );
    }

    public function test_every_choice_says_what_it_will_mean(): void
    {
        $this->module(4, 62);
        $this->actingAs($this->coordinator)->get(route('plan.create', $this->module))
            ->assertSee('All 62 scripts are marked twice, about 15 or 16 a marker.');
        $fields = ['second_marking' => 'sample', 'bands' => 'classes', 'formative' => '0'] + self::SECOND_MARKS;
        $words = (string) $this->get(route('plan.forecast', [$this->module, ...$fields]))->assertOk()->getContent();
        self::assertMatchesRegularExpression(
            '/^About \d+ of 62 scripts are marked twice: \d+ fails and tops, \d+ near a boundary, 8 drawn, about \d+( or \d+)? a marker\./',
            $words,
        );
        self::assertStringContainsString('a usual spread is assumed', $words);
        $this->get(route('plan.forecast', [$this->module, 'second_marking' => 'none'] + $fields))
            ->assertOk();
        $this->get(route('plan.forecast', [$this->module, ...$fields, 'sample_share' => 'much']))
            ->assertSessionHasErrors(['sample_share' => 'Write a percentage from 0 to 100, such as 10.']);
    }
}
