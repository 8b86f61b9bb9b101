<?php

declare(strict_types=1);

namespace Tests\Feature\Alike;

use App\Actions\Mark\ReopenMark;
use App\Actions\Moderate\SetModerators;
use App\Actions\Plan\CopyAssignment;
use App\Alike\AlikeFigures;
use App\Alike\BlindMarks;
use App\Enums\Role;
use App\Models\AgreementReport;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\SampledScript;
use App\Models\Script;
use App\Models\User;
use App\Wording\AlikeWords;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use YoungHarbor\Core\Agreement\Report;
use YoungHarbor\Core\Marking\Seat;

/**
 * What the page on marking alike is worked out from, and who sees what of it.
 */
final class AlikeTest extends TestCase
{
    /** Every script marked twice by three markers, whose second marks are a level lower on every third script. */
    private function marked(int $students = 12, string $view = 'blind'): Assignment
    {
        $this->module(3, $students);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->scheme(['view' => $view])]));
        foreach (Script::query()->where('assignment_id', $assignment->id)->orderBy('id')->get() as $n => $script) {
            $this->finish($this->markOf($script, Seat::First), ['l2', 'l3'][$n % 2], 'l2');
            $second = $this->markOf($script, Seat::Second);
            $second->update(['reason' => 'I read the second page differently.']);
            $this->finish($second, ['l2', 'l3'][$n % 2], $n % 3 === 0 ? 'l1' : 'l2');
        }

        return $assignment->refresh();
    }

    private function report(Assignment $assignment): AgreementReport
    {
        return app(AlikeFigures::class)->of($assignment);
    }

    public function test_figures_are_the_core_s_of_the_marks_in_the_database(): void
    {
        $assignment = $this->marked();
        $figures = $this->report($assignment)->figures;
        $totals = Mark::counting()->orderBy('script_id')->orderBy('seat')->get()->groupBy('script_id')
            ->map(fn ($two) => (float) $two[0]->total - (float) $two[1]->total)->values();
        self::assertSame(12, $figures['pairs']);
        self::assertFalse($figures['weighted']);
        self::assertEqualsWithDelta($totals->average(), $figures['figures']['mean_difference'], 1e-9);
        self::assertSame(['Argument', 'Evidence'], array_slice(array_column($figures['criteria'], 'title'), 0, 2));
        self::assertEqualsWithDelta(1.0, $figures['criteria'][0]['same'], 1e-9);
        self::assertEqualsWithDelta(8 / 12, $figures['criteria'][1]['same'], 1e-9);
        self::assertCount(12, $figures['furthest']);
        $this->actingAs($this->coordinator)->get(route('alike.show', $assignment))->assertOk()
            ->assertSee('12 scripts have two marks made without seeing the other')
            ->assertSee($this->tutors[0]->name)->assertSee('Which criterion we read differently')
            ->assertSee('Too few to say: an interval needs 30 scripts');
        $this->get(route('moderate.index', $assignment))->assertSee(route('alike.show', $assignment));
        $this->get(route('alike.module', $this->module))->assertOk()->assertSee($assignment->title);
        $this->get(route('modules.show', $this->module))->assertSee(route('alike.module', $this->module));
    }

    public function test_they_are_kept_until_a_mark_changes(): void
    {
        $assignment = $this->marked(4);
        $kept = $this->report($assignment);
        Carbon::setTestNow(now()->addHour());
        self::assertEquals($kept->updated_at, $this->report($assignment)->updated_at);
        $script = $this->script($assignment, 0);
        $mark = $this->markOf($script, Seat::Second);
        $script->settlement?->undo(null);
        Mark::query()->whereKey($this->markOf($script, Seat::First)->id)->update(['done_at' => null]);
        app(ReopenMark::class)($mark->refresh());
        self::assertSame(3, $this->report($assignment)->figures['pairs']);
        self::assertNotEquals($kept->updated_at, $this->report($assignment)->updated_at);
        self::assertSame(1, AgreementReport::query()->count());
    }

    public function test_marks_that_were_made_seeing_the_first_are_counted_apart(): void
    {
        $assignment = $this->marked(4, 'open');
        $marks = BlindMarks::of($assignment);
        self::assertSame([], $marks->pairs);
        self::assertSame(['open' => 4, 'check' => 0, 'chance' => 0], $marks->apart);
        $this->actingAs($this->coordinator)->get(route('alike.show', $assignment))->assertOk()
            ->assertSee('4 second marks were made seeing the first and are counted apart')
            ->assertSee('shares no script with others: nothing can be said');
    }

    public function test_a_sample_is_weighted_by_one_over_its_chance(): void
    {
        $assignment = $this->marked(6);
        $assignment->update(['scheme' => $this->scheme(['second' => 'sample'])]);
        $sample = $assignment->fresh()?->id;
        foreach (Script::query()->where('assignment_id', $sample)->orderBy('id')->get() as $n => $script) {
            $n < 4 && $this->drawn($script, ['1', '1/4', '0.5', '1'][$n]);
        }
        $marks = BlindMarks::of($assignment->refresh());
        self::assertSame([1.0, 4.0, 2.0, 1.0], array_map(fn ($one) => $one->weight, $marks->scripts()));
        self::assertSame(2, $marks->apart['chance']);
        self::assertTrue($this->report($assignment)->figures['weighted']);
        $this->actingAs($this->coordinator)->get(route('alike.show', $assignment))
            ->assertSee('weighted by 1 over its chance')->assertSee('2 second marks are left out');
    }

    public function test_a_marker_sees_themselves_named_and_others_without_name_or_number(): void
    {
        $assignment = $this->marked();
        [$tutor, $other] = $this->tutors;
        $page = $this->actingAs($tutor)->get(route('alike.show', $assignment))->assertOk()
            ->assertSee('You')->assertSee('Another marker 1')->assertDontSee($other->name);
        $own = Mark::counting()->where('marker_id', $tutor->id)->with('script')->get()
            ->map(fn (Mark $mark) => $mark->script->code);
        foreach (Script::query()->where('assignment_id', $assignment->id)->get() as $script) {
            $own->contains($script->code) ? $page->assertSee($script->code) : $page->assertDontSee($script->code);
        }
        $this->get(route('alike.module', $this->module))->assertOk()->assertDontSee($other->name);
        $this->actingAs($this->member(Role::Examiner))->get(route('alike.show', $assignment))->assertSee($other->name);
        app(SetModerators::class)($assignment, [$tutor->public_id], $this->coordinator);
        $this->actingAs($tutor)->get(route('alike.show', $assignment))->assertSee($other->name);
        $this->actingAs($this->students[0])->get(route('alike.show', $assignment))->assertForbidden();
        $this->actingAs(User::factory()->create())->get(route('alike.module', $this->module))->assertForbidden();
    }

    public function test_whoever_still_marks_blind_here_sees_what_a_marker_sees(): void
    {
        $assignment = $this->marked(4);
        $script = $this->script($assignment, 0);
        $first = $this->markOf($script, Seat::First);
        $first->update(['marker_id' => $this->coordinator->id, 'done_at' => null, 'total' => null]);
        $this->actingAs($this->coordinator)->get(route('alike.show', $assignment))->assertOk()
            ->assertDontSee($this->tutors[1]->name)->assertDontSee($script->code);
        $this->get(route('corrections.index', $assignment))->assertForbidden()
            ->assertSee('You have marks to make in this assignment');
    }

    public function test_whoever_has_marks_to_make_sees_figures_of_their_own_marks_only(): void
    {
        $assignment = $this->marked();
        [$tutor, $other] = $this->tutors;
        $totals = ['Beside the others', 'Two marks on one script', 'Coefficients', 'All markers', 'Furthest apart'];
        $page = $this->actingAs($tutor)->get(route('alike.show', $assignment))->assertSee('Beside the others');
        $page->assertDontSee('All markers'); // 8 marks of others: too few not to tell of one
        $open = Mark::counting()->where('marker_id', $tutor->id)->firstOrFail();
        $open->update(['done_at' => null, 'total' => null]);
        $page = $this->get(route('alike.show', $assignment))->assertOk()->assertSee('You have marks to make here')
            ->assertSee('Within a sitting')->assertSee('How marks lie');
        foreach ($totals as $heading) {
            $page->assertDontSee($heading);
        }
        $this->get(route('alike.module', $this->module))->assertOk()->assertSee('after your own marks')
            ->assertDontSee('data-label="First less second"', false)->assertDontSee($other->name);
    }

    public function test_whoever_stands_out_on_few_scripts_is_told_by_how_much(): void
    {
        $marker = [
            'linked' => 7, 'interval' => [-12.6, -2.3], 'effect' => -7.5, 'stands_out' => true, 'id' => 'm1',
            'drift' => null, 'component' => 2,
        ];
        self::assertSame(
            ['Ada marks 7.5 marks harsher than the others.'], AlikeWords::standOut([$marker], fn () => 'Ada'),
        );
        self::assertSame(
            ['Ada marks 7.5 marks harsher than the others of set 2.'],
            AlikeWords::standOut([$marker], fn () => 'Ada', sets: 2),
        );
        self::assertSame(
            'shares 7 scripts with others: too few to say', AlikeWords::lie(['stands_out' => false] + $marker),
        );
    }

    public function test_a_script_does_not_tell_whose_figures_are_whose(): void
    {
        $assignment = $this->marked(18);
        $html = (string) $this->actingAs($this->tutors[0])->get(route('alike.show', $assignment))->assertOk()
            ->assertSee('Another marker 2')->assertSee('All markers')->getContent();
        $scripts = substr($html, (int) strpos($html, 'Those you marked, furthest apart first'));
        $scripts = substr($scripts, 0, (int) strpos($scripts, '</table>'));
        self::assertStringContainsString('Another marker<', $scripts);
        self::assertDoesNotMatchRegularExpression('/Another marker \d/', $scripts);
    }

    public function test_nothing_marked_and_one_marker_alone_are_said(): void
    {
        $this->module(1, 3);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->oneMark()]));
        $this->actingAs($this->coordinator)->get(route('alike.show', $assignment))->assertOk()
            ->assertSee('No mark is done yet');
        $this->get(route('alike.module', $this->module))->assertOk()->assertSee('No mark is done yet');
        $this->finish($this->markOf($this->script($assignment), Seat::First), 'l2', 'l2');
        $this->get(route('alike.show', $assignment))->assertOk()
            ->assertSee('shares no script with others: nothing can be said')->assertDontSee('Coefficients');
    }

    public function test_equal_marks_leave_undefined_what_they_leave_undefined(): void
    {
        $this->module(2, 12);
        $assignment = $this->sharedOut($this->assignment());
        foreach ($this->scripts($assignment) as $script) {
            $this->finishBoth($script);
        }
        $page = $this->actingAs($this->coordinator)->get(route('alike.show', $assignment))->assertOk();
        $page->assertSee('Cannot be given: all marks lie in one band, so chance alone would agree')
            ->assertSee(
                'Cannot be given: the marks do not differ'
            )->assertSee('100 % of pairs lie within the tolerance');
    }

    public function test_two_teams_that_share_nothing_are_not_compared(): void
    {
        $this->module(4, 8);
        $assignment = $this->sharedOut($this->assignment());
        foreach ($this->scripts($assignment) as $n => $script) {
            [$a, $b] = $n % 2 === 0 ? [0, 1] : [2, 3];
            $script->marks()->where('seat', Seat::Second)->update(['marker_id' => User::factory()->create()->id]);
            $script->marks()->where('seat', Seat::First)->update(['marker_id' => $this->tutors[$a]->id]);
            $script->marks()->where('seat', Seat::Second)->update(['marker_id' => $this->tutors[$b]->id]);
            $this->finish($this->markOf($script, Seat::First), ['l1', 'l2', 'l3'][$n % 3], 'l2');
            $this->finish($this->markOf($script, Seat::Second), ['l2', 'l2', 'l3'][$n % 3], 'l3');
        }
        $this->actingAs($this->coordinator)->get(route('alike.show', $assignment))->assertOk()
            ->assertSee('Markers fall into 2 sets that share no script with each other');
    }

    public function test_earlier_cohorts_stand_beside_when_there_are_enough_results(): void
    {
        $this->module(2, 10);
        $earlier = $this->released();
        $copy = app(CopyAssignment::class)($earlier, $this->module);
        $copy->update(
            [
                'title' => 'Salt again', 'published_at' => now(), 'due_at' => now()->addDay(),
                'closes_at' => now()->addDays(2),
            ]
        );
        $this->actingAs($this->coordinator)->get(route('alike.show', $copy))->assertOk()
            ->assertSee('No mark is done yet');
        $script = Script::query()->create([
            'assignment_id' => $copy->id, 'student_id' => $this->students[0]->id, 'code' => 'GULL-001',
            'current_handin_id' => $this->script($earlier)->current_handin_id,
        ]);
        $this->finish(Mark::give($script, Seat::First, $this->tutors[0]->id, $copy->refresh()), 'l2', 'l2');
        $this->get(route('alike.show', $copy))->assertOk()->assertSee('Salt, results')->assertSee('10');
        self::assertSame(10, Report::LEAST);
    }

    private function drawn(Script $script, string $chance): void
    {
        $sample = \App\Models\Sample::query()->firstOrCreate([
            'assignment_id' => $script->assignment_id, 'number' => 1,
        ], [
            'seed' => 1, 'rule' => $script->assignment->scheme->sample(), 'boundaries' => [], 'from' => 6, 'drawn' => 3,
            'made_by' => $this->coordinator->id,
        ]);
        SampledScript::query()->create([
            'sample_id' => $sample->id, 'script_id' => $script->id, 'first_marker_id' => $this->tutors[0]->id,
            'mark' => '60', 'reasons' => ['drawn'], 'chance' => $chance,
        ]);
    }
}
