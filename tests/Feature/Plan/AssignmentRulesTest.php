<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Release\ReleaseResults;
use App\Enums\Role;
use App\Models\Assignment;
use App\Models\GradeScale;
use App\Models\Handin;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Result;
use DOMDocument;
use DOMElement;
use DOMXPath;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Release\Settings as Release;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * What an assignment asks and costs: files, lateness, length, cap, bands, templates; copies of it.
 */
final class AssignmentRulesTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function form(Assignment $assignment, array $fields = []): array
    {
        $at = fn (?Carbon $time): ?string => $time?->tz('Europe/London')->format('Y-m-d\TH:i');

        return [
            'title' => 'Salt', 'brief' => 'Write.', 'rubric' => $assignment->rubricVersion?->rubric->public_id,
            'due_at' => $at($assignment->due_at), 'closes_at' => $at($assignment->closes_at),
            'bands' => 'classes', 'pass_mark' => '40', 'tolerance' => '5', ...self::ONE_MARK, 'settle_rule' => 'mean',
            'overlap_seen' => 'start', 'lock_version' => $assignment->lock_version, ...$fields,
        ];
    }

    public function test_late_and_long_work_costs_what_was_announced_and_the_working_says_so(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 2);
        $assignment = $this->assignment(['scheme' => $this->oneMark(), 'due_at' => now()->addDay(), 'closes_at' => now()->addDays(5),
            'late_rule' => [
                'take' => 'points', 'amount' => '5', 'per' => 'day', 'grace_minutes' => 0, 'floor' => '0',
            ], 'length_rule' => ['limit' => 100, 'amount' => '2', 'step' => 10, 'grace' => 10]]);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))
            ->assertSee('5 marks off for each started day')->assertSee('100 words; beyond 10 % more 2 marks off');
        app(TakeHandIn::class)($assignment, $this->students[0], 'In time. '.$this->prose(80, 1));
        Carbon::setTestNow(now()->addDays(2)->addHour());
        app(TakeHandIn::class)($assignment, $this->students[1], 'Late and long. '.$this->prose(127, 2));
        $this->shareOut($assignment);
        foreach ([0, 1] as $n) {
            $this->finish($this->script($assignment, $n)->marks()->sole(), 'l3', 'l2');
        }
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        $result = fn (int $n) => Result::query()->where('script_id', $this->script($assignment, $n)->id)->sole();
        // 80, less 2 started days × 5, less 3 started tenths (130 of 100 words) × 2.
        self::assertSame(['80.0', '64.0'], [$result(0)->shownMark(), $result(1)->shownMark()]);
        $this->actingAs($this->students[1])->get(route('results.show', $result(1)))
            ->assertSee('2 started days × 5 marks')->assertSee('130 words of 100: 3 started 10 % × 2 marks');
        $this->actingAs($this->students[0])->get(route('results.show', $result(0)))->assertDontSee('started days');
    }

    public function test_hidden_words_cost_nothing_and_quotations_count_as_the_assignment_has_it(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 2);
        $assignment = $this->assignment(
            [
                'scheme' => $this->oneMark(),
                'length_rule' => ['limit' => 40, 'amount' => '2', 'step' => 10, 'grace' => 0, 'quotations' => false],
            ]
        );
        $white = '<p>Brine. '.$this->prose(38, 3).'</p><p style="color:#ffffff">'.$this->prose(30, 1).'</p>';
        $handin = app(TakeHandIn::class)(
            $assignment, $this->students[0], Files::upload("<html><body>{$white}</body></html>", 'essay.html'),
        );
        self::assertSame([69, 30], [$handin->words, $handin->hidden_words]);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))
            ->assertSee('40 words, quotations not counted');
        $this->get(route('receipts.show', $handin))->assertSee('39 words (69, less 30 hidden)');
        app(TakeHandIn::class)(
            $assignment, $this->students[1], 'Brine. '.$this->prose(38, 4).' “'.$this->prose(20, 5).'” And more words.',
        );
        Carbon::setTestNow(now()->addDays(3));
        $this->shareOut($assignment);
        foreach ([0, 1] as $n) {
            $this->finish($this->script($assignment, $n)->marks()->sole(), 'l3', 'l2');
        }
        app(ReleaseResults::class)($assignment, null, $this->coordinator);
        // 80 as it stands; 42 counted words of 40 are one started tenth.
        self::assertSame(
            ['80.0', '78.0'],
            array_map(
                fn (int $n) => Result::query()->where('script_id', $this->script($assignment, $n)->id)->sole()
                    ->shownMark(),
                [0, 1],
            ),
        );
        $this->actingAs($this->students[1])
            ->get(route('results.show', Result::query()->where('script_id', $this->script($assignment, 1)->id)->sole()))
            ->assertSee('42 words (62, less 20 quoted) of 40');
    }

    public function test_what_is_fixed_looks_it_and_a_form_sent_as_it_stands_is_saved(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 2);
        $assignment = $this->assignment(
            [
                'scheme' => $this->oneMark(), 'handin_kinds' => ['pdf', 'typed'],
                'length_rule' => [
                    'limit' => 100, 'amount' => '2', 'step' => 10, 'grace' => 10, 'bibliography' => false,
                ],
            ]
        );
        $page = $this->actingAs($this->coordinator)->get(route('plan.edit', $assignment))
            ->assertSee('Fixed: students can see it.')
            ->assertSee('Fixed: students were told that late work costs nothing.')
            ->assertSee('Can be dropped: empty it.')->assertDontSee('Fixed: work has come in.');
        self::assertSame(1, preg_match('/<input [^>]*name="over_amount"[^>]*readonly/', (string) $page->getContent()));
        self::assertSame(1, preg_match('/<select [^>]*id="f-late_per"\s+disabled/', (string) $page->getContent()));
        app(TakeHandIn::class)($assignment, $this->students[0], 'Some words. '.$this->prose(60, 1));
        $page = $this->get(route('plan.edit', $assignment))->assertSee('Fixed: work has come in.')
            ->assertSee('Work has come in: more kinds can be taken, not fewer.')
            ->assertDontSee('Fixed: scripts are with markers.');
        $this->put(
            route('plan.update', $assignment), self::sent((string) $page->getContent()),
        )->assertSessionHasNoErrors();
        self::assertSame(
            [['limit' => 100, 'amount' => '2', 'step' => 10, 'grace' => 10, 'bibliography' => false], ['pdf', 'typed']],
            [$assignment->refresh()->length_rule, $assignment->handin_kinds],
        );
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $page = $this->get(route('plan.edit', $assignment))->assertSee('Fixed: scripts are with markers.');
        $this->put(
            route('plan.update', $assignment), self::sent((string) $page->getContent()),
        )->assertSessionHasNoErrors();
    }

    /**
     * What a browser sends of the page's form when nothing is touched.
     *
     * @return array<string, mixed>
     */
    private static function sent(string $html): array
    {
        $document = new DOMDocument;
        $document->loadHTML('<?xml encoding="utf-8"?>'.$html, LIBXML_NOERROR);
        $pairs = [];
        foreach (
            (new DOMXPath($document))->query(
                '//form[@id="assignment"]//*[self::input or self::select or self::textarea][@name][not(@disabled)]'
            ) ?: [] as $field
        ) {
            assert($field instanceof DOMElement);
            if (
                in_array($field->getAttribute('type'), ['checkbox', 'radio'], true) && ! $field->hasAttribute('checked')
            ) {
                continue;
            }
            $selected = $field->nodeName === 'select'
                ? (new DOMXPath($document))->evaluate('string((.//option[@selected] | .//option)[1]/@value)', $field)
                : null;
            foreach ((new DOMXPath($document))->query('.//option[@selected]', $field) ?: [] as $option) {
                $selected = $option instanceof DOMElement ? $option->getAttribute('value') : $selected;
            }
            $pairs[] = rawurlencode($field->getAttribute('name')).'='.rawurlencode(
                $selected ?? ($field->nodeName === 'textarea' ? $field->textContent : $field->getAttribute('value'))
            );
        }
        parse_str(implode('&', $pairs), $sent);

        return $sent;
    }

    public function test_promises_about_costs_and_files_are_kept_once_students_know_them(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 2);
        $assignment = $this->assignment(['handin_kinds' => ['pdf', 'typed']]);
        $save = fn (array $fields) => $this->actingAs($this->coordinator)->put(
            route('plan.update', $assignment), $this->form($assignment->refresh(), $fields),
        );
        $save(
            ['kinds' => ['pdf', 'typed'], 'late_take' => 'points', 'late_amount' => '5']
        )->assertSessionHasErrors('late_take');
        $save(['kinds' => ['pdf', 'typed'], 'cap' => '40'])->assertSessionHasErrors('cap');
        app(TakeHandIn::class)($assignment, $this->students[0], 'Some words. '.$this->prose(60, 1));
        $save(['kinds' => ['pdf']])->assertSessionHasErrors('kinds');
        $save(['kinds' => ['pdf', 'typed', 'docx'], 'brief' => 'Write more.'])->assertSessionHasNoErrors()
            ->assertSessionHas(
                'said',
                fn (string $said) => str_contains(
                    $said, 'The 1 who have handed in wrote to the brief as it was before.',
                ),
            );
    }

    public function test_a_later_due_time_holds_for_what_came_in_late(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 1);
        $assignment = $this->assignment(['due_at' => now()->addDay(), 'closes_at' => now()->addDays(5)]);
        Carbon::setTestNow(now()->addDay()->addHour());
        app(TakeHandIn::class)($assignment, $this->students[0], 'Late. '.$this->prose(60, 1));
        self::assertTrue(Handin::query()->sole()->late);
        $this->actingAs($this->coordinator)->put(
            route('plan.update', $assignment),
            $this->form($assignment->refresh(), [...self::SECOND_MARKS, 'due_at' => '2026-11-25T10:00']),
        )
            ->assertSessionHas('said', fn (string $said) => str_contains($said, 'none is late now'));
        self::assertFalse(Handin::query()->sole()->late);
    }

    public function test_only_the_kinds_asked_for_are_taken(): void
    {
        $this->module(1, 1);
        $assignment = $this->assignment(['handin_kinds' => ['pdf']]);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))->assertSee('.pdf, up to')
            ->assertDontSee('or type your text');
        $this->post(
            route('hand-in.store', $assignment), ['file' => Files::upload('Plain words.', 'essay.txt')],
        )->assertSessionHasErrors('file');
        self::assertStringContainsString(
            'This file is a plain text, which this assignment does not take. Hand in .pdf.',
            session('errors')->first('file'),
        );
        $this->post(
            route('hand-in.store', $assignment), ['typed_text' => 'Typed words.'],
        )->assertSessionHasErrors('file');
        $this->post(
            route('hand-in.store', $assignment), ['file' => Files::upload(Files::pdf('Words in a page.'), 'essay.pdf')],
        )->assertSessionHasNoErrors();
    }

    public function test_feedback_without_a_mark_shows_no_number_anywhere(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 1);
        $assignment = $this->assignment(
            ['release' => Release::fromArray(['feedback_only' => true]), 'scheme' => $this->oneMark()]
        );
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))
            ->assertSee('feedback on this, and no mark');
        app(TakeHandIn::class)($assignment, $this->students[0], 'A draft. '.$this->prose(60, 1));
        Carbon::setTestNow(now()->addDays(2));
        $this->shareOut($assignment);
        $this->finish($this->script($assignment)->marks()->sole(), 'l3', 'l2');
        $this->actingAs($this->coordinator)->post(route('release.store', $assignment), ['which' => 'all'])
            ->assertSessionHas('said');
        $result = Result::query()->sole();
        self::assertSame([null, null, null], [$result->mark, $result->band, $result->shownMark()]);
        $numbers = json_encode(['handin' => ''] + $result->document);
        self::assertDoesNotMatchRegularExpression('/(?<![\da-f])80(?![\da-f])/', (string) $numbers);
        $this->actingAs($this->students[0])->get(route('results.show', $result))->assertOk()
            ->assertSee('Feedback without a mark')->assertSee('Comment of the first marker.')->assertSee('High')
            ->assertDontSee('How this number')->assertDontSee('% of the mark');
        $this->actingAs($this->coordinator)->get(route('grade-book.show', $this->module))->assertSee('feedback is out');
        $this->get(route('release.index', $assignment))->assertSee('feedback, no mark')->assertDontSee('80.0');
    }

    public function test_a_report_seen_late_does_not_colour_the_mark(): void
    {
        $this->module(2, 1);
        $assignment = $this->sharedOut($this->assignment(['screening' => Screening::fromArray(['seen' => 'after'])]));
        $mark = $this->markOf($this->script($assignment), Seat::First);
        $this->actingAs($mark->marker)->get(route('screen.show', $mark->script))->assertForbidden();
        $this->finish($mark, 'l2', 'l2');
        $this->get(route('screen.show', $mark->script))->assertOk();
    }

    public function test_bad_rules_are_named_at_their_fields(): void
    {
        $this->module(1, 1);
        $assignment = $this->assignment();
        $this->actingAs($this->coordinator)->put(
            route('plan.update', $assignment),
            $this->form(
                $assignment,
                [
                    'late_take' => 'points', 'late_amount' => '٤٠', 'late_grace' => '-1', 'word_limit' => '1e3',
                    'over_amount' => '200', 'cap' => '101', 'overlap_min_words' => '3',
                ],
            ),
        )
            ->assertSessionHasErrors(['cap', 'overlap_min_words']);
        $this->put(
            route('plan.update', $assignment),
            $this->form(
                $assignment,
                [
                    'late_take' => 'points', 'late_amount' => '٤٠', 'late_grace' => '-1', 'word_limit' => '1e3',
                    'over_amount' => '200',
                ],
            ),
        )
            ->assertSessionHasErrors(['late_amount', 'late_grace', 'word_limit', 'over_amount']);
    }

    public function test_a_copy_has_everything_but_dates_and_people(): void
    {
        Storage::put('templates/t', 'cover sheet');
        $this->module(1, 2);
        $assignment = $this->assignment(['cap' => '40', 'scheme' => $this->scheme(['tolerance' => '3.5'])]);
        $assignment->templates()->create(
            [
                'name' => 'cover.docx', 'path' => 'templates/t', 'bytes' => 11,
                'sha256' => hash('sha256', 'cover sheet'), 'text' => 'cover sheet',
            ]
        );
        $next = Module::factory()->create();
        $this->actingAs($this->coordinator)->post(route('plan.copy', $assignment), ['module' => $next->public_id])
            ->assertForbidden();
        Membership::factory()->create(
            ['module_id' => $next->id, 'user_id' => $this->coordinator->id, 'role' => Role::Coordinator]
        );
        $this->actingAs($this->coordinator->fresh() ?? $this->coordinator)
            ->post(route('plan.copy', $assignment), ['module' => $next->public_id])->assertRedirect();
        $copy = Assignment::query()->where('module_id', $next->id)->sole();
        self::assertSame(
            ['Salt', '40.00', '3.5', $assignment->rubric_version_id, null, null, null, 0],
            [
                $copy->title, $copy->cap, (string) $copy->scheme->tolerance, $copy->rubric_version_id, $copy->due_at,
                $copy->published_at, $copy->promised_on, $copy->scripts()->count(),
            ],
        );
        self::assertNotSame($assignment->public_id, $copy->public_id);
        self::assertNotSame('templates/t', $copy->templates()->sole()->path);
        self::assertSame('cover sheet', Storage::get($copy->templates()->sole()->path));
        $this->get(route('plan.edit', $copy))->assertOk()->assertSee('Two criteria, version 1');
        $this->put(
            route('plan.update', $copy),
            $this->form($copy, ['title' => 'Salt again', 'due_at' => '2027-02-01T12:00', 'closes_at' => '']),
        )->assertSessionHasNoErrors();
        self::assertSame($assignment->rubric_version_id, $copy->refresh()->rubric_version_id);
    }

    public function test_template_files_reach_students_and_nobody_else(): void
    {
        $this->module(1, 1);
        $assignment = $this->assignment();
        $this->actingAs($this->coordinator)
            ->post(route('templates.store', $assignment), ['template' => Files::upload('<?php echo 1;', 'run.php')])
            ->assertSessionHasErrors('template');
        $this->post(
            route('templates.store', $assignment), ['template' => Files::upload('Name: ____', '../../cover.txt')],
        )->assertSessionHasNoErrors();
        $template = $assignment->templates()->sole();
        self::assertSame('cover.txt', $template->name);
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))->assertSee('cover.txt');
        self::assertSame(
            'Name: ____',
            $this->get(route('templates.show', $template))->assertDownload('cover.txt')->streamedContent(),
        );
        $this->actingAs($this->coordinator)->get(route('plan.student', $assignment))->assertOk()
            ->assertSee('This is the page students get')->assertSee('cover.txt')->assertDontSee('name="file"', false);
        $this->delete(route('templates.destroy', $template))->assertSessionHas('said');
        self::assertFalse(Storage::exists($template->path));
    }

    public function test_bands_of_a_module_s_own_are_made_used_and_kept_by_what_has_them(): void
    {
        Carbon::setTestNow('2026-11-23 10:00:00');
        $this->module(1, 1);
        $assignment = $this->assignment();
        $this->actingAs($this->coordinator)->post(route(
            'bands.store', $this->module,
        ), ['name' => 'Three', 'boundary' => 'whole-marks', 'bands' => [
            ['name' => 'High', 'from' => '70', 'value' => '80'], ['name' => 'Low', 'from' => '0', 'value' => ''],
            ['name' => 'Mid', 'from' => '45', 'value' => '55'], ['name' => '', 'from' => '', 'value' => ''],
        ]])->assertSessionHasNoErrors();
        $scale = GradeScale::query()->sole();
        self::assertSame(
            ['Low', 'Mid', 'High'], array_column($scale->document['bands'], 'name'), 'sorted by their lower bound',
        );
        $this->get(route('bands.index', [$this->module, 'turn' => '69.5']))->assertSee('69.5 is High')
            ->assertSee('69.5 is Upper second');
        $this->get(route('bands.index', [$this->module, 'turn' => 'mid']))->assertSee('Mid is 55')
            ->assertSee('is not a band of Degree classes');

        $this->put(
            route('plan.update', $assignment),
            $this->form($assignment, [...self::SECOND_MARKS, 'bands' => $scale->public_id]),
        )->assertSessionHasNoErrors();
        $this->put(
            route('bands.update', $scale),
            ['name' => 'Three', 'lock_version' => 1, 'bands' => [['name' => 'All', 'from' => '0']]],
        )->assertSessionHasNoErrors();
        self::assertSame(
            'High', $assignment->refresh()->scale()->bands[2]->name, 'the assignment keeps what it was given',
        );
        $this->get(route('plan.edit', $assignment))->assertSee('Three (as it was)');
        $this->put(
            route('plan.update', $assignment),
            $this->form($assignment, [...self::SECOND_MARKS, 'bands' => 'kept', 'title' => 'Salted']),
        )->assertSessionHasNoErrors();
        self::assertCount(3, $assignment->refresh()->scale()->bands);

        $this->put(
            route('bands.update', $scale),
            ['name' => 'Three', 'lock_version' => 1, 'bands' => [['name' => 'All', 'from' => '0']]],
        )->assertSessionHasErrors('refused');
        $this->post(
            route('bands.store', $this->module),
            ['name' => 'Bad', 'bands' => [['name' => 'Pass', 'from' => '40'], ['name' => 'Fail', 'from' => '5']]],
        )->assertSessionHasErrors(['bands' => 'Band “Fail”, from: the lowest band must begin at 0']);
        $this->post(
            route('bands.store', $this->module), ['name' => 'Bad', 'bands' => [['name' => 'Pass', 'from' => '٤٠']]],
        )->assertSessionHasErrors('bands');
    }
}
