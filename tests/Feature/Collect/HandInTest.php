<?php

declare(strict_types=1);

namespace Tests\Feature\Collect;

use App\Actions\Collect\TakeHandIn;
use App\Exceptions\Refused;
use App\Models\Handin;
use App\Models\OverlapReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Storage;
use Tests\Files;
use Tests\TestCase;

final class HandInTest extends TestCase
{
    public function test_a_student_hands_in_and_gets_a_receipt_with_what_was_read(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $bytes = Files::document("# Salt\n\nThe pans were drawn twice a day.", 'docx');

        $answer = $this->actingAs($this->students[0])->post(
            route('hand-in.store', $assignment), ['file' => Files::upload($bytes, 'my essay.docx')],
        );
        $handin = Handin::query()->sole();

        $answer->assertRedirect(route('receipts.show', $handin));
        $this->get(route('receipts.show', $handin))
            ->assertOk()
            ->assertSee('8 words')
            ->assertSee('The pans were drawn twice a day.')
            ->assertSee(hash('sha256', $bytes))
            ->assertSee('my essay.docx');
        self::assertSame($bytes, Storage::get($handin->files[0]->path));
        self::assertSame($bytes, $this->get(route('receipts.file', $handin))->streamedContent());
        self::assertFalse($handin->late);
    }

