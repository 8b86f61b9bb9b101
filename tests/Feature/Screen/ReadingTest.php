<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Screen\LeaveOut;
use App\Enums\LeftOutBy;
use App\Models\Assignment;
use App\Models\OverlapChoice;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\Script;
use App\Queries\Screen\OverlapReading;
use Tests\TestCase;

/**
 * Reading a report: figures, runs, sources, what is left out and brought back.
 */
final class ReadingTest extends TestCase
{
    private Assignment $work;

    /** The first script takes 40 words from one classmate, 20 from another, and 12 that both of them have. */
    private function threeSources(): Script
    {
        $this->module(2, 4);
        $this->work = $this->assignment();
        $large = $this->prose(40, 1);
        $small = $this->prose(20, 2);
        $common = $this->prose(12, 3);
        $own = fn (int $seed): string => $this->prose(30, $seed);
        foreach ([
            "{$own(10)} {$large} {$own(11)} {$common} {$own(12)} {$small} {$own(13)}",
            "{$own(20)} {$large} {$own(21)} {$common}",
            "{$common} {$own(30)} {$small} {$own(31)}",
            $own(40),
        ] as $n => $text) {
            app(TakeHandIn::class)($this->work, $this->students[$n], $text);
        }

        return $this->script($this->work);
    }

    private function report(Script $script): OverlapReport
    {
        return OverlapReport::query()->where('handin_id', $script->current_handin_id)->sole();
    }

    /**
     * @param  array<string, mixed>  $asked
     * @return array<string, mixed>
     */
    private function reading(Script $script, array $asked = []): array
    {
        $reading = app(OverlapReading::class)->ofReport(
            $this->report($script), $script, $asked, \App\Enums\OverlapReader::Coordinator,
        );
        self::assertNotNull($reading);

        return $reading;
    }

    public function test_sources_are_lettered_by_their_words_and_their_counts_add_up(): void
    {
        $script = $this->threeSources();
        $reading = $this->reading($script);
        $report = $this->report($script);

        self::assertSame([72, 192, 3, 2], [$report->matched, $report->counted, $report->runs, $report->sources]);
        $sources = array_values($reading['sources']);
        self::assertSame(['A', 'B'], array_column($sources, 'letter'));
        self::assertSame(
            [$this->script($this->work, 1)->code, $this->script($this->work, 2)->code], array_column($sources, 'label'),
        );
        // What both have is credited to one of them only, and so no word is counted twice.
        self::assertSame([52, 20], array_column($sources, 'words'));
        self::assertSame('37.5', $report->share);
        self::assertSame(
            [52, $this->script($this->work, 1)->code],
            [$report->largest_words, $report->largestSource?->handin?->script->code],
        );
    }

    public function test_the_whole_script_is_there_with_each_run_marked_and_the_same_words_beside_it(): void
    {
        $script = $this->threeSources();
        $text = (string) $script->currentHandin?->text;
        foreach ($this->reading($script)['runs'] as $i => $run) {
            $reading = $this->reading($script, ['run' => (string) ($i + 1)]);
            self::assertSame(
                $text, implode('', array_column($reading['script'], 'text')), 'not a letter of the script is lost',
            );
            $same = fn (array $parts): string => implode(
                ' ',
                array_column(
                    array_filter($parts, fn (array $part) => ($part['same'] ?? $part['run'] > 0) && $part['now']),
                    'text',
                ),
            );
            self::assertSame($same($reading['script']), $same($reading['current']['there']['parts']));
            self::assertCount($run['words'], explode(' ', $same($reading['script'])));
            $whole = $this->reading($script, ['run' => (string) ($i + 1), 'whole' => '1'])['current']['there'];
            self::assertSame(
                OverlapSource::query()->findOrFail($run['source'])->fullText(),
                implode('', array_column($whole['parts'], 'text')),
            );
        }
        self::assertSame(3, $this->reading($script, ['run' => '99'])['number']);
        self::assertSame(1, $this->reading($script, ['run' => '-5'])['number']);
        self::assertSame(1, $this->reading($script, ['run' => ['x']])['number']);
        $alone = $this->reading($this->script($this->work, 3));
        self::assertNull($alone['current']);
        self::assertSame([], $alone['sources']);
    }

