<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\Release\OpenCase;
use App\Enums\CaseKind;
use App\Models\Assignment;
use App\Models\LogbookLine;
use App\Models\MemberNote;
use App\Models\Membership;
use App\Models\ModuleMark;
use App\Models\Result;
use App\Release\ModuleMarks;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use YoungHarbor\Core\Formats\OneRosterResults;
use YoungHarbor\Core\Release\Settings;
use YoungHarbor\Core\Tables\CsvRows;
use ZipArchive;

/**
 * The grade book: who is shown what, filters and orders, module marks with their working, and what is taken away.
 */
final class GradeBookTest extends TestCase
{
    private Assignment $essay;

    private Assignment $exam;

    /** Two assignments with results: every student has 50.0 in both. */
    private function twoOut(int $students = 3): void
    {
        $this->module(2, $students);
        $this->essay = $this->released();
        $this->essay->update(['title' => 'Essay']);
        $this->exam = $this->released();
        $this->exam->update(['title' => 'Exam']);
    }

    /**
     * @param  array<string, mixed>  $rows  by assignment
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function plan(array $rows, array $more = []): TestResponse
    {
        return $this->actingAs($this->coordinator)->put(route('module-plan.update', $this->module), [
            'decimals' => '1', 'pass' => '40', 'borderline' => '2', 'bands' => 'classes', 'rows' => $rows, ...$more,
        ]);
    }

    /**
     * @return array<string, array<string, string>>
     */
    private function usual(string $essay = '60', string $exam = '40'): array
    {
        return [
            $this->essay->public_id => ['as' => 'own', 'weight' => $essay],
            $this->exam->public_id => ['as' => 'own', 'weight' => $exam, 'must_pass' => '45'],
        ];
    }

    private function memberOf(int $n): Membership
    {
        return Membership::query()->where('user_id', $this->students[$n]->id)->sole();
    }

    /** Changes what a student's result says, as a corrected one would. */
    private function give(Assignment $assignment, int $student, string $mark): void
    {
        $old = Result::query()->whereNull('replaced_at')->where('script_id', $this->script($assignment, $student)->id)->sole();
        $document = ['mark' => $mark] + $old->document;
        $old->update(['replaced_at' => now()]);
        Result::query()->create([
            'script_id' => $old->script_id, 'version' => $old->version + 1, 'document' => $document, 'mark' => $mark,
            'band' => $assignment->scale()->bandFor(\Brick\Math\BigDecimal::of($mark))->name, 'what_changed' => 'x',
            'released_by' => $this->coordinator->id, 'released_at' => now(),
        ]);
    }

    public function test_how_the_module_mark_is_made_is_set_and_what_is_wrong_is_said_with_what_was_entered_kept(): void
    {
        $this->twoOut();
        $this->actingAs($this->coordinator)->get(route('grade-book.show', $this->module))->assertOk()
            ->assertDontSee('Module mark ');
        $this->get(route('module-plan.edit', $this->module))->assertOk()->assertSee('Essay')->assertSee('Weighs, %');
        $this->plan($this->usual('59.5'))->assertSessionHasErrors('plan')->assertSessionHasInput('pass', '40');
        self::assertStringContainsString(
            'The weights total 99.5: 0.5 short of 100', implode(' ', session('errors')->get('plan')),
        );
        $this->plan([$this->essay->public_id => ['as' => 'list-a'], $this->exam->public_id => ['as' => 'list-a']], [
            'lists' => ['a' => ['title' => 'Weekly', 'best' => '3', 'weight' => '100']],
        ])->assertSessionHasErrors('plan');
        self::assertStringContainsString('Weekly, best: 3 of 2', implode(' ', session('errors')->get('plan')));
        $this->plan([
            $this->essay->public_id => ['as' => 'list-a'], $this->exam->public_id => ['as' => "resit:{$this->essay->public_id}"],
        ])->assertSessionHasErrors(['plan' => __('module-mark.resit_of_none')]);
        $this->plan(['nowhere' => ['as' => 'own', 'weight' => '100']])->assertSessionHasErrors('refused');
        self::assertSame(0, LogbookLine::query()->where('event', 'release.module-plan-saved')->count());
        $this->plan($this->usual())->assertSessionHasNoErrors();
        $this->plan($this->usual())->assertSessionHasNoErrors();
        self::assertSame(1, LogbookLine::query()->where('event', 'release.module-plan-saved')->count());
        $this->get(route('module-plan.edit', $this->module))->assertSee('value="60"', false)->assertSee('value="45"', false);
        $this->get(route('grade-book.show', $this->module))->assertSee('Module mark')->assertSee('50.0');
        $this->actingAs($this->tutors[0])->get(route('module-plan.edit', $this->module))->assertForbidden();
    }

