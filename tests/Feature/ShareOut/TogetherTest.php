<?php

declare(strict_types=1);

namespace Tests\Feature\ShareOut;

use App\Actions\Mark\FinishMark;
use App\Actions\Mark\SaveChoice;
use App\Actions\Release\ReleaseResults;
use App\Desk\DeskQueue;
use App\Documents\ScriptText;
use App\Models\Assignment;
use App\Models\AssignmentMarker;
use App\Models\LevelNote;
use App\Models\Mark;
use App\Models\MarkComment;
use App\Models\Script;
use App\Models\Settlement;
use App\Models\User;
use App\Queries\Mark\MarkerProgress;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Text\TextAnchor;

final class TogetherTest extends TestCase
{
    private Assignment $work;

    private Script $script;

    protected function setUp(): void
    {
        parent::setUp();
        $this->module(2, 3);
        $this->work = $this->sharedOut($this->assignment());
        $this->script = $this->script($this->work);
        $this->actingAs($this->coordinator)
            ->post(route('together.store', $this->work), ['scripts' => [$this->script->code]])
            ->assertSessionHas('said', 'Each of the 2 markers finds them first in their queue.');
    }

    private function together(User $marker): Mark
    {
        return Mark::query()->where('seat', Seat::Together)->where('marker_id', $marker->id)->sole();
    }

    private function done(User $marker, string $level): void
    {
        app(SaveChoice::class)(
            $this->together($marker), 'c1', ['level' => $level, 'comment' => "As {$marker->name} reads it."],
        );
        app(SaveChoice::class)($this->together($marker), 'c2', ['level' => $level]);
        app(FinishMark::class)($this->together($marker));
    }

    public function test_why_nothing_can_be_chosen_yet_is_said_before_anyone_chooses(): void
    {
        $early = $this->assignment(['title' => 'Still open']);
        $this->actingAs($this->coordinator)->get(route('together.index', $early))
            ->assertSee('Scripts can still change until the due time')->assertSee('disabled', false);
        $this->get(route('together.index', $this->work))->assertDontSee('Scripts can still change');
        AssignmentMarker::query()->where('assignment_id', $this->work->id)->where('user_id', '<>', $this->tutors[0]->id)
            ->delete();
        $this->get(route('together.index', $this->work))->assertSee(
            'Marking together needs two markers at least; one is agreed'
        );
    }

    public function test_marks_made_together_count_for_nothing(): void
    {
        $this->done($this->tutors[0], 'l3');
        $this->done($this->tutors[1], 'l1');
        self::assertSame(0, Settlement::query()->count());
        $this->finishBoth($this->script);
        self::assertSame('50', Settlement::query()->sole()->mark);
        self::assertCount(2, $this->script->refresh()->marks);
        $this->actingAs($this->tutors[0])->post(route('mark.reopen', $this->together($this->tutors[0])))
            ->assertSessionHasNoErrors();
        self::assertSame(1, Settlement::query()->count(), 'opening it again undoes no settlement');
        $this->actingAs($this->coordinator)->get(route('moderate.show', $this->script))->assertOk()
            ->assertDontSee('As ');
    }

    public function test_nobody_sees_the_others_before_their_own_are_done(): void
    {
        $this->done($this->tutors[0], 'l3');
        $this->actingAs($this->tutors[1])->get(route('together.index', $this->work))->assertOk()
            ->assertSee('The others’ marks open when yours are done')->assertDontSee('As ');
        $this->actingAs($this->tutors[0])->get(route('together.index', $this->work))->assertOk()
            ->assertSee("As {$this->tutors[0]->name} reads it.")->assertSee('100.0');
        $this->done($this->tutors[1], 'l1');
        $this->actingAs($this->tutors[1])->get(route('together.index', $this->work))
            ->assertSee("As {$this->tutors[0]->name} reads it.");
        $this->actingAs($this->students[0])->get(route('together.index', $this->work))->assertForbidden();
    }

    public function test_a_script_someone_has_begun_on_stays_and_too_many_are_refused(): void
    {
        app(SaveChoice::class)($this->together($this->tutors[0]), 'c1', ['level' => 'l2']);
        $this->actingAs($this->coordinator)->post(route('together.store', $this->work), ['scripts' => []])
            ->assertSessionHasErrors(
                [
                    'refused' => "{$this->script->code} cannot be taken out: someone has begun on it. Nothing was changed.",
                ]
            );
        $this->post(
            route('together.store', $this->work), ['scripts' => ['GULL-001', 'b', 'c', 'd', 'e', 'f', 'g']],
        )->assertSessionHasErrors('refused');
        $other = $this->script($this->work, 1)->code;
        $this->post(
            route('together.store', $this->work), ['scripts' => [$this->script->code, $other]],
        )->assertSessionHasNoErrors();
        self::assertSame(4, Mark::query()->where('seat', Seat::Together)->count());
        $this->post(route('together.store', $this->work), ['scripts' => [$this->script->code]]);
        self::assertSame(2, Mark::query()->where('seat', Seat::Together)->count());
    }