    public function test_hiding_a_source_s_marks_changes_no_figure(): void
    {
        $script = $this->threeSources();
        $reading = $this->reading($script, ['hide' => ['A']]);
        self::assertSame([1, 'B'], [count($reading['runs']), $reading['runs'][0]['letter']]);
        self::assertSame(72, $reading['figures']->report->matched());
        $this->actingAs($this->coordinator)->get(route('screen.show', [$script, 'hide' => ['A', 'B']]))->assertOk()
            ->assertSee('The marks of every source are hidden.')->assertSee('72 of 192 counted words');
    }

    public function test_a_run_is_left_out_with_a_reason_and_brought_back(): void
    {
        $script = $this->threeSources();
        $run = $this->reading($script)['runs'][0];
        self::assertSame(40, $run['words']);
        $this->actingAs($this->coordinator)
            ->post(
                route('screen.leave-out', $script),
                ['what' => 'passage', 'from' => $run['from'], 'to' => $run['to'], 'reason' => 'Quoted and cited'],
            )
            ->assertRedirect();
        $report = $this->report($script);
        // 72 − 40 of 192 − 40: the words count on neither side.
        self::assertSame(
            [32, 152, '21.1', ['passage' => 40]],
            [$report->matched, $report->counted, $report->share, $report->left_out],
        );
        $this->get(route('screen.show', $script))->assertSee('32 of 152 counted words')
            ->assertSee('40 in passages taken off here')->assertSee('Quoted and cited');
        $choice = OverlapChoice::query()->sole();
        $this->post(route('screen.undo', $choice))->assertRedirect();
        $this->post(route('screen.undo', $choice))->assertRedirect();
        self::assertSame([72, 192], [$this->report($script)->matched, $this->report($script)->counted]);
        $this->get(route('logbook', $this->module))->assertSee('left something out of an overlap report')
            ->assertSee('undid a choice in an overlap report');
    }

    public function test_a_source_left_out_no_longer_takes_words_from_the_others(): void
    {
        $script = $this->threeSources();
        $first = OverlapSource::query()->where('handin_id', $this->script($this->work, 1)->current_handin_id)->sole();
        $this->actingAs($this->coordinator)
            ->post(
                route('screen.leave-out', $script),
                ['what' => 'source', 'source' => $first->public_id, 'reason' => 'Written together'],
            )
            ->assertSessionHasNoErrors();
        $report = $this->report($script);
        // The 12 words both had are the other's now; all words still count.
        self::assertSame([32, 192, 1], [$report->matched, $report->counted, $report->sources]);
        $this->post(
            route('screen.leave-out', $script),
            ['what' => 'source', 'source' => $first->public_id, 'reason' => 'Once more'],
        );
        self::assertSame(1, OverlapChoice::query()->count());
    }

    public function test_short_runs_are_left_out_and_the_last_word_holds(): void
    {
        $script = $this->threeSources();
        $leaveOut = fn (int $words) => app(LeaveOut::class)(
            $this->report($script), LeftOutBy::Short, ['from' => $words], 'Common wording', $this->coordinator,
        );
        $leaveOut(13);
        self::assertSame([60, 2], [$this->report($script)->matched, $this->report($script)->runs]);
        $leaveOut(21);
        self::assertSame([40, 192], [$this->report($script)->matched, $this->report($script)->counted]);
        self::assertSame(1, OverlapChoice::query()->whereNull('undone_at')->count());
    }

    public function test_quotations_and_bibliography_are_left_out_as_set_and_can_be_turned_round(): void
    {
        $this->module(1, 2);
        $assignment = $this->assignment();
        $quoted = rtrim($this->prose(20, 5), '.');
        $entries = "\n\nReferences\n\nWhitcombe, A. (1998) Salt and servitude on the eastern saltings. Merrow: Quay Press.\n\nOkafor, B. (2004) Boiling houses of the west side and their owners. Merrow: Quay Press.";
        app(TakeHandIn::class)(
            $assignment, $this->students[0],
            "{$this->prose(30, 1)} As one has it, “{$quoted}”, and no more. {$this->prose(10, 9)}{$entries}",
        );
        app(TakeHandIn::class)($assignment, $this->students[1], "{$quoted} {$this->prose(30, 2)}{$entries}");
        $script = $this->script($assignment);
        $report = $this->report($script);
        self::assertSame(0, $report->matched);
        self::assertSame(['quotation' => 20, 'bibliography' => 29], $report->left_out);
        $this->actingAs($this->coordinator)
            ->post(
                route('screen.leave-out', $script),
                ['what' => 'quotations', 'leave_out' => '0', 'reason' => 'To see them'],
            )
            ->assertSessionHasNoErrors();
        self::assertSame(
            [20, ['bibliography' => 29]], [$this->report($script)->matched, $this->report($script)->left_out],
        );
        $this->post(
            route('screen.leave-out', $script), ['what' => 'bibliography', 'leave_out' => '0', 'reason' => 'To see it'],
        );
        self::assertSame($this->report($script)->words, $this->report($script)->counted);
        $this->screenOtherwise($assignment, ['quotations' => false]);
        $this->get(route('screen.show', $script))->assertSee('none are left out.');
    }