    public function test_module_marks_follow_what_comes_out_is_corrected_or_decided(): void
    {
        $this->twoOut();
        $this->plan($this->usual())->assertSessionHasNoErrors();
        $marks = function (): array {
            app(ModuleMarks::class)->refresh($this->module->refresh());

            return ModuleMark::query()->whereIn('membership_id', [$this->memberOf(0)->id, $this->memberOf(1)->id])
                ->orderBy('membership_id')->pluck('shown')->all();
        };
        self::assertSame(['50.0', '50.0'], $marks());
        $this->give($this->essay, 0, '70.5');
        self::assertSame(['62.3', '50.0'], $marks());
        $this->give($this->exam, 1, '38.5');
        self::assertSame(['62.3', '45.4'], $marks());
        $row = ModuleMark::query()->findOrFail($this->memberOf(1)->id);
        self::assertFalse($row->passed, 'the exam must be passed');
        DB::table('results')->where('script_id', $this->script($this->exam, 1)->id)->delete();
        app(OpenCase::class)($this->script($this->exam, 1), CaseKind::Exempt, '', 'Done elsewhere.', $this->coordinator);
        self::assertSame(['62.3', '50.0'], $marks());
        $row->refresh();
        self::assertTrue($row->passed && $row->complete);
        // Everything exempt: said, and no mark.
        DB::table('results')->where('script_id', $this->script($this->essay, 1)->id)->delete();
        app(OpenCase::class)($this->script($this->essay, 1), CaseKind::Exempt, '', 'Done elsewhere.', $this->coordinator);
        self::assertSame(['62.3', null], $marks());
        $this->get(route('members.show', $this->memberOf(1)))->assertSee('every part that weighs is exempt');
    }

    public function test_nothing_is_worked_out_anew_where_nothing_changed(): void
    {
        $this->twoOut();
        $this->plan($this->usual());
        $this->get(route('grade-book.show', $this->module));
        ModuleMark::query()->update(['shown' => '99.9']);
        $this->get(route('grade-book.show', $this->module))->assertSee('99.9');
    }

    public function test_the_working_and_what_is_still_needed_stand_on_the_student_s_page(): void
    {
        $this->twoOut();
        $third = $this->sharedOut($this->assignment(['title' => 'Field record']));
        $rows = $this->usual('30', '40') + [$third->public_id => ['as' => 'own', 'weight' => '30']];
        $this->plan($rows)->assertSessionHasNoErrors();
        $page = $this->get(route('members.show', $this->memberOf(0)))->assertSee('50 × 30 %')->assertSee('35.0')
            ->assertSee('no mark yet: 0 so far');
        // (60 − 35) ÷ 0.3 = 83.33, so that 83.2 gives 59.96, which is 60.0 rounded.
        $this->get(route('members.show', [$this->memberOf(0), 'target' => '60']))
            ->assertSee('83.2 in Field record would reach 60.');
        $this->get(route('members.show', [$this->memberOf(0), 'target' => '66']))->assertSee('Even 100 in what is left');
        $this->get(route('members.show', [$this->memberOf(0), 'target' => 'x']))->assertSee('would reach 40.');
        $page->assertDontSee($this->script($third)->code);
    }

