<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Actions\Mark\SaveChoice;
use App\Actions\Plan\EditRubric;
use App\Enums\RubricState;
use App\Logbook\LogEvent;
use App\Mail\RubricChanged;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\Rubric;
use Illuminate\Support\Facades\Mail;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Rubric\Draft;

/**
 * A rubric changes after marking has begun: what the coordinator sees, and what each choice does.
 */
final class NewerRubricTest extends TestCase
{
    private Assignment $assignment;

    /** Three scripts: one agreed, one with its first mark done at 50 (5 and 5 of 10), one not begun. */
    private function begun(): void
    {
        Mail::fake();
        $this->module(2, 3);
        $this->assignment = $this->sharedOut($this->assignment());
        $this->finishBoth($this->script($this->assignment, 0));
        $this->finish($this->markOf($this->script($this->assignment, 1), Seat::First), 'l2', 'l2');
        app(SaveChoice::class)(
            $this->markOf($this->script($this->assignment, 1), Seat::Second), 'c1', ['level' => 'l3'],
        );
        $rubric = $this->assignment->rubricVersion?->rubric;
        self::assertInstanceOf(Rubric::class, $rubric);
        $this->actingAs($this->coordinator)->post(
            route('rubrics.state', $rubric), ['state' => RubricState::WorkingCopy->value],
        );
        app(EditRubric::class)(
            $rubric, $this->coordinator,
            fn (Draft $draft) => $draft->set('levels.l2.points', '6')->set('criteria.c1.weight', '70')
                ->set('criteria.c2.weight', '30'),
            'changed',
        );
        $this->post(
            route('rubrics.ready', $rubric), ['seen' => $rubric->refresh()->lock_version],
        )->assertSessionHasNoErrors();
    }

    private function choose(string $choice): void
    {
        $this->post(route('plan.rubric.update', $this->assignment), ['marks' => $choice, 'to' => 2])
            ->assertRedirect(route('plan.edit', $this->assignment))->assertSessionHasNoErrors();
        self::assertSame(2, $this->assignment->refresh()->rubricVersion?->number);
        Mail::assertQueued(RubricChanged::class, 3);
        $this->artisan('logbook:verify')->assertSuccessful();
    }

    /** @return array{int, string|null} the version a mark is made with, and its total */
    private function stands(int $student, Seat $seat): array
    {
        $mark = $this->markOf($this->script($this->assignment, $student), $seat);

        return [$mark->rubricVersion->number, $mark->shownTotal()];
    }

    public function test_differences_and_every_mark_that_would_change_are_shown_first(): void
    {
        $this->begun();
        $this->get(route('plan.edit', $this->assignment))->assertSee(
            'Version 2 of this assignment’s rubric is ready', false,
        );
        $this->get(route('plan.rubric', $this->assignment))->assertOk()
            ->assertSee('Level “Middle”, points')->assertSee('Criterion “Argument”, weight')
            ->assertSee($this->script($this->assignment, 1)->code)->assertSee('50.0')->assertSee('60.0')
            ->assertSee('+10.0')
            ->assertDontSee($this->script($this->assignment, 0)->code)->assertSee('2 agreed or released marks stay');
        $this->post(route('plan.rubric.update', $this->assignment), ['to' => 2])->assertSessionHasErrors('marks');
        $this->post(
            route('plan.rubric.update', $this->assignment), ['marks' => 'move', 'to' => 9],
        )->assertSessionHasErrors('refused');
        self::assertSame(1, $this->assignment->refresh()->rubricVersion?->number);
    }

    public function test_keeping_leaves_begun_scripts_with_their_version(): void
    {
        $this->begun();
        $this->choose('keep');
        self::assertSame(
            [[1, '50.0'], [1, '50.0'], [1, null], [2, null]],
            [
                $this->stands(0, Seat::First), $this->stands(1, Seat::First), $this->stands(1, Seat::Second),
                $this->stands(2, Seat::First),
            ],
        );
    }

    public function test_moving_works_totals_out_anew_and_writes_each_in_the_logbook(): void
    {
        $this->begun();
        $this->choose('move');
        self::assertSame(
            [[1, '50.0'], [2, '60.0'], [2, null]],
            [$this->stands(0, Seat::First), $this->stands(1, Seat::First), $this->stands(2, Seat::First)],
        );
        $line = LogbookLine::query()->where('event', LogEvent::MarkMoved)->where('details->seat', 'first')->sole();
        self::assertSame(
            [$this->script($this->assignment, 1)->code, '50.0', '60.0'],
            [$line->subject, $line->details['before'], $line->details['after']],
        );
    }

    public function test_marking_again_opens_what_was_done_and_keeps_what_was_chosen(): void
    {
        $this->begun();
        $this->choose('remark');
        self::assertSame([2, null], $this->stands(1, Seat::First));
        $mark = $this->markOf($this->script($this->assignment, 1), Seat::First);
        self::assertSame('l2', $mark->choices->on('c1')->level);
        self::assertSame('Comment of the first marker.', $mark->choices->on('c1')->comment);
        self::assertSame([1, '50.0'], $this->stands(0, Seat::First));
        $this->post(
            route('plan.rubric.update', $this->assignment), ['marks' => 'move', 'to' => 2],
        )->assertSessionHasErrors('refused');
    }
}
