<?php

declare(strict_types=1);

namespace Tests\Feature\Alike;

use App\Actions\Moderate\DecideMark;
use App\Actions\Moderate\SetModerators;
use App\Actions\Release\ReleaseResults;
use App\Corrections\SeverityOf;
use App\Enums\CorrectionState;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Correction;
use App\Models\LogbookLine;
use App\Models\Script;
use App\Models\User;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\MarkOffer;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\SettledBy;

/**
 * Marks moved together: looked at, asked for, approved by someone else, taken back.
 */
final class CorrectionTest extends TestCase
{
    private function agreed(int $students = 4): Assignment
    {
        $this->module(2, $students);
        $assignment = $this->sharedOut($this->assignment());
        foreach ($this->scripts($assignment) as $n => $script) {
            $this->finishBoth($script, ['l1', 'l2', 'l3'][$n % 3]); // 20, 50 and 80
        }

        return $assignment->refresh();
    }

    /**
     * @return array<string, string>
     */
    private function finals(Assignment $assignment): array
    {
        return Script::query()->where('assignment_id', $assignment->id)->orderBy('id')->get()
            ->mapWithKeys(fn (Script $one) => [$one->code => (string) $one->finalMark(1)->mark])->all();
    }

    /**
     * @param  array<string, string>  $fields
     * @return TestResponse<Response>
     */
    private function ask(Assignment $assignment, array $fields): TestResponse
    {
        $page = $this->get(route('corrections.index', [$assignment, ...$fields]))->assertOk();
        preg_match('/name="digest" value="(\w{64})"/', (string) $page->getContent(), $m);

        return $this->post(route('corrections.store', $assignment), [
            ...$fields, 'reason' => 'The paper asked for a source that was not in the reader.', 'digest' => $m[1] ?? '',
        ]);
    }

    /**
     * @return TestResponse<Response>
     */
    private function decide(Correction $correction, string $decision, string $reason = ''): TestResponse
    {
        $page = $this->get(route('corrections.show', $correction))->assertOk();
        preg_match('/name="digest" value="(\w{64})"/', (string) $page->getContent(), $m);

        return $this->put(route('corrections.update', $correction), [
            'decision' => $decision, 'reason' => $reason, 'digest' => $m[1] ?? str_repeat('0', 64),
        ]);
    }

    public function test_a_constant_is_looked_at_asked_for_approved_and_taken_back_exactly(): void
    {
        $assignment = $this->agreed();
        $before = $this->finals($assignment);
        $this->actingAs($this->coordinator);
        $this->get(route('corrections.index', [$assignment, 'kind' => 'constant', 'constant' => '2,5']))
            ->assertSee('It moves 4 marks.')->assertSee('No two different marks change places');
        $this->ask($assignment, ['kind' => 'constant', 'constant' => '2.5'])->assertSessionHasNoErrors();
        $correction = Correction::query()->sole();
        self::assertSame($before, $this->finals($assignment), 'asked for, it moves nothing');
        $this->decide($correction, 'approve')->assertSessionHasErrors('refused');
        self::assertSame(CorrectionState::Asked, $correction->refresh()->state, 'not by who asked');
        $this->get(route('release.index', $assignment))->assertSee('1 correction waits to be approved');
        $this->get(route('today'))->assertDontSee('A correction of marks');
        $other = $this->member(Role::Coordinator);
        $this->actingAs($other)->get(route('today'))->assertSee('A correction of marks that someone else asked for');
        $this->actingAs($other)->get(route('corrections.show', $correction))->assertSee('not in the reader');
        $this->decide($correction, 'approve')->assertSessionHas('said');
        foreach ($this->finals($assignment) as $code => $mark) {
            self::assertSame((string) min(100, (float) $before[$code] + 2.5), (string) (float) $mark, $code);
        }
        $lines = Script::query()->where('code', array_key_first($before))->sole()->finalMark(1)->working->toArray();
        self::assertContains('All marks corrected', array_column($lines, 'what'));
        $this->put(
            route('corrections.update', $correction), ['decision' => 'take-back'],
        )->assertSessionHasErrors('reason');
        $this->decide($correction, 'take-back', 'The board wants marks as they were.')->assertSessionHas('said');
        self::assertSame($before, $this->finals($assignment));
        $events = LogbookLine::query()->where('event', 'like', 'moderate.correction%')->orderBy('number')
            ->pluck('event');
        self::assertSame(
            ['moderate.correction-asked', 'moderate.correction-approved', 'moderate.correction-taken-back'],
            $events->map(fn ($one) => $one->value)->all(),
        );
    }

