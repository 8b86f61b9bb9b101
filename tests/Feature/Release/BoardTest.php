<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Release\OpenCase;
use App\Actions\Release\RunRelease;
use App\Actions\Release\SetRelease;
use App\Enums\CaseKind;
use App\Enums\Role;
use App\Mail\NoticeMail;
use App\Models\Assignment;
use App\Models\BoardSheet;
use App\Models\LogbookLine;
use App\Models\Membership;
use App\Models\Result;
use App\Release\ReleasePlan;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Process\Process;
use Tests\TestCase;
use YoungHarbor\Core\Release\Scope;

/**
 * The board sheet: by candidate number, without names; confirmed in one step, as it was seen.
 */
final class BoardTest extends TestCase
{
    private Assignment $essay;

    private function provisional(int $students = 3): void
    {
        $this->module(2, $students);
        $this->essay = $this->sharedOut($this->assignment(['title' => 'Essay']));
        foreach (array_keys($this->students) as $n) {
            $this->finishBoth($this->script($this->essay, $n), $n === 1 ? 'l1' : 'l2', $n === 1 ? 'l2' : 'l3');
        }
        $release = app(SetRelease::class)(
            $this->essay, new ReleasePlan(Scope::all(), provisional: true), $this->coordinator,
        );
        app(RunRelease::class)($release);
        $this->actingAs($this->coordinator)->put(route('module-plan.update', $this->module), [
            'decimals' => '1', 'pass' => '40', 'borderline' => '10', 'bands' => 'classes',
            'rows' => [$this->essay->public_id => ['as' => 'own', 'weight' => '100', 'must_pass' => '40']],
        ])->assertSessionHasNoErrors();
        $this->module->refresh();
    }

    private function digest(): string
    {
        $html = (string) $this->actingAs($this->coordinator)->get(route('board.show', $this->module))->assertOk()->getContent();
        preg_match('/name="seen"\s+value="(\w{64})"/', $html, $found);

        return $found[1] ?? '';
    }

    /**
     * @return TestResponse<Response>
     */
    private function confirm(string $seen): TestResponse
    {
        return $this->actingAs($this->coordinator)->post(route('board.confirm', $this->module), [
            'seen' => $seen, 'sure' => '1', 'note' => 'Board of 14 June.',
        ]);
    }

    public function test_candidates_stand_by_number_without_names_and_numbers_are_drawn_where_there_are_none(): void
    {
        $this->provisional();
        $own = Membership::query()->where('user_id', $this->students[0]->id)->sole();
        $own->update(['candidate_number' => 'K7']);
        $this->actingAs($this->coordinator)->get(route('board.show', $this->module))->assertOk()
            ->assertSee('2 students have no candidate number')->assertSee('K7');
        $this->post(route('board.draw', $this->module))->assertSessionHas('said');
        $this->post(route('board.draw', $this->module))->assertSessionHas('said', 'Everyone has one already.');
        self::assertSame('K7', $own->refresh()->candidate_number);
        $numbers = Membership::query()->where('module_id', $this->module->id)->where('role', Role::Student)
            ->pluck('candidate_number')->all();
        self::assertCount(3, array_unique($numbers));
        self::assertSame(1, LogbookLine::query()->where('event', 'release.candidate-numbers-drawn')->count());
        $examiner = $this->member(Role::Examiner);
        foreach ([$this->coordinator, $examiner] as $person) {
            $page = $this->actingAs($person)->get(route('board.show', $this->module))->assertOk();
            $csv = (string) $this->get(route('board.take', [$this->module, 'csv']))->assertOk()->getContent();
            foreach ($this->students as $student) {
                foreach ([$student->name, $student->email, (string) $student->number, $student->public_id] as $sign) {
                    $page->assertDontSee($sign);
                    self::assertStringNotContainsString($sign, $csv);
                }
            }
            foreach ($numbers as $number) {
                $page->assertSee((string) $number);
                self::assertStringContainsString((string) $number, $csv);
            }
        }
        $this->get(route('grade-book.show', $this->module))->assertForbidden();
        $this->post(route('board.draw', $this->module))->assertForbidden();
        $this->actingAs($this->tutors[0])->get(route('board.show', $this->module))->assertForbidden();
    }