    public function test_what_the_levels_mean_is_kept_for_all_and_two_writers_lose_nothing(): void
    {
        $this->actingAs($this->coordinator)
            ->put(
                route('together.levels', $this->work),
                [
                    'note' => ['c1' => "High: an objection is met,\nnot only named.", 'c2' => '', 'zz' => 'x'],
                    'seen' => ['c1' => ''],
                ],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(["High: an objection is met,\nnot only named."], LevelNote::query()->pluck('text')->all());
        $this->actingAs($this->tutors[0])->put(
            route('together.levels', $this->work),
            [
                'note' => ['c1' => 'Written at the same time.', 'c2' => 'Two sources at least.'],
                'seen' => ['c1' => '', 'c2' => ''],
            ],
        )
            ->assertSessionHasErrors(
                [
                    'note' => 'Someone wrote meanwhile on: Argument. Their words are beside the fields, yours are still in them: bring them together and keep it again.',
                ]
            );
        self::assertSame(
            ["High: an objection is met,\nnot only named.", 'Two sources at least.'],
            LevelNote::query()->orderBy('criterion')->pluck('text')->all(),
        );
    }

    public function test_a_marker_begins_from_the_mark_they_made_together_and_types_nothing_twice(): void
    {
        $own = $this->markOf($this->script, Seat::First);
        $marker = $own->marker;
        $this->done($marker, 'l3');
        $together = $this->together($marker);
        MarkComment::factory()->create(
            [
                'mark_id' => $together->id, 'kind' => 'praise', 'criterion' => 'c1', 'body' => 'Here it turns.',
                'anchor' => TextAnchor::at(ScriptText::of($together->handin), 0, 5)->toArray(),
            ]
        );
        $this->actingAs($marker)->get(route('mark.desk', $own))->assertOk()->assertSee('Begin from that mark');
        $this->post(route('mark.together', $own))->assertSessionHas('said');
        $own->refresh();
        self::assertEquals($together->refresh()->choices, $own->choices);
        self::assertNull($own->done_at, 'it is begun, not done');
        self::assertSame(['Here it turns.'], $own->comments()->pluck('body')->all());
        self::assertSame(1, $together->comments()->count());
        // Begun once, it is not written over.
        $this->post(route('mark.together', $own))->assertSessionHasErrors('refused');
        $this->get(route('mark.desk', $own))->assertDontSee('Begin from that mark');
        $second = $this->markOf($this->script, Seat::Second);
        $this->actingAs($second->marker)->post(route('mark.together', $second))->assertSessionHasErrors('refused');
    }

    public function test_what_is_marked_together_comes_first_in_the_queue_and_stays_out_of_progress(): void
    {
        $marker = $this->tutors[0];
        $this->actingAs($marker)->get(route('mark.index', $this->work))->assertOk()->assertSee('together with all');
        self::assertSame($this->together($marker)->id, app(DeskQueue::class)->resume($this->work, $marker)?->id);
        $row = app(MarkerProgress::class)->of($this->work)->firstWhere('id', $marker->public_id);
        self::assertSame(3, $row['given'] ?? null, 'three scripts with two marks each over two tutors');
        $this->get(route('mark.desk', $this->together($marker)))->assertOk()->assertSee('together, counts for nothing');
    }

    public function test_what_was_left_over_from_starting_together_waits_for_nobody_once_results_are_out(): void
    {
        $marker = $this->tutors[0];
        $left = $this->together($marker);
        self::assertSame($left->id, app(DeskQueue::class)->resume($this->work, $marker)?->id);
        $own = $this->markOf($this->script, Seat::First);
        $this->finishBoth($this->script);
        Mark::counting()->where('marker_id', $marker->id)->update(['done_at' => now(), 'total' => '50']);
        self::assertStringContainsString(
            '1 script to mark', (string) $this->actingAs($marker)->get(route('today'))->getContent(),
        );
        app(ReleaseResults::class)($this->work, [$this->script->code], $this->coordinator);
        $this->get(route('today'))->assertOk()->assertDontSee('1 script to mark');
        self::assertNull(app(DeskQueue::class)->resume($this->work, $marker));
        $this->get(route('mark.desk', $left))->assertOk()->assertSee('Results are out; nothing is left to do here');
        $this->actingAs($own->marker)->get(route('mark.desk', $own))->assertOk()->assertDontSee('Open it again');
    }
}
