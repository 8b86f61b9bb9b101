<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Mark\StoreStandings;
use App\Actions\Release\ReleaseResults;
use App\Enums\CaseKind;
use App\Mail\NoticeMail;
use App\Models\Assignment;
use App\Models\IndividualCase;
use App\Models\LogbookLine;
use App\Models\Result;
use App\Models\Script;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use YoungHarbor\Core\Release\Settings;

/**
 * What is decided for one student alone, and for those who handed in nothing.
 */
final class CasesTest extends TestCase
{
    /** The last student handed in nothing, and it is too late. */
    private function agreed(string $absent = 'zero'): Assignment
    {
        $this->module(2, 3);
        $assignment = $this->sharedOut($this->assignment([
            'release' => Settings::fromArray($absent === '' ? [] : ['absent' => $absent]),
        ]));
        foreach ([0, 1] as $n) {
            $this->finishBoth($this->script($assignment, $n));
        }
        $last = $this->script($assignment, 2);
        $last->marks()->delete();
        $last->update(['current_handin_id' => null, 'received_at' => null, 'closes_at' => now()->subHour()]);
        app(StoreStandings::class)([$last->id]);

        return $assignment->refresh();
    }

    /**
     * @param  array<string, string>  $fields
     * @return TestResponse<Response>
     */
    private function decide(Script $script, string $kind, array $fields = []): TestResponse
    {
        return $this->actingAs($this->coordinator)->post(route('cases.store', $script), [
            'kind' => $kind, 'reason' => 'The tutor of the section told us.', ...$fields,
        ]);
    }

    private function page(int $student): string
    {
        $member = $this->module->members()->where('user_id', $this->students[$student]->id)->sole();

        return (string) $this->actingAs($this->coordinator)->get(route('members.show', $member))->assertOk()->getContent();
    }

    public function test_one_student_s_mark_is_adjusted_and_the_working_says_so(): void
    {
        $assignment = $this->agreed();
        $this->decide($this->script($assignment), 'adjusted', ['marks' => '−2.5'])->assertSessionHas('said');
        self::assertStringContainsString('Adjusted by −2.5', $this->page(0));
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertSame('47.5', $this->script($assignment)->result?->shownMark());
        self::assertSame('50.0', $this->script($assignment, 1)->result?->shownMark());
        $this->actingAs($this->students[0])->get(route('results.show', $this->script($assignment)->result))
            ->assertSee('Adjusted')->assertSee('−2.5 for you alone')->assertDontSee('The tutor of the section');
        $line = LogbookLine::query()->where('event', 'release.case-decided')->sole();
        self::assertSame($this->students[0]->public_id, $line->subject, 'a person, never a code');
        self::assertSame([], $line->texts, 'the reason stays on the student’s page');
        $this->decide($this->script($assignment), 'adjusted', ['marks' => '1'])->assertSessionHasErrors('kind');
    }

    public function test_a_wrong_adjustment_is_refused_in_words(): void
    {
        $assignment = $this->agreed();
        foreach (['0', 'two', '101', '1.25', ''] as $marks) {
            $this->decide($this->script($assignment), 'adjusted', ['marks' => $marks])->assertSessionHasErrors('marks');
        }
        self::assertSame(0, IndividualCase::query()->count());
    }