    public function test_it_lists_bands_who_is_borderline_by_the_rule_and_what_was_decided_without_the_reason(): void
    {
        $this->provisional();
        $this->post(route('board.draw', $this->module));
        // l2 and l3: 5 × 0.6 + 10 × 0.4 = 70; l1 and l2: 0 + 20 = 20. Nobody lies up to 10 below a boundary.
        $this->get(route('board.show', $this->module))->assertSee('Nobody is borderline by that rule')
            ->assertSee('with at least 40 in Essay')->assertSee('Borderline is whoever lies 10 or less below');
        $this->put(route('module-plan.update', $this->module), [
            'decimals' => '1', 'pass' => '40', 'borderline' => '20', 'bands' => 'classes',
            'rows' => [$this->essay->public_id => ['as' => 'own', 'weight' => '100']],
        ])->assertSessionHasNoErrors();
        $this->get(route('board.show', $this->module))->assertSee('borderline to 40')->assertDontSee('borderline to 70');
        $third = $this->assignment(['title' => 'Field record']);
        $script = $this->script($third, 2);
        app(OpenCase::class)($script, CaseKind::Exempt, '', 'A long illness.', $this->coordinator);
        $this->get(route('board.show', $this->module))->assertSee('Field record: exempt')->assertDontSee('illness');
    }

    public function test_confirming_turns_provisional_into_final_keeps_the_sheet_and_is_logged(): void
    {
        Mail::fake();
        $this->provisional();
        $this->confirm(str_repeat('0', 64))->assertSessionHasErrors('refused');
        $this->post(route('board.draw', $this->module));
        $this->post(route('board.confirm', $this->module), ['seen' => $this->digest()])->assertSessionHasErrors('sure');
        $this->confirm($this->digest())->assertSessionHasNoErrors()
            ->assertSessionHas('said', 'Kept. 3 results are final now; their students are being told.');
        self::assertSame(0, Result::query()->whereNull('confirmed_at')->count());
        $kept = BoardSheet::query()->sole();
        self::assertSame([3, 'Board of 14 June.'], [$kept->results_confirmed, $kept->note]);
        self::assertSame(1, LogbookLine::query()->where('event', 'release.board-confirmed')->count());
        self::assertSame(1, LogbookLine::query()->where('event', 'release.results-confirmed')->count());
        Mail::assertSent(NoticeMail::class, fn (NoticeMail $mail) => $mail->hasTo($this->students[0]->email)
            && str_contains($mail->render(), 'confirmed'));
        $this->get(route('board.show', $this->module))->assertSee('Confirmed so far')->assertSee('as it is now');
        // The kept sheet stays as it was when marks change.
        Result::query()->whereKey(Result::query()->min('id'))->update(['replaced_at' => now()]);
        $this->get(route('board.show', $this->module))->assertSee('the sheet has changed since');
        $this->get(route('boards.show', $kept))->assertOk()->assertSee('as the board confirmed it')->assertSee('70.0');
        self::assertSame(0, $this->artisan('logbook:verify')->run());
    }

    public function test_a_sheet_that_changed_since_it_was_opened_is_not_confirmed(): void
    {
        $this->provisional();
        $this->post(route('board.draw', $this->module));
        $seen = $this->digest();
        $old = Result::query()->orderBy('id')->firstOrFail();
        $old->update(['replaced_at' => now()]);
        Result::query()->create([
            'script_id' => $old->script_id, 'version' => 2, 'document' => ['mark' => '66.0'] + $old->document, 'mark' => '66', 'band' => 'Upper second',
            'provisional' => true, 'what_changed' => 'x', 'released_by' => $this->coordinator->id, 'released_at' => now(),
        ]);
        $this->confirm($seen)->assertSessionHasErrors('refused');
        self::assertSame([0, 0], [BoardSheet::query()->count(), Result::query()->whereNotNull('confirmed_at')->count()]);
        $this->confirm($this->digest())->assertSessionHasNoErrors();
    }

    public function test_it_can_be_printed_and_says_whether_it_is_confirmed(): void
    {
        $this->provisional();
        $this->post(route('board.draw', $this->module));
        $read = function (string $address): string {
            $path = (string) tempnam(sys_get_temp_dir(), 'pdf');
            file_put_contents($path, (string) $this->get($address)->assertOk()->getContent());
            $process = new Process(['pdftotext', '-layout', $path, '-']);
            $process->mustRun();

            return $process->getOutput();
        };
        $text = $read(route('board.take', [$this->module, 'pdf']));
        self::assertStringContainsString('not confirmed', $text);
        self::assertStringContainsString('70.0', $text);
        self::assertStringNotContainsString($this->students[0]->name, $text);
        $this->confirm($this->digest());
        $text = $read(route('boards.take', [BoardSheet::query()->sole(), 'pdf']));
        self::assertStringContainsString('As the board confirmed it', $text);
        self::assertStringContainsString('Board of 14 June.', $text);
        self::assertSame(2, LogbookLine::query()->where('event', 'release.board-sheet-taken')->count());
    }

    public function test_without_a_module_mark_it_says_what_to_do(): void
    {
        $this->module();
        $this->actingAs($this->coordinator)->get(route('board.show', $this->module))->assertOk()
            ->assertSee('No module mark is made')->assertSee(route('module-plan.edit', $this->module));
    }
}
