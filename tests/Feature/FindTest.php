<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Module;
use App\Models\User;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;

/**
 * Finding by a few letters: only what is open to whoever looks, and never from a code to a name or back.
 */
final class FindTest extends TestCase
{
    private Assignment $essay;

    private function world(): void
    {
        $this->module(2, 3);
        $this->module->update(['code' => 'HT9', 'title' => 'Wrecks and Wardens']);
        $this->essay = $this->sharedOut($this->assignment(['title' => 'Essay on wardens']));
        $this->students[0]->update(['name' => 'Wanda Wardensdottir']);
    }

    /**
     * @return TestResponse<Response>
     */
    private function find(?User $person, string $words): TestResponse
    {
        $person === null || $this->actingAs($person->fresh() ?? $person);

        return $this->get(route('find', ['q' => $words]))->assertOk();
    }

    public function test_a_coordinator_finds_modules_assignments_rubrics_people_and_scripts(): void
    {
        $this->world();
        $script = $this->script($this->essay);
        $member = Membership::query()->where('user_id', $this->students[0]->id)->sole();
        $this->find($this->coordinator, 'warden')->assertSee('HT9 Wrecks and Wardens')->assertSee('Essay on wardens')
            ->assertSee('Wanda Wardensdottir')->assertSee(route('members.show', $member))->assertDontSee($script->code);
        $this->find(null, 'two crit')->assertSee('Two criteria');
        $this->find(null, mb_strtolower($script->code))->assertSee($script->code)->assertSee(route('moderate.show', $script))
            ->assertDontSee('Wanda');
        $this->find(null, (string) $this->students[0]->number)->assertSee('Wanda')->assertDontSee($script->code);
        $this->find(null, 'w')->assertSee('Write two letters or more');
        $this->find(null, 'nothing of the kind')->assertSee('Nothing is found for');
        $this->find(null, '%%')->assertSee('Nothing is found for');
        $this->find(null, '__')->assertSee('Nothing is found for');
        $this->get(route('find', ['q' => ['x']]))->assertOk();
        $this->get(route('today'))->assertSee('role="search"', false);
    }

    public function test_a_marker_finds_scripts_of_their_own_and_nobody_s_name(): void
    {
        $this->world();
        $mark = $this->markOf($this->script($this->essay), Seat::First);
        $this->find($mark->marker, $mark->script->code)->assertSee(route('mark.desk', $mark))->assertDontSee('Wanda');
        $this->find(null, 'Wanda')->assertSee('Nothing is found for');
        $this->find(null, 'essay on')->assertSee('Essay on wardens');
        $other = $this->member(Role::Tutor);
        $this->find($other, $mark->script->code)->assertSee('Nothing is found for');
    }

    public function test_a_student_finds_what_is_open_to_them_and_who_left_or_is_elsewhere_nothing(): void
    {
        $this->world();
        $this->assignment(['title' => 'Essay to come'])->update(['published_at' => null]);
        $this->find($this->students[1], 'essay')->assertSee('Essay on wardens')->assertDontSee('Essay to come');
        $this->find(null, 'two crit')->assertSee('Nothing is found for');
        $this->find(null, $this->script($this->essay, 1)->code)->assertSee('Nothing is found for');
        $this->find(null, $this->students[2]->name)->assertSee('Nothing is found for');
        $elsewhere = $this->member(Role::Coordinator, Module::factory()->create());
        foreach (['warden', 'Wanda', $this->script($this->essay)->code, 'two crit'] as $words) {
            $this->find($elsewhere, $words)->assertSee('Nothing is found for');
        }
        Membership::query()->where('user_id', $this->coordinator->id)->update(['left_at' => now()]);
        foreach (['warden', 'Wanda', $this->script($this->essay)->code, 'two crit'] as $words) {
            $this->find($this->coordinator, $words)->assertSee('Nothing is found for');
        }
    }
}
