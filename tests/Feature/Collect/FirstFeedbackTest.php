<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\FirstFeedback\TakeRemarks;
use App\Enums\AskedState;
use App\Enums\ReportState;
use App\Jobs\AskAssistantJob;
use App\Models\Assignment;
use App\Models\DraftCheck;
use App\Models\FirstFeedback;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/**
 * First remarks on a draft: asked for by its student, from an outside assistant that may be down, slow or wrong.
 */
final class FirstFeedbackTest extends TestCase
{
    private Assignment $essay;

    private const REMARK = ['criterion' => 'c1', 'quote' => 'the toll', 'text' => 'Whose toll was it?', 'sure' => 'middle'];

    protected function setUp(): void
    {
        parent::setUp();
        config(['harbor.assistant.address' => 'https://assistant.example/remarks']);
        $this->module(1, 2);
        $this->essay = $this->assignment(['title' => 'Tolls', 'first_feedback' => 2, 'brief' => 'Who paid the toll?']);
        $this->actingAs($this->students[0]);
    }

    private function draft(?string $text = null): DraftCheck
    {
        $text ??= "{$this->students[0]->name} writes that the toll was paid. ".$this->prose(60, 3);

        return DraftCheck::query()->create([
            'script_id' => $this->script($this->essay)->id, 'student_id' => $this->students[0]->id, 'text' => $text,
            'words' => str_word_count($text), 'notes' => [], 'state' => ReportState::Ready, 'share' => '0',
            'found' => ['words' => str_word_count($text), 'places' => [], 'matches' => []],
        ]);
    }

    /**
     * @param  array<string, mixed>  $more
     */
    private function answers(array $more = []): void
    {
        Http::fake(['assistant.example/*' => Http::response($more + [
            'assistant' => 'Reader', 'cannot_see' => 'It has not read your sources.', 'remarks' => [self::REMARK],
        ])]);
    }

    private function ask(DraftCheck $draft): FirstFeedback
    {
        $this->post(route('first-feedback.store', $draft))->assertRedirect(route('drafts.show', $draft))
            ->assertSessionHasNoErrors();

        return FirstFeedback::query()->where('draft_check_id', $draft->id)->sole();
    }

    public function test_a_student_asks_reads_says_what_was_used_and_shares_it_or_not(): void
    {
        $this->answers();
        $draft = $this->draft();
        $this->get(route('hand-in.show', $this->essay))->assertSee('ask an outside writing assistant');
        $page = fn () => $this->get(route('drafts.show', $draft))->assertOk();
        $page()->assertSee('never a mark, never a level')->assertSee('are sent to it, without your name')
            ->assertSee('You can ask 2 more times');
        $asked = $this->ask($draft);
        self::assertSame(AskedState::Answered, $asked->state);
        Http::assertSent(fn (Request $request) => str_contains((string) $request['text'], 'the toll was paid')
            && ! str_contains((string) $request->body(), $this->students[0]->name)
            && $request['brief'] === 'Who paid the toll?' && $request['criteria'][0]['id'] === 'c1');
        $page()->assertSee('Whose toll was it?')->assertSee('It has not read your sources.')->assertSee('fairly sure')
            ->assertSee('<mark', false)->assertDontSee('You can ask 2 more times');
        $this->post(route('first-feedback.store', $draft))->assertSessionHasErrors('refused');

        // Staff see counts, and nothing more until it is shared.
        $collect = fn () => $this->actingAs($this->coordinator)->get(route('collect.index', $this->essay))->assertOk();
        $collect()->assertSee('First feedback was asked for once.')->assertDontSee('shares the remarks');
        $this->get(route('first-feedback.index', $this->essay))->assertOk()->assertDontSee('Whose toll was it?');
        $this->get(route('drafts.show', $draft))->assertForbidden();
        $this->put(route('first-feedback.update', $asked), ['share' => '1'])->assertForbidden();
        $this->actingAs($this->students[0])->put(route('first-feedback.update', $asked), ['used' => ['0', '7'], 'share' => '1'])
            ->assertSessionHasNoErrors();
        self::assertSame([0], $asked->refresh()->used);
        $collect()->assertSee('1 of 1 remarks were used')->assertSee('One student shares the remarks with you');
        $this->get(route('first-feedback.index', $this->essay))->assertSee('Whose toll was it?')->assertSee('used:');
        $this->actingAs($this->tutors[0])->get(route('first-feedback.index', $this->essay))->assertForbidden();
        $this->actingAs($this->students[0])->put(route('first-feedback.update', $asked), ['used' => ['0']]);
        $this->actingAs($this->coordinator)->get(route('first-feedback.index', $this->essay))->assertDontSee('Whose toll was it?');
    }