    public function test_deferred_keeps_work_back_tells_the_student_and_ends_with_its_history(): void
    {
        Mail::fake();
        $assignment = $this->agreed();
        $script = $this->script($assignment);
        $this->decide($script, 'deferred')->assertSessionHas('said');
        Mail::assertSent(NoticeMail::class, fn (NoticeMail $mail) => $mail->hasTo($this->students[0]->email)
            && str_contains($mail->render(), 'deferred to a resit') && ! str_contains($mail->render(), 'tutor of the section'));
        $this->decide($script, 'exempt')->assertSessionHasErrors('kind');
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertNull($script->refresh()->result);
        $this->get(route('grade-book.show', $this->module))->assertSee('deferred to a resit');
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))->assertSee('deferred for you');
        $this->actingAs($this->coordinator)->post(route('release.reveal', $assignment), ['sure' => '1'])
            ->assertSessionHas('said');
        $case = IndividualCase::query()->sole();
        $this->put(route('cases.update', $case), ['ended_reason' => 'no'])->assertSessionHasErrors('ended_reason');
        $this->put(route('cases.update', $case), ['ended_reason' => 'They want this mark after all.'])->assertSessionHas('said');
        self::assertNull($script->refresh()->held_reason);
        self::assertStringContainsString('They want this mark after all.', $this->page(0));
        $this->put(route('cases.update', $case), ['ended_reason' => 'Once more, please.'])->assertSessionHasErrors('refused');
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertNotNull($script->refresh()->result);
    }

    public function test_one_student_gets_feedback_without_the_mark(): void
    {
        $assignment = $this->agreed();
        $this->decide($this->script($assignment), 'feedback-only')->assertSessionHas('said');
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertNull($this->script($assignment)->result?->mark);
        self::assertNotNull($this->script($assignment, 1)->result?->mark);
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), ['which' => 'all'])
            ->assertSessionHasErrors('refused');
    }

    public function test_nothing_handed_in_gets_what_the_assignment_says_by_a_step_people_take(): void
    {
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))
            ->assertSee('1 student handed in nothing, and nothing is decided');
        $this->post(route('release.absent', $assignment))->assertSessionHasErrors('sure');
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        self::assertSame(2, Result::query()->count(), 'never by silence');
        $this->post(route('release.absent', $assignment), ['sure' => '1'])->assertSessionHas('said', 'Decided for 1 student.');
        $this->post(route('release.absent', $assignment), ['sure' => '1'])->assertSessionHasErrors('refused');
        $this->get(route('release.index', $assignment))->assertSee('1 result is ready');
        $this->post(route('release.store', $assignment), ['which' => 'all'])->assertSessionHasNoErrors();
        $result = $this->script($assignment, 2)->result;
        self::assertSame('0.0', $result?->shownMark());
        $this->actingAs($this->students[2])->get(route('results.show', $result))->assertOk()->assertSee('Nothing handed in')
            ->assertSee('0.0');
        $this->get(route('results.pdf', $result))->assertOk();
    }

    public function test_who_has_good_cause_is_decided_first_and_who_can_still_hand_in_is_not(): void
    {
        $assignment = $this->agreed('incomplete');
        $script = $this->script($assignment, 2);
        $script->update(['closes_at' => now()->addDay()]);
        $this->decide($script, 'incomplete')->assertSessionHasErrors('kind');
        $this->get(route('release.index', $assignment))->assertDontSee('handed in nothing, and nothing is decided');
        $script->update(['closes_at' => now()->subHour()]);
        $this->decide($this->script($assignment), 'zero')->assertSessionHasErrors('kind');
        $this->decide($script, 'exempt')->assertSessionHas('said');
        $this->post(route('release.absent', $assignment), ['sure' => '1'])->assertSessionHasErrors('refused');
        self::assertSame(CaseKind::Exempt, $script->refresh()->outcomeCase()?->kind);
    }

    public function test_where_the_assignment_says_nothing_people_decide_for_each(): void
    {
        $assignment = $this->agreed('');
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))->assertSee('does not say what they get');
        $this->post(route('release.absent', $assignment), ['sure' => '1'])->assertSessionHasErrors('refused');
        $this->decide($this->script($assignment, 2), 'zero')->assertSessionHas('said');
    }

    public function test_where_handing_in_is_a_choice_nothing_is_asked_for_and_nothing_given(): void
    {
        $assignment = $this->agreed('nothing');
        $this->actingAs($this->coordinator)->get(route('release.index', $assignment))->assertOk()
            ->assertDontSee('nothing is decided')->assertSee('Release them');
        $this->post(route('release.absent', $assignment), ['sure' => '1'])->assertSessionHasErrors('refused');
        self::assertSame(0, IndividualCase::query()->count());
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        $this->get(route('release.index', $assignment))->assertSee('Everything that was handed in is out.')
            ->assertDontSee('Release them');
    }
}
