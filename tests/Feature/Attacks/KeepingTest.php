<?php

declare(strict_types=1);

namespace Tests\Feature\Attacks;

use App\Actions\Keeping\DecideKeeping;
use App\Actions\Keeping\LetGoWhatIsDecided;
use App\Actions\Keeping\SetPeriods;
use App\Actions\Keeping\TakeLettingGoBack;
use App\Enums\KeepingState;
use App\Enums\Role;
use App\Exceptions\Refused;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\Institution;
use App\Models\KeepingDecision;
use App\Models\LogbookLine;
use App\Models\Module;
use App\Models\User;
use Tests\TestCase;
use YoungHarbor\Core\Keeping\Kind;
use YoungHarbor\Core\Keeping\Periods;

/**
 * Ways to make something go that should stay, or stay that should go.
 */
final class KeepingTest extends TestCase
{
    private Assignment $work;

    private string $thing;

    private User $stranger;

    protected function setUp(): void
    {
        parent::setUp();
        $this->module(2, 2);
        $this->work = $this->released();
        app(SetPeriods::class)(null, Periods::fromArray(['texts' => 12]), 'A rule.', $this->coordinator);
        $this->travel(400)->days();
        $this->thing = "texts:{$this->work->public_id}";
        $other = Module::factory()->create();
        $this->stranger = $this->member(Role::Coordinator, $other);
    }

    private function nothingIsDecided(): void
    {
        self::assertSame(0, KeepingDecision::query()->count());
        self::assertSame(12, Institution::settings()->keeping->months(Kind::Texts));
        self::assertTrue($this->module->refresh()->keeping->isEmpty());
    }

    public function test_who_coordinates_another_module_decides_nothing_here(): void
    {
        $theirs = $this->stranger->memberships()->firstOrFail()->module;
        $this->actingAs($this->stranger);
        $go = ['do' => 'go', 'things' => [$this->thing]];
        $this->post(route('keeping.module.decide', $this->module), $go)->assertForbidden();
        // Through a page of their own, naming what is not theirs.
        $this->from('/')->post(route('keeping.module.decide', $theirs), $go)->assertSessionHasErrors('things');
        $this->post(route('institution.keeping.decide'), $go)->assertForbidden();
        $this->put(route('keeping.module.update', $this->module), ['months' => ['texts' => 1], 'reason' => 'x'])->assertForbidden();
        $this->put(route('institution.keeping.update'), ['months' => ['texts' => 1], 'reason' => 'x'])->assertForbidden();
        $this->get(route('keeping.module', $this->module))->assertForbidden();
        $this->nothingIsDecided();
        app(DecideKeeping::class)([[Kind::Texts, $this->work]], null, '', $this->coordinator);
        $this->delete(route('keeping.take-back', KeepingDecision::query()->sole()))->assertForbidden();
        self::assertSame(KeepingState::Confirmed, KeepingDecision::query()->sole()->state);
    }

    public function test_markers_and_students_decide_nothing(): void
    {
        foreach ([$this->tutors[0], $this->students[0]] as $person) {
            $this->actingAs($person);
            $this->get(route('keeping.module', $this->module))->assertForbidden();
            $this->post(route('keeping.module.decide', $this->module), ['do' => 'go', 'things' => [$this->thing]])->assertForbidden();
        }
        $this->nothingIsDecided();
    }

    public function test_a_form_that_was_tampered_with_is_refused_as_a_whole(): void
    {
        $this->actingAs($this->coordinator);
        foreach ([
            ['do' => 'go', 'things' => [$this->thing, 'texts:'.$this->module->public_id]],
            ['do' => 'go', 'things' => [$this->thing, 'marks:']], ['do' => 'go', 'things' => [[$this->thing]]],
            ['do' => 'go', 'things' => $this->thing], ['do' => 'go', 'things' => ["texts:{$this->work->id}"]],
            ['do' => 'go', 'things' => ["essays:{$this->work->public_id}"]], ['do' => 'erase', 'things' => [$this->thing]],
            ['do' => 'go', 'things' => ["texts:' OR 1=1 -- "]], ['do' => 'go', 'things' => array_fill(0, 501, $this->thing)],
            ['do' => 'longer', 'things' => [$this->thing], 'until' => '9999-12-31', 'reason' => 'For ever.'],
            ['do' => 'longer', 'things' => [$this->thing], 'until' => '2027-02-31', 'reason' => 'x'],
            ['do' => 'longer', 'things' => [$this->thing], 'until' => now()->addYear()->format('Y-m-d'), 'reason' => str_repeat('x', 501)],
        ] as $fields) {
            $this->from('/')->post(route('keeping.module.decide', $this->module), $fields)->assertSessionHasErrors();
        }
        // The same twice in one form is decided once, and the rest of the form with it not at all.
        $this->from('/')->post(route('keeping.module.decide', $this->module), ['do' => 'go', 'things' => [$this->thing, $this->thing]])
            ->assertSessionHasErrors('things');
        foreach ([['texts' => '-1'], ['texts' => '1e3'], ['texts' => ['1']], 'texts' => '12'] as $months) {
            $this->from('/')->put(route('keeping.module.update', $this->module), ['months' => $months, 'reason' => 'x'])
                ->assertSessionHasErrors();
        }
        $this->nothingIsDecided();
    }

    public function test_markup_in_reasons_is_shown_as_it_was_written(): void
    {
        app(DecideKeeping::class)(
            [[Kind::Texts, $this->work]], now()->addYear(), '<script>alert(1)</script>', $this->coordinator,
        );
        $this->actingAs($this->coordinator)->get(route('keeping.module', $this->module))->assertOk()
            ->assertDontSee('<script>alert(1)</script>', false)->assertSee('<script>alert(1)</script>');
    }

    public function test_what_was_taken_back_or_held_at_the_last_minute_stays_and_nothing_goes_twice(): void
    {
        app(DecideKeeping::class)([[Kind::Texts, $this->work]], null, '', $this->coordinator);
        $decision = KeepingDecision::query()->sole();
        // A period that was made longer meanwhile holds too.
        app(SetPeriods::class)(null, Periods::fromArray(['texts' => 120]), 'Another rule.', $this->coordinator);
        $this->travel(2)->days();
        app(LetGoWhatIsDecided::class)();
        self::assertSame(0, Handin::query()->whereNotNull('erased_at')->count());
        app(SetPeriods::class)(null, Periods::fromArray(['texts' => 12]), 'The first rule.', $this->coordinator);
        app(DecideKeeping::class)([[Kind::Texts, $this->work]], null, '', $this->coordinator);
        $this->travel(2)->days();
        app(LetGoWhatIsDecided::class)();
        $lines = LogbookLine::query()->count();
        $gone = Handin::query()->whereNotNull('erased_at')->pluck('erased_at', 'id')->all();
        app(LetGoWhatIsDecided::class)();
        self::assertCount(2, $gone);
        self::assertEquals($gone, Handin::query()->whereNotNull('erased_at')->pluck('erased_at', 'id')->all());
        self::assertSame($lines, LogbookLine::query()->count());
        $this->expectException(Refused::class);
        app(TakeLettingGoBack::class)($decision->refresh(), $this->coordinator);
    }
}