    public function test_a_line_stretches_clips_and_says_so(): void
    {
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator);
        $this->get(route('corrections.index', [$assignment, 'kind' => 'line', 'constant' => '−10', 'factor' => '1.5']))
            ->assertSee('multiplied by 1.5, 10 taken off')->assertSee('held there')
            ->assertSee('held at the end of the scale');
        $this->ask($assignment, ['kind' => 'line', 'constant' => '-10', 'factor' => '1.5'])->assertSessionHasNoErrors();
        $other = $this->member(Role::Coordinator);
        $this->actingAs($other);
        $this->decide(Correction::query()->sole(), 'approve');
        $finals = $this->finals($assignment);
        self::assertContains('100.0', $finals);
        $top = Script::query()->where('code', array_search('100.0', $finals, true))->sole();
        self::assertStringContainsString('not above 100', (string) json_encode($top->finalMark(1)->working->toArray()));
    }

    public function test_words_for_numbers_nothing_chosen_and_a_second_one_are_refused_in_words(): void
    {
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator);
        foreach (
            [
                [['kind' => 'constant', 'constant' => 'two'], 'constant'], [['kind' => 'constant'], 'constant'],
                [['kind' => 'line', 'constant' => '1', 'factor' => '0'], 'factor'],
                [['kind' => 'line', 'constant' => '1', 'factor' => '-1'], 'factor'],
                [['kind' => 'severity'], 'marker'], [['kind' => 'nothing'], 'kind'],
            ] as [$fields, $field]
        ) {
            $this->from(route('today'))->get(route('corrections.index', [$assignment, ...$fields]))
                ->assertSessionHasErrors($field)->assertRedirect(route('corrections.index', $assignment));
        }
        $this->followingRedirects()->get(route('corrections.index', [
            $assignment, 'kind' => ['constant'], 'constant' => ['1'], 'factor' => ['1'], 'marker' => ['x'],
        ]))->assertOk();
        $this->get(route('corrections.index', [$assignment, 'kind' => 'constant', 'constant' => '0']))
            ->assertSee('It moves no mark')->assertDontSee('Ask for it');
        $this->ask($assignment, ['kind' => 'constant', 'constant' => '3'])->assertSessionHasNoErrors();
        $this->ask(
            $assignment, ['kind' => 'line', 'constant' => '3', 'factor' => '1.1'],
        )->assertSessionHasErrors('refused');
        self::assertSame(1, Correction::query()->count());
        $this->post(route('corrections.store', $assignment), [
            'kind' => 'constant', 'constant' => '4', 'reason' => 'Without having looked.',
            'digest' => str_repeat('0', 64),
        ])->assertSessionHasErrors('refused');
    }

    public function test_what_is_released_does_not_move(): void
    {
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator);
        $this->ask($assignment, ['kind' => 'constant', 'constant' => '2']);
        $correction = Correction::query()->sole();
        $this->actingAs($this->member(Role::Coordinator));
        $this->decide($correction, 'approve');
        app(ReleaseResults::class)($assignment, [$this->script($assignment)->code], $this->coordinator);
        $this->decide($correction, 'take-back', 'We thought better of it.')->assertSessionHasErrors('refused');
        self::assertSame(CorrectionState::Approved, $correction->refresh()->state);
        $result = $this->script($assignment)->result;
        self::assertStringContainsString('All marks corrected', (string) json_encode($result?->document));
    }

    public function test_a_marker_s_severity_moves_what_rests_on_them_alone(): void
    {
        $this->module(3, 30);
        $assignment = $this->sharedOut($this->assignment(['scheme' => $this->scheme([
            'tolerance' => '100', 'second' => 'every',
        ])]));
        $harsh = $this->tutors[0];
        foreach ($this->scripts($assignment) as $n => $script) {
            foreach ([Seat::First, Seat::Second] as $seat) {
                $mark = $this->markOf($script, $seat);
                $higher = $mark->marker_id !== $harsh->id;
                $this->finish($mark, $n % 2 === 0 ? 'l2' : 'l3', $higher ? ($n % 5 === 0 ? 'l2' : 'l3') : 'l1');
            }
            $script->refresh()->settlement === null && app(DecideMark::class)(
                $script, $this->coordinator, MarkOffer::total('50', Feedback::usual(), 'I read both and the text.'),
            );
            // Every third rests on its first mark alone.
            $n % 3 === 0 && $script->refresh()->settlement()->update(['settled_by' => SettledBy::OnlyMark->value]);
        }
        $severity = SeverityOf::marker($assignment, $harsh);
        self::assertNotNull($severity);
        self::assertGreaterThan(0, (float) $severity->correction());
        $before = $this->finals($assignment);
        $this->actingAs($this->coordinator)->get(route('corrections.index', [
            $assignment, 'kind' => 'severity', 'marker' => $harsh->public_id,
        ]))->assertSee('Taken for true')->assertSee("{$severity->correction()} added");
        $this->ask($assignment, ['kind' => 'severity', 'marker' => $harsh->public_id])->assertSessionHasNoErrors();
        $correction = Correction::query()->sole();
        $this->actingAs($harsh)->get(route('corrections.show', $correction))->assertForbidden();
        app(SetModerators::class)($assignment, [$harsh->public_id, $this->tutors[1]->public_id], $this->coordinator);
        $this->actingAs($harsh);
        $this->decide($correction, 'approve')->assertSessionHasErrors('refused');
        $this->actingAs($this->tutors[1]);
        $this->decide($correction, 'approve')->assertSessionHas('said');
        foreach (
            Script::query()->where('assignment_id', $assignment->id)->with('settlement', 'marks')->get() as $script
        ) {
            $rests = $script->settlement?->settled_by === SettledBy::OnlyMark
                && $script->mark(Seat::First)?->marker_id === $harsh->id;
            $now = (string) $script->finalMark(1)->mark;
            $rests ? self::assertNotSame($before[$script->code], $now) : self::assertSame($before[$script->code], $now);
        }
        $this->actingAs($this->coordinator)->get(route('corrections.index', [
            $assignment, 'kind' => 'severity', 'marker' => User::factory()->create()->public_id,
        ]))->assertOk()->assertSee('someone who made first marks here');
    }

    public function test_whoever_is_not_of_the_team_or_of_another_module_reaches_none(): void
    {
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator);
        $this->ask($assignment, ['kind' => 'constant', 'constant' => '5']);
        $correction = Correction::query()->sole();
        foreach ([$this->tutors[0], $this->students[0], User::factory()->create()] as $person) {
            $this->actingAs($person)->get(route('corrections.index', $assignment))->assertForbidden();
            $this->get(route('corrections.show', $correction))->assertForbidden();
            $this->put(route('corrections.update', $correction), ['decision' => 'approve'])->assertForbidden();
        }
        self::assertSame(CorrectionState::Asked, $correction->refresh()->state);
    }

    public function test_it_is_refused_with_a_reason_and_asked_anew(): void
    {
        $assignment = $this->agreed();
        $this->actingAs($this->coordinator);
        $this->ask($assignment, ['kind' => 'constant', 'constant' => '5']);
        $correction = Correction::query()->sole();
        $this->actingAs($this->member(Role::Coordinator));
        $this->decide($correction, 'refuse')->assertSessionHasErrors('reason');
        $this->decide($correction, 'refuse', 'The mean is that of last year.')->assertSessionHas('said');
        $this->decide($correction, 'approve')->assertSessionHasErrors('refused');
        $this->actingAs($this->coordinator)->get(route('corrections.index', $assignment))->assertSee('refused');
        $this->ask($assignment, ['kind' => 'constant', 'constant' => '1'])->assertSessionHasNoErrors();
        self::assertSame(2, Correction::query()->count());
    }
}
