<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Actions\Mark\SaveChoice;
use App\Desk\DeskQueue;
use App\Models\Mark;
use Tests\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\Seat;

final class QueueTest extends TestCase
{
    public function test_next_and_previous_walk_every_script_of_the_marker_once(): void
    {
        $this->module(2, 6);
        $assignment = $this->sharedOut($this->assignment());
        $this->sharedOut($this->assignment()); // another assignment of the same markers stays out of it
        $queue = app(DeskQueue::class);
        $mine = Mark::query()
            ->where('marker_id', $this->tutors[0]->id)
            ->whereIn('script_id', $assignment->scripts()->pluck('id'))
            ->orderByRaw(DeskQueue::order(''))->get();
        self::assertCount(6, $mine);

        $mark = $mine->firstOrFail();
        $walked = [];
        for ($place = 1; $mark instanceof Mark; $place++) {
            $around = $queue->around(Mark::query()->findOrFail($mark->id));
            self::assertSame([$place, 6, 6], [$around['place'], $around['all'], $around['open']]);
            self::assertSame($walked === [] ? null : end($walked), $around['previous']);
            $walked[] = $mark->public_id;
            $mark = $around['next'] === null ? null : Mark::query()->where('public_id', $around['next'])->sole();
        }
        self::assertSame($mine->pluck('public_id')->all(), $walked);
    }

    public function test_done_goes_on_to_what_is_open_and_begins_again_at_the_first(): void
    {
        $this->module(2, 3);
        $assignment = $this->sharedOut($this->assignment());
        $queue = app(DeskQueue::class);
        $mine = Mark::query()->where('marker_id', $this->tutors[0]->id)
            ->whereIn('script_id', $assignment->scripts()->pluck('id'))->orderByRaw(DeskQueue::order(''))->get();
        [$one, $two, $three] = [$mine[0], $mine[1], $mine[2]];

        $this->finish($two, 'l2', 'l2');
        self::assertTrue($queue->nextOpen($one)?->is($three));
        $this->finish($three, 'l2', 'l2');
        self::assertTrue($queue->nextOpen($three)?->is($one));
        $this->finish($one, 'l2', 'l2');
        self::assertNull($queue->nextOpen($one));
    }

    public function test_a_choice_the_criterion_cannot_have_changes_nothing(): void
    {
        $this->module();
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        app(SaveChoice::class)($mark, 'c1', ['level' => 'l2']);
        foreach ([
            ['c1', ['level' => 'l9']], ['c1', ['between' => ['l1', 'l3'], 'points' => '5']],
            ['c1', ['points' => '11', 'reason' => 'Generous.']], ['nowhere', ['level' => 'l1']],
        ] as [$criterion, $choice]) {
            try {
                app(SaveChoice::class)($mark, $criterion, $choice);
                self::fail('It was taken.');
            } catch (InvalidInput $e) {
                self::assertNotSame([], $e->faults);
            }
        }
        self::assertSame(['c1' => ['level' => 'l2']], $mark->refresh()->choices->toArray());
    }

    public function test_comments_are_kept_letter_for_letter(): void
    {
        $this->module();
        $mark = $this->markOf($this->script($this->sharedOut($this->assignment())), Seat::First);
        $comment = "  Indented, with “quotes”, <b>tags</b> & an emoji 🐚\n\nand a second paragraph.  ";
        $this->actingAs($mark->marker)->put(route('mark.choose', [$mark, 'c1']), ['stop' => '', 'comment' => $comment]);
        self::assertSame($comment, $mark->refresh()->choices->on('c1')->comment);
        $this->get(route('mark.desk', $mark))
            ->assertSee('&lt;b&gt;tags&lt;/b&gt; &amp; an emoji 🐚', false)
            ->assertDontSee('<b>tags</b>', false);
        $this->put(route('mark.comment', $mark), ['general_comment' => str_repeat('x', 20_001)])
            ->assertSessionHasErrors('general_comment');
    }

    public function test_the_coordinator_sees_how_far_each_marker_is(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $this->finish($this->markOf($this->script($assignment), Seat::First), 'l2', 'l2');
        $this->actingAs($this->coordinator)->get(route('mark.index', $assignment))
            ->assertOk()
            ->assertSee('How far is everyone')
            ->assertSee($this->tutors[0]->name)
            ->assertSee($this->tutors[1]->name);
        $this->actingAs($this->tutors[0])->get(route('mark.index', $assignment))
            ->assertDontSee('How far is everyone')
            ->assertDontSee($this->tutors[1]->name);
    }
}
