<?php

declare(strict_types=1);

namespace Tests\Feature\ShareOut;

use App\Actions\Collect\TakeHandIn;
use App\Models\Mark;
use Illuminate\Support\Carbon;
use Tests\TestCase;

final class ShareOutTest extends TestCase
{
    public function test_a_plan_is_looked_at_first_then_given_out_just_as_it_was_shown(): void
    {
        $this->module(3, 5);
        $assignment = $this->assignment();
        foreach ($this->students as $n => $student) {
            app(TakeHandIn::class)($assignment, $student, $this->prose(20, $n));
        }
        $markers = array_map(fn ($tutor) => $tutor->public_id, $this->tutors);
        $this->actingAs($this->coordinator)->get(route('share-out.index', [$assignment, 'markers' => $markers, 'seed' => 7]))
            ->assertOk()
            ->assertSee('Nothing has been given out yet');
        self::assertSame(0, Mark::query()->count());
        $this->post(route('share-out.store', $assignment), ['markers' => $markers, 'seed' => 7])
            ->assertSessionHasErrors(['refused' => 'Scripts can still change until the due time; share them out after it.']);

        Carbon::setTestNow(now()->addDays(2));
        $page = $this->get(route('share-out.index', [$assignment, 'markers' => $markers, 'seed' => 7]));
        $this->post(route('share-out.store', $assignment), ['markers' => $markers, 'seed' => 7])
            ->assertSessionHas('said', '5 scripts are shared out.');
        foreach ($assignment->scripts()->with('marks.marker')->get() as $script) {
            $page->assertSeeInOrder([$script->code, e($script->marks->firstWhere('part.value', 'first')?->marker->name)], false);
            self::assertCount(2, $script->marks->unique('marker_id'));
        }
        $this->post(route('share-out.store', $assignment), ['markers' => $markers, 'seed' => 7])
            ->assertSessionHasErrors('refused');
    }

    public function test_a_late_hand_in_is_shared_out_later_and_moves_nobody(): void
    {
        $this->module(2, 3);
        $late = array_pop($this->students);
        $assignment = $this->sharedOut($this->assignment());
        $before = Mark::query()->orderBy('id')->get(['id', 'script_id', 'marker_id'])->toArray();
        self::assertNotNull($late);
        self::assertTrue(app(TakeHandIn::class)($assignment, $late, 'Late but here.')->late);
        $this->actingAs($this->coordinator)->post(route('share-out.store', $assignment), ['markers' => array_map(fn ($tutor) => $tutor->public_id, $this->tutors), 'seed' => 3])
            ->assertSessionHas('said', '1 script is shared out.');
        self::assertSame($before, Mark::query()->orderBy('id')->limit(count($before))->get(['id', 'script_id', 'marker_id'])->toArray());
        self::assertSame(count($before) + 2, Mark::query()->count());
    }

    public function test_second_marking_needs_two_and_strangers_cannot_be_chosen(): void
    {
        $this->module(2, 2);
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], 'Words.');
        Carbon::setTestNow(now()->addDays(2));
        $this->actingAs($this->coordinator)->post(route('share-out.store', $assignment), ['markers' => [$this->tutors[0]->public_id, $this->students[1]->public_id], 'seed' => 1])
            ->assertSessionHasErrors(['markers' => 'Second marking needs at least two markers, since nobody marks a script twice.']);
        $this->get(route('share-out.index', [$assignment, 'seed' => 1]))->assertSee('Choose at least one marker.');
        self::assertSame(0, Mark::query()->count());
    }
}