    public function test_several_files_become_one_script_and_each_is_on_the_receipt(): void
    {
        $this->module();
        $assignment = $this->assignment(['max_files' => 2]);
        $first = Files::document("# Walls\n\nThe wall was drawn twice.", 'docx');
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))->assertSee('Up to 2 files')
            ->assertSee('multiple', false);
        $this->post(
            route('hand-in.store', $assignment),
            [
                'files' => [
                    Files::upload($first, 'wall.docx'),
                    Files::upload('A note on tides.', "{$this->students[0]->name}.txt"),
                ],
            ],
        )->assertSessionHasNoErrors();
        $handin = Handin::query()->sole();
        self::assertSame(
            [10, 2, "The wall was drawn twice.\n\nA note on tides."],
            [$handin->words, $handin->files->count(), substr($handin->text, strpos($handin->text, 'The wall') ?: 0)],
        );
        self::assertStringContainsString('<h2>File 2</h2>', $handin->html);
        self::assertStringNotContainsString($this->students[0]->name, $handin->html);
        $sums = [hash('sha256', $first), hash('sha256', 'A note on tides.')];
        self::assertSame(hash('sha256', "{$sums[0]}\n{$sums[1]}\n"), $handin->sha256);
        $this->get(route('receipts.show', $handin))->assertSee($sums[0])->assertSee($sums[1])
            ->assertSee($handin->sha256)->assertSee('wall.docx');
        self::assertSame('A note on tides.', $this->get(route('receipts.file', [$handin, 2]))->streamedContent());
        $this->get(route('receipts.file', [$handin, 3]))->assertNotFound();
        $this->actingAs($this->students[1])->get(route('receipts.file', [$handin, 2]))->assertForbidden();
    }

    public function test_one_bad_file_of_several_is_named_and_none_is_taken(): void
    {
        $this->module();
        $assignment = $this->assignment(['max_files' => 2]);
        $kept = Storage::files('handins');
        $this->actingAs($this->students[0])
            ->post(
                route('hand-in.store', $assignment),
                ['files' => [Files::upload('Good words.', 'good.txt'), Files::upload('', 'empty.txt')]],
            )
            ->assertSessionHasErrors('file');
        self::assertStringContainsString('empty.txt: This file is empty', session('errors')->first('file'));
        $this->post(
            route('hand-in.store', $assignment),
            ['files' => [Files::upload('a', 'a.txt'), Files::upload('b', 'b.txt'), Files::upload('c', 'c.txt')]],
        )->assertSessionHasErrors('file');
        self::assertStringContainsString('2 files at most; you chose 3', session('errors')->first('file'));
        self::assertSame([0, $kept], [Handin::query()->count(), Storage::files('handins')]);
    }

    public function test_until_the_due_time_a_later_attempt_takes_its_place_and_both_are_kept(): void
    {
        $this->module();
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], 'First try at salt.');
        app(TakeHandIn::class)($assignment, $this->students[0], 'Second try at salt.');

        self::assertSame([1, 2], Handin::query()->orderBy('attempt')->pluck('attempt')->all());
        self::assertSame(2, $this->script($assignment)->currentHandin?->attempt);
    }

    public function test_one_second_after_the_due_time_is_late_and_the_due_time_itself_is_not(): void
    {
        Carbon::setTestNow(Carbon::parse('2026-10-20 09:00:00', 'UTC'));
        $this->module();
        $assignment = $this->assignment(
            [
                'due_at' => Carbon::parse('2026-10-25 01:30:00', 'UTC'),
                'closes_at' => Carbon::parse('2026-10-28 12:00:00', 'UTC'),
            ]
        );
        Carbon::setTestNow(Carbon::parse('2026-10-25 01:30:00', 'UTC'));
        self::assertFalse(app(TakeHandIn::class)($assignment, $this->students[0], 'On the second.')->late);
        Carbon::setTestNow(Carbon::parse('2026-10-25 01:30:01', 'UTC'));
        self::assertTrue(app(TakeHandIn::class)($assignment, $this->students[1], 'A second after.')->late);
    }

    public function test_a_closed_assignment_takes_nothing(): void
    {
        $this->module();
        $assignment = $this->assignment();
        Carbon::setTestNow(now()->addDays(4));
        $this->expectException(Refused::class);
        $this->expectExceptionMessage('This assignment closed on');
        app(TakeHandIn::class)($assignment, $this->students[0], 'Anything.');
    }

    public function test_a_bad_file_is_refused_in_words_and_what_was_in_stays(): void
    {
        $this->module();
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], 'A good one.');

        $this->actingAs($this->students[0])->from(route('hand-in.show', $assignment))
            ->post(route('hand-in.store', $assignment), ['file' => Files::upload("PK\x03\x04broken", 'essay.docx')])
            ->assertRedirect(route('hand-in.show', $assignment))
            ->assertSessionHasErrors(
                [
                    'file' => 'This file is damaged: it begins like a document but cannot be opened. Open it in your writing program, save it again and choose the new copy. What you handed in before, if anything, still counts.',
                ]
            );
        $this->postJson(route('hand-in.store', $assignment), ['file' => Files::upload('', 'essay.docx')])
            ->assertStatus(422)
            ->assertJsonPath('errors.file.0', fn (string $says) => str_starts_with($says, 'This file is empty'));
        $this->post(route('hand-in.store', $assignment), [])->assertSessionHasErrors('file');
        $this->post(
            route('hand-in.store', $assignment), ['file' => Files::upload(str_repeat('a', 21 * 1048576), 'big.txt')],
        )
            ->assertSessionHasErrors('file');
        self::assertSame(1, Handin::query()->count());
    }

    public function test_the_authors_name_is_masked_in_all_that_staff_will_see_and_the_student_is_told(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $student = $this->students[0];
        $handin = app(TakeHandIn::class)(
            $assignment, $student,
            Files::upload(
                Files::document("By **{$student->name}**, {$student->number}, {$student->email}\n\nSalt.", 'docx'),
                "{$student->name}.docx",
            ),
        );

        foreach ([$student->name, (string) $student->number, $student->email] as $sign) {
            self::assertStringNotContainsString($sign, $handin->text);
            self::assertStringNotContainsString($sign, $handin->html);
        }
        self::assertStringContainsString('3 times', $handin->notes[0]);
    }

    public function test_a_receipt_is_its_students_alone(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], 'Mine.');
        foreach ([$this->students[1], $this->tutors[0], $this->coordinator] as $other) {
            $this->actingAs($other)->get(route('receipts.show', $handin))->assertForbidden();
            $this->get(route('receipts.file', $handin))->assertForbidden();
        }
    }

    public function test_hand_ins_are_compared_as_they_come_and_older_reports_learn_of_newer_ones(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $shared = $this->prose(40, 1);
        $one = app(TakeHandIn::class)($assignment, $this->students[0], "My own beginning here. {$shared}");
        self::assertSame(0, OverlapReport::query()->where('handin_id', $one->id)->sole()->matched);
        $two = app(TakeHandIn::class)($assignment, $this->students[1], "{$shared} Another ending altogether.");

        foreach ([[$one, 44, $two], [$two, 43, $one]] as [$handin, $counted, $source]) {
            $report = OverlapReport::query()->where('handin_id', $handin->id)->sole();
            self::assertSame(['ready', $counted, 40], [$report->state->value, $report->counted, $report->matched]);
            self::assertSame([$source->id], $report->matches->map(fn ($match) => $match->source->handin_id)->all());
        }

        // The first student replaces the text by one of their own: the second's report forgets the old attempt.
        app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(60, 2));
        self::assertSame(0, OverlapReport::query()->where('handin_id', $two->id)->sole()->matched);
        self::assertSame(
            0, OverlapReport::query()->where('handin_id', $one->id)->count(),
            'an attempt that no longer counts has no report',
        );
    }

    public function test_the_collect_page_shows_names_without_codes(): void
    {
        $this->module();
        $assignment = $this->assignment();
        app(TakeHandIn::class)($assignment, $this->students[0], 'Mine.');
        $page = $this->actingAs($this->coordinator)->get(route('collect.index', $assignment))
            ->assertOk()
            ->assertSee($this->students[0]->name);
        foreach ($assignment->scripts as $script) {
            $page->assertDontSee($script->code);
        }
        $this->get(route('collect.index', [$assignment, 'show' => 'out']))
            ->assertDontSee($this->students[0]->name)
            ->assertSee($this->students[1]->name);
    }
}
