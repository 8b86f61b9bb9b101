<?php

declare(strict_types=1);

namespace Tests\Feature\Mark;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Plan\AddRubric;
use App\Actions\Plan\MakeRubricReady;
use App\Actions\Release\ReleaseResults;
use App\Models\Mark;
use App\Models\Result;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Rubric\Draft;

/**
 * A rubric of every kind of criterion, from the desk to the student.
 */
final class EveryKindTest extends TestCase
{
    /** @param  array<string, mixed>  $document */
    private function mark(array $document): Mark
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 1);
        $rubric = app(AddRubric::class)(Draft::of($document), $this->coordinator, $this->module);
        $version = app(MakeRubricReady::class)($rubric, 1, $this->coordinator);
        $assignment = $this->assignment(['rubric_version_id' => $version->id, 'scheme' => $this->oneMark()]);
        app(TakeHandIn::class)($assignment, $this->students[0], 'The walk. '.$this->prose(60, 1));
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);

        return $this->markOf($this->script($assignment), Seat::First);
    }

    /** @param  array<string, mixed>  $form */
    private function choose(Mark $mark, string $criterion, array $form): void
    {
        $this->actingAs($mark->marker)->put(route('mark.choose', [$mark, $criterion]), $form)
            ->assertSessionHasNoErrors();
    }

    public function test_each_kind_is_marked_settled_and_shown(): void
    {
        $mark = $this->mark((require database_path('demo/rubrics.php'))['walk']);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertOk()->assertSee('does not apply')
            ->assertSee('in steps of 0.5')->assertSee('Noted tide and time');
        $this->choose($mark, 'c1', ['stop' => 'l4']);
        $this->choose($mark, 'c2', ['stop' => 'l3', 'points' => '']);
        $this->get(route('mark.desk', $mark))->assertSee('value="7"', false)
            ->assertSee('<span class="middle" >the middle</span>', false)
            ->assertSee('<span class="name" aria-hidden="true">', false);
        $this->choose(
            $mark, 'c3', ['done' => ['s1' => '1'], 'partly' => ['s2' => '1,5'], 'comment' => 'The tide was guessed.'],
        );
        $this->post(route('mark.done', $mark))->assertSessionHasErrors(
            ['refused' => 'Not done yet: Photographs has no mark. Everything you chose and wrote is kept.']
        );
        $this->put(route('mark.choose', [$mark, 'c3']), ['partly' => ['s2' => '2']])->assertSessionHasErrors('refused');
        $this->choose($mark, 'c2', ['stop' => 'l3', 'points' => '7']);
        $this->choose($mark, 'c4', ['na' => '1']);
        $this->choose($mark, 'c5', ['comment' => 'Who dug it?']);
        $this->post(route('mark.done', $mark))->assertSessionHasNoErrors();
        // Without the photographs: 40 × 8/10 + 20 × 7/8 + 20 × 2.5/5 = 59.5 of 80, that is 74.375.
        self::assertSame('74.4', $mark->refresh()->shownTotal());

        $assignment = $mark->script->assignment;
        $this->actingAs($this->coordinator)->get(route('moderate.show', $mark->script))->assertOk()
            ->assertSee('1 of 3 items done, 1 partly')->assertSee('does not apply')
            ->assertSee('Who dug it?')->assertDontSee('>0 %<', false)->assertDontSee('of 0')
            ->assertSee('from 74.375');
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        $this->actingAs($this->students[0])->get(route('results.show', Result::query()->sole()))->assertOk()
            ->assertSee('74.4')->assertSee('partly done, 1.5')->assertSee('not done')
            ->assertSee('does not apply to your work')->assertSee('The tide was guessed.')->assertSee('Who dug it?')
            ->assertSee('6 to 8');
    }

    public function test_points_alone_come_out_of_100_and_the_working_says_so(): void
    {
        $mark = $this->mark((require database_path('starter/rubrics.php'))[6]);
        $this->choose($mark, 'c1', ['done' => ['s1' => '1', 's2' => '1', 's3' => '1', 's4' => '1']]);
        $this->choose($mark, 'c2', ['done' => ['s1' => '1', 's2' => '1']]);
        $this->choose($mark, 'c3', ['none' => '1']);
        $this->choose($mark, 'c4', ['stop' => 'l3']);
        $this->actingAs($mark->marker)->get(route('mark.desk', $mark))->assertSee('31.0')->assertSee('of 50');
        $this->post(route('mark.done', $mark))->assertSessionHasNoErrors();
        // 11 + 10 + 0 + 10 of 50.
        self::assertSame('62.0', $mark->refresh()->shownTotal());
        app(ReleaseResults::class)($mark->script->assignment, null, $this->coordinator);
        $this->actingAs($this->students[0])->get(route('results.show', Result::query()->sole()))->assertSee('62.0')
            ->assertSee('the exact sum × 100 ÷ 50')->assertSee('Upper second');
    }

    public function test_hidden_points_stay_hidden_with_the_result(): void
    {
        $mark = $this->mark((require database_path('starter/rubrics.php'))[7]);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $mark->script->assignment))
            ->assertSee('Transforms')->assertDontSee('70 to 100');
        $this->choose($mark, 'c1', ['stop' => 'l4', 'points' => '64']);
        $this->post(route('mark.done', $mark))->assertSessionHasNoErrors();
        app(ReleaseResults::class)($mark->script->assignment, null, $this->coordinator);
        $this->actingAs($this->students[0])->get(route('results.show', Result::query()->sole()))->assertSee('64.0')
            ->assertSee('Reflects')->assertDontSee('Reflects ·')->assertDontSee('of 100')
            ->assertDontSee('criterion by criterion')
            ->assertSee('Say what you now doubt that you did not doubt before.');
    }
}
