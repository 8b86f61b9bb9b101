<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Models\Assignment;
use App\Models\Reflection;
use App\Models\Result;
use Illuminate\Support\Carbon;
use Tests\TestCase;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Release\MarkAfter;
use YoungHarbor\Core\Release\Reflection as Asked;
use YoungHarbor\Core\Release\Settings;

/**
 * Feedback first: a mark that waits until the feedback was opened, or a reflection written, or the days are over.
 */
final class ReflectionTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $reflection
     */
    private function out(array $reflection): Assignment
    {
        $this->module(2, 2);
        $assignment = $this->released();
        $assignment->update(['release' => Settings::fromArray(['reflection' => $reflection])]);

        return $assignment->refresh();
    }

    private function own(Assignment $assignment): Result
    {
        return Result::query()->where('script_id', $this->script($assignment)->id)->sole();
    }

    public function test_the_mark_waits_until_a_reflection_of_enough_words_is_written(): void
    {
        $assignment = $this->out([
            'prompts' => ['Which comment will you use in your next essay?'], 'words' => 8, 'mark_after' => 'reflected',
        ]);
        $own = $this->own($assignment);
        $this->actingAs($this->students[0])->get(route('results.show', $own))->assertSee('Feedback comes first here')
            ->assertSee('Comment of the first marker.')->assertDontSee('50.0')->assertDontSee('Lower second')
            ->assertDontSee('How this number came about');
        $this->get(route('results.pdf', $own))->assertForbidden();
        $this->post(route('results.mark', $own));
        $this->get(route('results.show', $own))->assertDontSee('50.0');
        $this->post(route('results.reflect', $own), ['reflection' => ['Too few words.']])->assertSessionHasErrors([
            'reflection.0' => 'It has 3 words; at least 8 are asked for. Nothing was kept on the server; what you wrote stands in the field.',
        ]);
        $text = "I, {$this->students[0]->name}, will say who paid before I say what it cost.";
        $this->post(route('results.reflect', $own), ['reflection' => [$text]])->assertSessionHas('said');
        $this->get(route('results.show', $own))->assertSee('50.0')->assertSee('will say who paid');
        $this->get(route('results.pdf', $own))->assertOk();
        $this->actingAs($this->students[1])->post(route('results.reflect', $own), ['reflection' => [$text]])
            ->assertForbidden();
        $marker = $this->script($assignment)->marks->firstWhere('seat', Seat::First)?->marker;
        self::assertNotNull($marker);
        $this->actingAs($marker)->get(route('replies.index', $assignment))->assertSee('will say who paid')
            ->assertDontSee($this->students[0]->name);
        $this->actingAs($this->coordinator)->get(route('results.show', $own))->assertSee('50.0');
    }

    public function test_it_waits_until_the_feedback_was_opened_and_asked_for_or_the_days_are_over(): void
    {
        $assignment = $this->out(['days' => 5, 'mark_after' => 'opened']);
        $own = $this->own($assignment);
        $this->actingAs($this->students[0])->get(route('results.show', $own))
            ->assertSee('I have read it: show the mark')
            ->assertDontSee('50.0');
        $this->post(route('results.mark', $own))->assertRedirect(route('results.show', $own));
        $this->get(route('results.show', $own))->assertSee('50.0');
        $other = Result::query()->where('script_id', $this->script($assignment, 1)->id)->sole();
        $this->actingAs($this->students[1])->get(route('results.show', $other))->assertDontSee('50.0');
        Carbon::setTestNow(now()->addDays(6));
        $this->get(route('results.show', $other))->assertSee('50.0');
    }

    public function test_nothing_is_written_after_the_date_and_markers_read_it_where_they_may(): void
    {
        $assignment = $this->out(['prompts' => ['What next?'], 'words' => 0, 'days' => 3, 'markers_read' => false]);
        $own = $this->own($assignment);
        $this->actingAs($this->students[0])->post(
            route('results.reflect', $own), ['reflection' => ['More sources next time.']],
        );
        $this->post(route('results.reflect', $own), ['reflection' => ['More and better sources next time.']]);
        self::assertSame(
            [['prompt' => 'What next?', 'text' => 'More and better sources next time.']], Reflection::query()->sole()->answers,
        );
        $this->actingAs($this->tutors[0])->get(route('replies.index', $assignment))->assertDontSee('better sources');
        $this->actingAs($this->coordinator)->get(route('replies.index', $assignment))->assertSee('better sources');
        Carbon::setTestNow(now()->addDays(4));
        $this->actingAs($this->students[0])->post(route('results.reflect', $own), ['reflection' => ['Late words.']])
            ->assertSessionHasErrors('reflection.0');
        $this->get(route('results.show', $own))->assertSee('better sources');
    }

    public function test_several_questions_are_answered_each_on_its_own(): void
    {
        $assignment = $this->out(['prompts' => ['What went well?', 'What next?'], 'words' => 2]);
        $own = $this->own($assignment);
        $page = $this->actingAs($this->students[0])->get(route('results.show', $own))->assertSee('What went well?');
        $page->assertSee('What next?')->assertSee('At least 2 words for each');
        $this->post(route('results.reflect', $own), ['reflection' => ['The second source.', '']])
            ->assertSessionHasErrors(['reflection.1']);
        $this->post(route('results.reflect', $own), ['reflection' => 'one text'])->assertSessionHasErrors('reflection');
        $this->post(route('results.reflect', $own), ['reflection' => [['a'], 'b']])->assertSessionHasErrors('reflection.0');
        self::assertSame(0, Reflection::query()->count());
        $this->post(route('results.reflect', $own), ['reflection' => ['The second source.', 'Two sources, set apart.']])
            ->assertSessionHas('said');
        $this->actingAs($this->coordinator)->get(route('replies.index', $assignment))
            ->assertSeeInOrder(['What went well?', 'The second source.', 'What next?', 'Two sources, set apart.']);
        self::assertSame(7, Reflection::query()->sole()->words);
    }

    public function test_the_rule_itself_and_what_it_refuses(): void
    {
        $rule = fn (?string $after): Asked => Asked::fromArray(['prompts' => ['Why?'], 'mark_after' => $after]);
        self::assertFalse($rule(null)->holdsMarkBack(false, false, false));
        foreach (
            [
                [false, false, false, true], [true, false, false, false], [false, true, false, true],
                [false, false, true, false],
            ] as [$asked, $written, $over, $held]
        ) {
            self::assertSame($held, $rule('opened')->holdsMarkBack($asked, $written, $over));
        }
        foreach (
            [
                [false, false, false, true], [true, false, false, true], [false, true, false, false],
                [false, false, true, false],
            ] as [$asked, $written, $over, $held]
        ) {
            self::assertSame($held, $rule('reflected')->holdsMarkBack($asked, $written, $over));
        }
        self::assertSame(MarkAfter::Opened, Asked::fromArray($rule('opened')->toArray())->markAfter);
        self::assertSame(['Why?'], Asked::fromArray($rule(null)->toArray())->prompts);
        $this->expectException(InvalidInput::class);
        Asked::fromArray(['mark_after' => 'reflected']);
    }
}