    public function test_it_is_filtered_and_sorted_and_says_when_nobody_is_as_asked(): void
    {
        $this->twoOut();
        foreach (['Zoë', 'Ada', 'Mia'] as $n => $name) {
            $this->students[$n]->update(['name' => $name]);
            $this->memberOf($n)->update(['section' => $n === 2 ? 'B' : 'A']);
        }
        $this->plan($this->usual());
        $this->give($this->essay, 0, '70.5');
        $this->give($this->essay, 1, '30.5');
        $get = fn (array $query) => $this->actingAs($this->coordinator)
            ->get(route('grade-book.show', [$this->module, ...$query]))->assertOk();
        $get([])->assertSeeInOrder(['Ada', 'Mia', 'Zoë']);
        $get(['way' => 'down'])->assertSeeInOrder(['Zoë', 'Mia', 'Ada']);
        $get(['sort' => 'mark'])->assertSeeInOrder(['Ada', 'Mia', 'Zoë']);
        $get(['sort' => 'mark', 'in' => $this->essay->public_id, 'way' => 'down'])->assertSeeInOrder(['Zoë', 'Mia', 'Ada']);
        $get(['section' => 'B'])->assertSee('1 student')->assertSee('Mia')->assertDontSee('Ada');
        $get(['band' => 'Upper second'])->assertSee('Zoë')->assertDontSee('Mia');
        $get(['band' => 'Fail', 'in' => $this->essay->public_id])->assertSee('Ada')->assertDontSee('Mia');
        $get(['state' => 'unread'])->assertSee('3 students');
        $get(['state' => 'overdue'])->assertSee('Nobody is as you asked for');
        $get(['sort' => 'nonsense', 'state' => 'nonsense', 'page' => '900'])->assertSee('3 students');
        $get(['section' => ['a'], 'page' => 'x'])->assertSee('3 students');
        $last = $this->script($this->exam, 2);
        DB::table('results')->where('script_id', $last->id)->delete();
        $last->marks()->delete();
        DB::table('settlements')->where('script_id', $last->id)->delete();
        $last->update(['current_handin_id' => null, 'received_at' => null, 'closes_at' => now()->subHour()]);
        $get(['needs' => 'me'])->assertSee('1 student')->assertSee('Mia')->assertDontSee('Zoë');
    }

    public function test_before_names_are_revealed_no_cell_leads_to_a_script_and_afterwards_it_does(): void
    {
        $this->module();
        $assignment = $this->sharedOut($this->assignment());
        $this->finishBoth($this->script($assignment));
        $this->actingAs($this->coordinator);
        $page = fn () => $this->get(route('grade-book.show', $this->module))->assertOk();
        foreach ([$this->script($assignment), $this->script($assignment, 1)] as $script) {
            $page()->assertDontSee($script->code)->assertDontSee(route('moderate.show', $script));
        }
        $page()->assertDontSee('agreed')->assertDontSee('50.0')->assertSee('1 ready to release')->assertSee('2 to mark')
            ->assertDontSee('signature missing');
        $assignment->update(['release' => Settings::fromArray(['signatures' => ['moderator']])]);
        $page()->assertSee('1 signature missing')->assertSee(route('packs.index', $assignment));
        $this->get(route('members.show', $this->memberOf(0)))->assertDontSee('The marks');
        $assignment->update(['names_revealed_at' => now()]);
        $page()->assertSee(route('moderate.show', $this->script($assignment)))->assertSee('agreed');
        $this->get(route('members.show', $this->memberOf(0)))->assertSee('The marks')
            ->assertSee(route('moderate.show', $this->script($assignment)));
    }