    public function test_what_goes_wrong_is_said_shows_nothing_and_does_not_count(): void
    {
        $draft = $this->draft();
        $page = route('drafts.show', $draft);
        $failures = [
            'answered with an error (503)' => Http::response('Down', 503),
            'cannot be read' => Http::response('<html>Please accept our cookies.</html>', 200, ['Content-Type' => 'text/html']),
            'holds a mark or a level' => Http::response([
                'cannot_see' => 'x', 'remarks' => [['criterion' => null, 'quote' => null, 'text' => 'Good: 62 %.', 'sure' => 'high']],
            ]),
            'does not say how sure it is' => Http::response(['cannot_see' => 'x', 'remarks' => [['text' => 'Look again.']]]),
            'does not say what it cannot see' => Http::response(['remarks' => []]),
            'is far too long' => Http::response(str_repeat('x', 300_000)),
            'in another language' => Http::response(['error' => 'language'], 422),
            'did not answer in time' => fn () => throw new ConnectionException('timed out'),
        ];
        foreach ($failures as $says => $answer) {
            Http::swap(new \Illuminate\Http\Client\Factory);
            Http::fake(['assistant.example/*' => $answer]);
            self::assertSame(AskedState::Failed, $this->ask($draft)->state, $says);
            $this->get($page)->assertSee($says)->assertSee('Try again')->assertDontSee('62 %')
                ->assertSee('You can ask 2 more times');
        }
        Http::swap(new \Illuminate\Http\Client\Factory);
        $this->answers(['remarks' => []]);
        self::assertSame(AskedState::Answered, $this->ask($draft)->state);
        $this->get($page)->assertSee('That says nothing of how good the draft is');
    }

    public function test_it_is_off_unless_turned_on_for_drafts_that_are_long_enough_and_a_number_of_times(): void
    {
        $this->answers();
        $refused = function (DraftCheck $draft, string $why): void {
            $this->get(route('drafts.show', $draft))->assertDontSee('Ask for first feedback');
            $errors = $this->post(route('first-feedback.store', $draft))->assertSessionHasErrors('refused')->getSession()->get('errors');
            self::assertStringContainsString($why, $errors->first('refused'));
        };
        $refused($this->draft('Ten words are too few for anyone to remark on.'), '10 words are too few');
        $this->ask($this->draft());
        $this->ask($this->draft());
        $refused($this->draft(), 'as often as you can');
        $this->actingAs($this->students[1])->get(route('drafts.show', $draft = $this->draft()))->assertForbidden();
        $this->post(route('first-feedback.store', $draft))->assertForbidden();
        FirstFeedback::query()->delete();
        $this->actingAs($this->students[0]);
        $this->essay->update(['first_feedback' => 0]);
        $refused($draft, 'is not offered');
        $this->get(route('hand-in.show', $this->essay))->assertDontSee('ask an outside writing assistant');
        $this->essay->update(['first_feedback' => 2]);
        config(['harbor.assistant.address' => '']);
        $refused($draft, 'is not offered');
        config(['harbor.assistant.address' => 'https://assistant.example/remarks']);
        Carbon::setTestNow(now()->addDays(2));
        $refused($draft, 'until the due time');
        // What was asked before it was turned off is not asked again by a worker that comes late.
        $old = FirstFeedback::query()->create([
            'draft_check_id' => $draft->id, 'script_id' => $draft->script_id, 'student_id' => $draft->student_id,
            'state' => AskedState::Failed,
        ]);
        app(TakeRemarks::class)($old);
        self::assertSame(AskedState::Failed, $old->refresh()->state);
    }

    public function test_a_worker_that_was_killed_costs_no_time_and_another_is_asked(): void
    {
        Queue::fake();
        $draft = $this->draft();
        self::assertSame(AskedState::Asked, $this->ask($draft)->state);
        $this->post(route('first-feedback.store', $draft))->assertSessionHasErrors('refused');
        Carbon::setTestNow(now()->addMinutes(11));
        $this->get(route('drafts.show', $draft))->assertSee('did not answer in time')->assertSee('Try again')
            ->assertSee('You can ask 2 more times');
        self::assertFalse($this->ask($draft)->isLost());
        Queue::assertPushed(AskAssistantJob::class, 2);
    }

    public function test_a_coordinator_turns_it_on_in_the_plan(): void
    {
        $this->actingAs($this->coordinator)->get(route('plan.edit', $this->essay))->assertSee('First feedback on drafts, times');
        config(['harbor.assistant.address' => '']);
        $this->get(route('plan.edit', $this->essay))->assertDontSee('First feedback on drafts, times');
    }
}
