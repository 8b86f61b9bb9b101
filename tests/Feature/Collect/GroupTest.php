<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Release\ReleaseResults;
use App\Actions\Release\RevealNames;
use App\Actions\Screen\CompareHandin;
use App\Actions\ShareOut\WorkOutPlan;
use App\Enums\HandInBy;
use App\Jobs\CompareHandinJob as CompareJob;
use App\Models\Assignment;
use App\Models\Conflict;
use App\Models\Handin;
use App\Models\Mark;
use App\Models\OverlapReport;
use App\Models\Result;
use App\Models\User;
use App\Queries\AssignmentCounts;
use Illuminate\Support\Carbon;
use Tests\TestCase;

/**
 * Work handed in by a group: one mark for all, or each member marked.
 */
final class GroupTest extends TestCase
{
    private Assignment $assignment;

    /** Five students: two groups of two, and one who is in none. */
    private function grouped(string $by): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(2, 5);
        $this->assignment = $this->assignment(['handin_by' => $by]);
        $lines = implode(
            "\n",
            array_map(
                fn (int $n, string $group) => "{$this->students[$n]->email}, {$group}", range(0, 4),
                ['North', 'North', 'South', 'South', ''],
            ),
        );
        $this->actingAs($this->coordinator)->post(route('groups.store', $this->assignment), ['lines' => $lines])
            ->assertSessionHasNoErrors();
        foreach ([0, 2, 4] as $n) {
            app(TakeHandIn::class)(
                $this->assignment, $this->students[$n],
                "Together with {$this->students[1]->name}. ".$this->prose(80, $n),
            );
        }
        OverlapReport::query()->pluck('handin_id')
            ->each(fn (int $id) => (new CompareJob($id))->handle(app(CompareHandin::class)));
    }

    private function markAll(): void
    {
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($this->assignment);
        foreach (Mark::query()->get() as $mark) {
            $this->finish($mark, 'l3', 'l2');
        }
    }

    public function test_one_hands_in_for_all_each_has_a_receipt_and_no_name_of_the_group_reaches_markers(): void
    {
        $this->grouped('group');
        self::assertSame(5, Handin::query()->count());
        $mate = $this->script($this->assignment, 1)->currentHandin;
        self::assertNotNull($mate);
        self::assertStringNotContainsString($this->students[1]->name, $mate->html.$mate->text);
        $this->actingAs($this->students[1])->get(route('receipts.show', $mate))->assertOk()
            ->assertSee("{$this->students[0]->name}, for your group");
        $this->get(route('hand-in.show', $this->assignment))->assertSee('one mark together')
            ->assertSee($this->students[0]->name)->assertDontSee($this->students[2]->name);
        $this->actingAs($this->students[0])->get(route('receipts.show', $mate))->assertForbidden();
        app(TakeHandIn::class)($this->assignment, $this->students[1], 'A second try. '.$this->prose(80, 9));
        self::assertSame(
            [2, 2, 1],
            array_map(fn (int $n) => $this->script($this->assignment, $n)->currentHandin?->attempt, [0, 1, 2]),
        );
    }

    public function test_with_one_mark_one_script_is_marked_and_all_get_the_result(): void
    {
        $this->grouped('group');
        self::assertSame(3, OverlapReport::query()->count());
        $this->markAll();
        self::assertSame(6, Mark::query()->count(), 'three scripts, two marks each');
        $counts = app(AssignmentCounts::class)->of($this->assignment->refresh());
        self::assertSame(
            [5, 5, 5, 5, 0],
            [$counts->handedIn, $counts->sharedOut, $counts->firstDone, $counts->agreed, $counts->toSettle],
        );
        $this->actingAs($this->coordinator)->get(route('release.index', $this->assignment))->assertOk()
            ->assertSee('5 results are ready');
        self::assertSame(5, app(ReleaseResults::class)($this->assignment, null, $this->coordinator));
        self::assertSame(
            ['80.0'], Result::query()->get()->map(fn (Result $result) => $result->shownMark())->unique()->all(),
        );
        $mine = Result::query()->where('script_id', $this->script($this->assignment, 1)->id)->sole();
        $this->actingAs($this->students[1])->get(route('results.show', $mine))->assertOk()
            ->assertSee('handed in together:')->assertSee($this->students[0]->name)
            ->assertSee('Comment of the first marker.');
        app(RevealNames::class)($this->assignment);
        $mark = Mark::query()
            ->whereIn('script_id', [$this->script($this->assignment, 0)->id, $this->script($this->assignment, 1)->id])
            ->firstOrFail();
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertSee($this->students[0]->name)
            ->assertSee($this->students[1]->name);
    }

    public function test_marked_one_by_one_each_has_a_script_and_a_group_does_not_overlap_with_itself(): void
    {
        $this->grouped('group-one-by-one');
        self::assertSame(5, OverlapReport::query()->count());
        self::assertSame(0, (int) OverlapReport::query()->sum('runs'));
        $this->markAll();
        self::assertSame(10, Mark::query()->count());
    }

    public function test_groups_are_fixed_once_work_has_come_in_and_bad_lines_change_nothing(): void
    {
        $this->grouped('group');
        $line = fn (int $n, string $group): string => "{$this->students[$n]->email}, {$group}\n";
        $this->actingAs($this->coordinator)
            ->post(
                route('groups.store', $this->assignment),
                ['lines' => $line(0, 'South').$line(1, 'North').$line(2, 'South').$line(3, 'South')],
            )
            ->assertSessionHasErrors('refused');
        $this->post(
            route('groups.store', $this->assignment),
            ['lines' => "nobody@merrow.example, North\n".$line(1, 'North').$line(1, 'South')],
        )->assertSessionHasErrors('lines');
        self::assertStringContainsString('Line 1: nobody here', implode(' ', session('errors')->get('lines')));
        self::assertStringContainsString('Line 3:', implode(' ', session('errors')->get('lines')));
        self::assertSame(
            ['North', 'North', 'South', 'South', null],
            array_map(fn (int $n) => $this->script($this->assignment, $n)->group_name, range(0, 4)),
        );
        $this->post(
            route('groups.draw', $this->assignment), ['size' => 2, 'seed' => 3],
        )->assertSessionHasErrors('refused');
    }

    public function test_groups_are_drawn_and_the_same_seed_draws_the_same(): void
    {
        $this->module(1, 7);
        $assignment = $this->assignment(['handin_by' => 'group']);
        $draw = fn (int $size, int $seed) => $this->actingAs($this->coordinator)->post(
            route('groups.draw', $assignment), ['size' => $size, 'seed' => $seed],
        );
        $groups = fn (): array => $assignment->scripts()->orderBy('id')->pluck('group_name')->all();
        $draw(3, 11)->assertSessionHas('said', '2 groups are drawn with the seed 11.');
        $first = $groups();
        self::assertSame([3, 4], collect($first)->countBy()->sort()->values()->all());
        $draw(2, 5);
        $draw(3, 11);
        self::assertSame($first, $groups());
        self::assertSame(2, $assignment->scripts()->whereNull('lead_id')->count());
        $draw(1, 11)->assertSessionHasErrors(['size' => 'A group has 2 to 20 members.']);
        $alone = $this->assignment();
        $this->post(route('groups.draw', $alone), ['size' => 3, 'seed' => 1])->assertSessionHasErrors('refused');
        $this->get(route('groups.index', $alone))->assertSee('Each student hands in alone here');
    }

    public function test_a_conflict_with_one_of_a_group_keeps_the_groups_work_away(): void
    {
        $this->grouped('group');
        Carbon::setTestNow(now()->addDays(2));
        $conflict = Conflict::factory()->create(
            [
                'module_id' => $this->module->id, 'marker_id' => $this->tutors[0]->id,
                'student_id' => $this->students[1]->id, 'reason' => 'Sisters.', 'made_by' => $this->coordinator->id,
            ]
        );
        $this->shareOut($this->assignment, [...$this->tutors, $this->coordinator], 3);
        $north = $this->script($this->assignment, 0)->leadScript();
        self::assertNotContains($this->tutors[0]->id, $north->marks->pluck('marker_id')->all());
        self::assertCount(2, $north->marks);
        self::assertTrue($conflict->exists);
    }

    public function test_scripts_of_a_group_stay_with_one_first_marker_when_that_is_wanted(): void
    {
        $this->grouped('group-one-by-one');
        Carbon::setTestNow(now()->addDays(2));
        $markers = array_map(
            fn (User $tutor) => ['marker' => $tutor->public_id, 'share' => '1', 'sections' => null], $this->tutors,
        );
        for ($seed = 1; $seed < 8; $seed++) {
            $plan = app(WorkOutPlan::class)($this->assignment, $markers, $seed, true, false, $this->coordinator);
            $first = collect($plan->entries)->where('part', 'first')->pluck('marker', 'script');
            foreach ([[0, 1], [2, 3]] as [$one, $other]) {
                self::assertSame(
                    $first[$this->script($this->assignment, $one)->code],
                    $first[$this->script($this->assignment, $other)->code],
                );
            }
            self::assertStringStartsWith(
                'Groups stay together with their first marker: loads lie from', $plan->notes[0],
            );
        }
        self::assertTrue($this->assignment->refresh()->keep_groups);
        self::assertTrue(
            $this->assignment(['title' => 'Fresh', 'handin_by' => HandInBy::GroupOneByOne])->refresh()->keep_groups,
            'a group’s scripts stay together unless one says otherwise',
        );
        $this->actingAs($this->coordinator)->get(route('share-out.index', $this->assignment))->assertOk()
            ->assertSee('North')->assertSee('Groups stay together with their first marker');
    }
}