    public function test_it_is_taken_away_in_the_columns_and_signs_that_were_chosen(): void
    {
        $this->twoOut();
        $this->plan($this->usual());
        $this->students[0]->update(['name' => 'Ødegård; "Łucja"']);
        $this->get(route('grade-book.take', $this->module))->assertOk()->assertSee('3 students have no candidate number');
        $text = (string) $this->get(route('grade-book.csv', [
            $this->module, 'columns' => ['name', 'module', 'mark'], 'separator' => 'semicolon', 'decimals' => 'comma',
        ]))->assertOk()->getContent();
        self::assertStringStartsWith("\u{FEFF}Name;Module mark;Module band;Passed;Complete;Essay: mark;Exam: mark\r\n", $text);
        self::assertStringContainsString("\"Ødegård; \"\"Łucja\"\"\";50,0;Lower second;yes;yes;50,0;50,0\r\n", $text);
        $this->get(route('grade-book.csv', [$this->module, 'columns' => ['password']]))->assertSessionHasErrors('columns.0');
        $zip = (string) $this->get(route('grade-book.oneroster', $this->module))->assertOk()->getContent();
        $path = (string) tempnam(sys_get_temp_dir(), 'zip');
        file_put_contents($path, $zip);
        $archive = new ZipArchive;
        $archive->open($path);
        $files = [];
        for ($i = 0; $i < $archive->numFiles; $i++) {
            $files[(string) $archive->getNameIndex($i)] = (string) $archive->getFromIndex($i);
        }
        $read = OneRosterResults::read($files);
        self::assertCount(6, $read);
        self::assertSame(['Essay', '50.0', 'Lower second', false], [
            $read[0]['title'], $read[0]['score'], $read[0]['band'], $read[0]['late'],
        ]);
        self::assertContains($this->students[0]->email, array_column($read, 'student'));
        self::assertStringContainsString('60:Upper second', $read[0]['scale']);
        $manifest = array_column(iterator_to_array(CsvRows::byHeading($files['manifest.csv'])), 'value', 'propertyname');
        self::assertSame(['bulk', 'bulk', 'absent', '1.2'], [
            $manifest['file.results'], $manifest['file.lineItems'], $manifest['file.users'], $manifest['oneroster.version'],
        ]);
        self::assertSame(2, LogbookLine::query()->where('event', 'release.grade-book-taken')->count());
    }

    public function test_how_marks_lie_is_counted_by_band_with_mean_and_spread(): void
    {
        $this->twoOut();
        $this->plan($this->usual());
        $this->give($this->essay, 0, '70');
        $this->give($this->essay, 1, '30');
        $page = $this->get(route('grade-book.lie', $this->module))->assertOk();
        // 70, 30 and 50: mean 50, standard deviation 20.
        $page->assertSeeInOrder(['Essay', '3', '50.0', '20.0', 'Exam', '50.0', '0.0', 'Module mark']);
    }

    public function test_a_comment_on_the_work_as_a_whole_is_read_by_whom_it_is_for_and_can_be_taken_back(): void
    {
        $this->module();
        $write = fn (string $body, string $who) => $this->actingAs($this->coordinator)
            ->post(route('members.note', $this->memberOf(0)), ['note' => $body, 'student_reads' => $who]);
        $write('', '1')->assertSessionHasErrors('note');
        $write('Your sources grew better with every essay.', '1')->assertSessionHas('said');
        $write('Spoke with the year tutor.', '0')->assertSessionHas('said');
        $this->get(route('members.show', $this->memberOf(0)))->assertSee('grew better')->assertSee('year tutor');
        $student = fn () => $this->actingAs($this->students[0])->get(route('modules.show', $this->module))->assertOk();
        $student()->assertSee('grew better')->assertDontSee('year tutor');
        $this->get(route('today'))->assertSee('wrote about your work');
        $this->actingAs($this->students[1])->get(route('modules.show', $this->module))->assertDontSee('grew better');
        $note = MemberNote::query()->where('student_reads', true)->sole();
        $this->actingAs($this->coordinator)->post(route('member-notes.back', $note))->assertSessionHas('said');
        $student()->assertDontSee('grew better');
        $this->actingAs($this->tutors[0])->post(route('members.note', $this->memberOf(0)), ['note' => 'x y z'])->assertForbidden();
        $tutor = Membership::query()->where('user_id', $this->tutors[0]->id)->sole();
        $this->actingAs($this->coordinator)->post(route('members.note', $tutor), ['note' => 'x y z'])->assertStatus(422);
    }
}
