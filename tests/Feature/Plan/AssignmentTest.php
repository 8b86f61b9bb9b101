<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Models\Assignment;
use Illuminate\Support\Carbon;
use Tests\TestCase;

final class AssignmentTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function form(array $fields = []): array
    {
        return ['title' => 'Salt', 'brief' => 'Write.', 'rubric' => '', 'opens_at' => '', 'due_at' => '2026-12-04T12:00', 'closes_at' => '2026-12-07T12:00', 'promised_on' => '2026-12-20',
            'bands' => 'classes', 'pass_mark' => '40', 'tolerance' => '5', ...self::SECOND_MARKS, 'settle_rule' => 'mean', 'overlap_seen' => 'start', ...$fields];
    }

    public function test_an_assignment_is_planned_checked_and_opened(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module();
        $rubric = $this->readyRubric()->rubric;
        $this->actingAs($this->coordinator)->post(route('plan.store', $this->module), $this->form())
            ->assertSessionHas('said');
        $assignment = Assignment::query()->sole();
        $this->post(route('plan.open', $assignment))
            ->assertSessionHasErrors(['refused' => 'Before students can see it, the assignment needs a ready rubric.']);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))->assertForbidden();

        $this->actingAs($this->coordinator)->put(
            route('plan.update', $assignment), $this->form(['rubric' => $rubric->public_id, 'lock_version' => 1]),
        );
        $this->post(route('plan.open', $assignment))->assertRedirect(route('collect.index', $assignment));
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))
            ->assertOk()
            ->assertSee('Fri 4 Dec 2026 12:00')
            ->assertSee('Argument');
    }

    public function test_times_are_the_institutions_with_daylight_saving(): void
    {
        $this->module();
        $this->actingAs($this->coordinator)->post(
            route('plan.store', $this->module),
            $this->form(['due_at' => '2026-07-01T12:00', 'closes_at' => '2026-12-01T12:00']),
        );
        $assignment = Assignment::query()->sole();
        self::assertSame(
            ['2026-07-01 11:00', '2026-12-01 12:00'],
            [$assignment->due_at?->format('Y-m-d H:i'), $assignment->closes_at?->format('Y-m-d H:i')],
        );
        $this->post(route('plan.store', $this->module), $this->form(['due_at' => '2026-03-29T01:30']))
            ->assertSessionHasErrors(
                ['due_at' => 'Write a day and time; that time does not exist; the clocks skip it.']
            );
    }

    public function test_bad_input_is_named_and_kept(): void
    {
        $this->module();
        $working = $this->workingCopy();
        $this->actingAs($this->coordinator)->post(
            route('plan.store', $this->module),
            $this->form(['title' => '', 'tolerance' => '5,5,5', 'pass_mark' => '140']),
        )
            ->assertSessionHasErrors(['title', 'tolerance', 'pass_mark'])
            ->assertSessionHasInput('tolerance', '5,5,5');
        $this->post(route('plan.store', $this->module), $this->form(['closes_at' => '2026-12-01T12:00']))
            ->assertSessionHasErrors('closes_at');
        $this->post(route('plan.store', $this->module), $this->form(['rubric' => $working->public_id]))
            ->assertSessionHasErrors(['rubric' => 'Only a ready rubric can be used.']);
        self::assertSame(0, Assignment::query()->count());
    }

    public function test_promises_to_students_are_kept(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module();
        $assignment = $this->assignment(
            ['due_at' => Carbon::parse('2026-12-04 12:00'), 'closes_at' => Carbon::parse('2026-12-07 12:00')]
        );
        $other = $this->readyRubric()->rubric;
        $form = fn (array $fields): array => $this->form(
            [
                'lock_version' => $assignment->refresh()->lock_version,
                'rubric' => $assignment->rubricVersion?->rubric->public_id, ...$fields,
            ]
        );
        $this->actingAs($this->coordinator)->put(
            route('plan.update', $assignment), $form(['due_at' => '2026-12-03T12:00']),
        )
            ->assertSessionHasErrors('due_at');
        $this->put(route('plan.update', $assignment), $form(['rubric' => $other->public_id]))
            ->assertSessionHasErrors('rubric');
        $this->put(route('plan.update', $assignment), $form(['due_at' => '2026-12-05T12:00']))
            ->assertSessionHasNoErrors();
        $this->put(route('plan.update', $assignment), $form(['lock_version' => 1, 'title' => 'Old page']))
            ->assertSessionHasErrors('lock_version');
        self::assertSame('Salt', $assignment->refresh()->title);
    }

    public function test_how_marks_settle_is_fixed_once_scripts_are_with_markers(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $this->actingAs($this->coordinator)->put(
            route('plan.update', $assignment),
            $this->form(
                [
                    'lock_version' => $assignment->lock_version,
                    'rubric' => $assignment->rubricVersion?->rubric->public_id, 'tolerance' => '20',
                    'due_at' => '2036-12-04T12:00', 'closes_at' => '2036-12-05T12:00',
                ]
            ),
        )
            ->assertSessionHasErrors(
                [
                    'settle_rule' => 'Scripts are with markers; whether they get marks, how marks settle and which bands they fall in can no longer change.',
                ]
            );
    }
}