    public function test_what_cannot_be_left_out_is_said_and_nothing_changes(): void
    {
        $script = $this->threeSources();
        $this->actingAs($this->coordinator);
        $this->post(
            route('screen.leave-out', $script), ['what' => 'passage', 'from' => 0, 'to' => 5, 'reason' => ''],
        )->assertSessionHasErrors(
            ['reason' => 'Say in a few words why: the report keeps it for whoever reads it next. Nothing was changed.']
        );
        $this->post(
            route('screen.leave-out', $script), ['what' => 'passage', 'from' => 5, 'to' => 5000, 'reason' => 'x'],
        )->assertSessionHasErrors('refused');
        $this->post(
            route('screen.leave-out', $script),
            ['what' => 'source', 'source' => $this->script($this->work, 3)->public_id, 'reason' => 'x'],
        )->assertSessionHasErrors('refused');
        $this->post(
            route('screen.leave-out', $script), ['what' => 'short', 'from' => 0, 'reason' => 'x'],
        )->assertSessionHasErrors('refused');
        $this->post(
            route('screen.leave-out', $script), ['what' => 'everything', 'reason' => 'x'],
        )->assertSessionHasErrors('what');
        $this->report($script)->update(['state' => 'running']);
        $this->post(
            route('screen.leave-out', $script), ['what' => 'short', 'from' => 20, 'reason' => 'x'],
        )->assertSessionHasErrors(
            ['refused' => 'This script is being compared again. Wait until that is done; nothing was changed.']
        );
        self::assertSame([0, 72], [OverlapChoice::query()->count(), $this->report($script)->matched]);
    }

    public function test_the_document_has_the_figures_of_the_page(): void
    {
        $script = $this->threeSources();
        $pdf = $this->actingAs($this->coordinator)->get(route('screen.pdf', $script))->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')->getContent();
        $file = (string) tempnam(sys_get_temp_dir(), 'report');
        file_put_contents($file, $pdf);
        $text = (string) preg_replace(
            '/\s+/u', ' ', (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -'),
        );
        unlink($file);
        foreach (
            [
                '37.5 %', '72 of 192 counted words also stand elsewhere.', $script->code,
                $this->script($this->work, 1)->code, 'Together, no word counted twice', 'Passage 3',
            ] as $said
        ) {
            self::assertStringContainsString($said, $text);
        }
        self::assertStringNotContainsString($this->students[0]->name, $text);
        $this->report($script)->update(['state' => 'waiting']);
        $this->get(route('screen.pdf', $script))->assertStatus(409);
    }

    public function test_a_script_of_another_assignment_is_named_without_its_code(): void
    {
        $script = $this->threeSources();
        $other = $this->assignment(['title' => 'Another']);
        app(TakeHandIn::class)($other, $this->students[3], "{$this->prose(40, 1)} {$this->prose(25, 77)}");
        app(TakeHandIn::class)($other, $this->students[1], "{$this->prose(30, 20)} {$this->prose(25, 78)}");
        $labels = fn (int $student): array => array_column(
            array_values($this->reading($this->script($other, $student))['sources']), 'label',
        );
        self::assertContains('A hand-in for “Salt”', $labels(3));
        self::assertContains('The same student’s own “Salt”', $labels(1));
        foreach ($this->work->scripts()->pluck('code') as $code) {
            $this->actingAs($this->coordinator)->get(route('screen.show', $this->script($other, 3)))->assertOk()
                ->assertDontSee($code);
        }
        $this->screenOtherwise($other, ['module' => false]);
        app(\App\Actions\Screen\RerunScreening::class)($other, 'all');
        self::assertSame([], $labels(3));
        self::assertSame(
            '37.5', $this->report($script)->share, 'and that the first report learnt of it changes nothing it had',
        );
    }
}
