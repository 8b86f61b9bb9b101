<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Models\Mark;
use App\Models\Settlement;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

final class DeskTest extends TestCase
{
    private function desk(): Mark
    {
        $this->module();

        return $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
    }

    public function test_choices_and_comments_are_saved_as_they_are_made_and_the_total_is_live(): void
    {
        $mark = $this->desk();
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))
            ->assertOk()
            ->assertSee('nothing set yet')
            ->assertSee('not yet set');
        $htmx = ['HX-Request' => 'true'];
        // 60 × 7.5/10 = 45, and Evidence is missing.
        $this->put(route('mark.choose', [$mark, 'c1']), ['stop' => 'l2~l3', 'comment' => 'Nearly.'], $htmx)
            ->assertOk()
            ->assertSee('45.0')
            ->assertSee('Evidence missing')
            ->assertSee('Saved');
        $this->put(route('mark.choose', [$mark, 'c2']), ['stop' => 'l3', 'comment' => ''], $htmx)->assertSee('85.0');
        $this->put(route('mark.comment', $mark), ['general_comment' => "Two\nlines."], $htmx)->assertOk();

        $mark->refresh();
        self::assertSame(
            ['between' => ['l2', 'l3'], 'points' => '7.5', 'comment' => 'Nearly.'], $mark->choices->on('c1')->toArray(),
        );
        self::assertSame("Two\nlines.", $mark->general_comment);
        $this->get(route('mark.desk', $mark))->assertSee('7.5 of 10 × 60 %')->assertSee('Nearly.');
        $this->put(route('mark.choose', [$mark, 'c1']), ['stop' => '', 'comment' => ''], $htmx)
            ->assertSee('Argument missing');
    }

    public function test_without_a_page_script_the_same_forms_work(): void
    {
        $mark = $this->desk();
        $this->actingAs($mark->marker)->put(route('mark.choose', [$mark, 'c1']), ['stop' => 'l3'])
            ->assertRedirect(route('mark.desk', $mark));
        self::assertSame('l3', $mark->refresh()->choices->on('c1')->level);
    }

    public function test_done_needs_every_criterion_and_names_what_is_missing(): void
    {
        $mark = $this->desk();
        $this->actingAs($mark->marker)->put(route('mark.choose', [$mark, 'c1']), ['stop' => 'l3']);
        $this->post(route('mark.done', $mark))
            ->assertSessionHasErrors(
                ['refused' => 'Not done yet: Evidence has no mark. Everything you chose and wrote is kept.']
            );
        self::assertNull($mark->refresh()->done_at);
    }

    public function test_done_leads_to_the_next_script_and_can_be_taken_back_until_both_marks_are_in(): void
    {
        $mark = $this->desk();
        $script = $mark->script;
        $this->finish($mark, 'l2', 'l2');
        $this->actingAs($mark->marker)->put(
            route('mark.choose', [$mark, 'c1']), ['stop' => 'l3'], ['HX-Request' => 'true'],
        )
            ->assertStatus(422)
            ->assertSee('This mark is done');
        $this->post(route('mark.reopen', $mark))->assertRedirect(route('mark.desk', $mark));
        self::assertNull($mark->refresh()->total);
        $this->post(route('mark.done', $mark))->assertRedirect();
        self::assertSame('50.0', $mark->refresh()->shownTotal());

        $this->finish($this->markOf($script, Seat::Second), 'l2', 'l2');
        $this->post(route('mark.reopen', $mark))
            ->assertSessionHasErrors(
                [
                    'refused' => 'Both marks of this script are in, so moderation has begun. If yours should change, settle it with the other marker.',
                ]
            );
        $this->get(route('mark.desk', $mark))->assertOk()->assertDontSee('Open it again')
            ->assertSee('moderation has begun');
        self::assertSame('50', Settlement::query()->sole()->mark);
    }

    public function test_a_desk_opens_for_its_marker_alone_and_a_mark_is_never_found_by_another_address(): void
    {
        $mark = $this->desk();
        $other = $this->markOf($mark->script, Seat::Second);
        $this->actingAs($other->marker)->get(route('mark.desk', $mark))
            ->assertForbidden()
            ->assertSee('This script is with another marker');
        $this->put(route('mark.choose', [$mark, 'c1']), ['stop' => 'l3'])->assertForbidden();
        $this->get(route('mark.desk', $other))->assertOk();
        $this->get(route('mark.desk', 'no-such-mark'))->assertNotFound();
        $this->get('/desk/'.$mark->id)->assertNotFound();
    }

    public function test_a_second_marker_sees_nothing_of_the_first_mark_before_both_are_done(): void
    {
        $mark = $this->desk();
        $this->finish($mark, 'l3', 'l3');
        $second = $this->markOf($mark->script, Seat::Second);
        $this->actingAs($second->marker)->get(route('moderate.show', $mark->script))
            ->assertForbidden()
            ->assertSee('You will see both marks when both are done');
        foreach (
            [
                route('mark.desk', $second), route('moderate.index', $mark->script->assignment),
                route('mark.index', $mark->script->assignment), route('today'),
            ] as $page
        ) {
            $this->get($page)->assertOk()->assertDontSee('Comment of the first marker')->assertDontSee('100.0');
        }
        $this->finish($second, 'l3', 'l3');
        $this->get(route('moderate.show', $mark->script))->assertOk()->assertSee('Comment of the first marker');
    }

    public function test_a_coordinator_who_marks_here_sees_no_other_mark_while_their_own_are_open(): void
    {
        $this->module(1);
        $this->tutors[] = $this->coordinator;
        $assignment = $this->sharedOut($this->assignment());
        $script = $this->script($assignment);
        $theirs = $script->marks->firstWhere('marker_id', $this->tutors[0]->id);
        self::assertInstanceOf(Mark::class, $theirs);
        $this->finish($theirs, 'l3', 'l3');
        $this->actingAs($this->coordinator)->get(route('moderate.index', $assignment))
            ->assertOk()
            ->assertDontSee($script->code);
        $this->get(route('moderate.show', $script))->assertForbidden();
        // Nor does the logbook tell, which says what each finished mark came to.
        $this->get(route('logbook', $this->module))->assertOk()->assertSee('finished a')
            ->assertSee('hidden from you until your own marks here are done')->assertDontSee('total: 100');
        foreach (Mark::counting()->where('marker_id', $this->coordinator->id)->get() as $own) {
            $this->finish($own, 'l1', 'l1');
        }
        $this->get(route('logbook', $this->module))->assertSee('total: 100');
    }

    public function test_after_release_a_mark_no_longer_changes(): void
    {
        $this->module();
        $mark = $this->markOf($this->script($this->released()), Seat::First);
        $this->actingAs($mark->marker)->put(
            route('mark.choose', [$mark, 'c1']), ['stop' => 'l1'], ['HX-Request' => 'true'],
        )
            ->assertStatus(422)
            ->assertSee('has been released; its marks no longer change');
        $this->post(route('mark.reopen', $mark))->assertSessionHasErrors('refused');
        $this->get(route('mark.desk', $mark))->assertOk()->assertDontSee('Open it again');
    }

    public function test_the_database_keeps_first_and_second_mark_apart(): void
    {
        $mark = $this->desk();
        $this->expectException(\Illuminate\Database\UniqueConstraintViolationException::class);
        DB::table('marks')->insert([...DB::table('marks')->where('id', $mark->id)->get(
            ['script_id', 'assignment_id', 'seat', 'counts', 'rubric_version_id', 'work_id']
        )->map(fn (object $row) => (array) $row)->sole(),
            'public_id' => (new Mark)->newUniqueId(), 'marker_id' => $this->coordinator->id, 'choices' => '{}', 'general_comment' => '', 'queue_place' => 1]);
    }
}
