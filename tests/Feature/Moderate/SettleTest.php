<?php

declare(strict_types=1);

namespace Tests\Feature\Moderate;

use App\Models\MarkComment;
use App\Models\Proposal;
use App\Models\Script;
use App\Models\Settlement;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SettledBy;
use YoungHarbor\Core\Marking\Standing;

final class SettleTest extends TestCase
{
    private function marked(string $first, string $second, string $tolerance = '5'): Script
    {
        $this->module();
        $script = $this->script(
            $this->sharedOut($this->assignment(['scheme' => $this->scheme(['tolerance' => $tolerance])]))
        );
        $this->finish($this->markOf($script, Seat::First), $first, 'l2');
        $this->finish($this->markOf($script, Seat::Second), $second, 'l2');

        return $script->refresh();
    }

    public function test_equal_marks_settle_by_the_rule(): void
    {
        $script = $this->marked('l2', 'l2');
        self::assertSame(
            [Standing::Agreed, SettledBy::Rule, '50'],
            [$script->standing, $script->settlement?->settled_by, $script->settlement?->mark],
        );
    }

    public function test_marks_too_far_apart_wait_for_their_markers_who_propose_and_accept(): void
    {
        // 60 × 10/10 + 40 × 5/10 = 80 against 60 × 5/10 + 20 = 50.
        $script = $this->marked('l3', 'l2');
        $first = $this->markOf($script, Seat::First)->marker;
        $second = $this->markOf($script, Seat::Second)->marker;
        self::assertSame(Standing::ToSettle, $script->standing);
        $this->actingAs($first)->get(route('moderate.show', $script))
            ->assertOk()
            ->assertSee('30 apart, more than the tolerance of 5')
            ->assertSee('80.0')
            ->assertSee('50.0')
            ->assertSee('The script')->assertSee(substr((string) $script->currentHandin?->html, 0, 60), false)
            ->assertSee(route('mark.desk', $this->markOf($script, Seat::First)));

        $this->post(
            route('moderate.propose', $script), ['mark' => '62,55', 'reason' => 'A reason that is long enough.'],
        )
            ->assertSessionHasErrors('mark');
        $this->post(route('moderate.propose', $script), ['mark' => '62.5', 'reason' => 'short'])
            ->assertSessionHasErrors('reason');
        $this->post(
            route('moderate.propose', $script),
            ['mark' => '62,5', 'reason' => 'We read the third section differently.'],
        )
            ->assertRedirect();
        $proposal = Proposal::query()->sole();
        $this->post(route('moderate.accept', $script), ['proposal' => $proposal->id])
            ->assertSessionHasErrors(
                ['refused' => 'You proposed this mark yourself; the other marker has to accept it.']
            );

        $this->actingAs($second)->post(
            route('moderate.propose', $script), ['mark' => '66', 'reason' => 'Closer to your mark, I think.'],
        );
        $this->post(route('moderate.accept', $script), ['proposal' => $proposal->id])
            ->assertSessionHasErrors('refused');
        $this->actingAs($first)->post(
            route('moderate.accept', $script), ['proposal' => Proposal::query()->latest('id')->firstOrFail()->id],
        )
            ->assertSessionHas('said');

        $settlement = Settlement::query()->sole();
        self::assertSame(['66', SettledBy::Agreement], [$settlement->mark, $settlement->settled_by]);
        self::assertContains('Closer to your mark, I think.', array_column($settlement->working, 'how'));
        $this->post(route('moderate.propose', $script), ['mark' => '70', 'reason' => 'Once more with feeling.'])
            ->assertSessionHasErrors(['refused' => 'This script is settled already.']);
    }

    public function test_a_wide_tolerance_never_carries_a_mark_across_the_pass_line(): void
    {
        // 20 and 50: within 40 of each other, and the pass line at 40 lies between.
        $script = $this->marked('l1', 'l2', '40');
        self::assertSame(Standing::ToSettle, $script->standing);
        $this->actingAs($this->coordinator)->get(route('moderate.show', $script))
            ->assertSee('on different sides of the pass line at 40')
            ->assertDontSee('Propose it');
    }

    public function test_others_neither_see_nor_settle_it(): void
    {
        $script = $this->marked('l3', 'l2');
        $this->actingAs($this->students[0])->get(route('moderate.show', $script))->assertForbidden();
        $this->actingAs($this->coordinator)->post(
            route('moderate.propose', $script), ['mark' => '60', 'reason' => 'I am not a marker here.'],
        )
            ->assertForbidden();
    }

    public function test_one_mark_a_script_is_agreed_when_it_is_done(): void
    {
        $this->module();
        $script = $this->script($this->sharedOut($this->assignment(['scheme' => $this->oneMark()])));
        $this->finish($this->markOf($script, Seat::First), 'l3', 'l1');
        self::assertSame(
            [SettledBy::OnlyMark, '60'], [$script->refresh()->settlement?->settled_by, $script->settlement?->mark],
        );
    }

    public function test_a_look_at_a_name_before_release_is_shown_where_the_script_is_moderated(): void
    {
        $this->module();
        $script = $this->script($this->sharedOut($this->assignment()));
        $this->actingAs($this->coordinator)
            ->post(route('scripts.name', $script), ['reason' => 'The registry asks who this is.'])
            ->assertSessionHasNoErrors();
        $this->finishBoth($script);
        $examiner = $this->member(\App\Enums\Role::Examiner);
        $this->actingAs($examiner)->get(route('moderate.show', $script))->assertOk()
            ->assertSee("looked at before release: {$this->coordinator->name}")
            ->assertSee('The registry asks who this is.');
        // To its markers the reason might tell whose it is.
        $this->actingAs($this->tutors[0])->get(route('moderate.show', $script))->assertOk()
            ->assertSee('looked at before release')->assertDontSee('The registry asks who this is.');
    }

    public function test_comments_on_the_script_stand_beside_each_other_once_both_are_done(): void
    {
        $this->module();
        $script = $this->script($this->sharedOut($this->assignment()));
        foreach ([Seat::First, Seat::Second] as $part) {
            if ($script->mark($part) !== null) {
                $mark = $this->markOf($script, $part);
                MarkComment::factory()->create(
                    [
                        'mark_id' => $mark->id, 'kind' => 'question', 'criterion' => 'c2',
                        'body' => "Asked by the {$part->value}.",
                        'anchor' => [
                            'exact' => 'Essay', 'prefix' => '', 'suffix' => '', 'start' => 0, 'end' => 5,
                            'version' => '',
                        ],
                    ]
                );
            }
        }
        $this->finish($this->markOf($script, Seat::First), 'l3', 'l3');
        $this->actingAs($this->coordinator)->get(route('moderate.show', $script))->assertOk()
            ->assertSee('Asked by the first.')->assertDontSee('Asked by the second.');
        $second = $this->markOf($script, Seat::Second);
        $this->actingAs($second->marker)->get(route('moderate.show', $script))->assertForbidden();
        $this->finish($second, 'l1', 'l1');
        $this->get(route('moderate.show', $script))->assertOk()
            ->assertSeeInOrder(['Asked by the first.', 'Asked by the second.']);
    }
}
