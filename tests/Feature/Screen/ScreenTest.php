<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Enums\ReportState;
use App\Jobs\CompareHandin;
use App\Models\OverlapReport;
use App\Models\Script;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Tests\TestCase;

final class ScreenTest extends TestCase
{
    public function test_the_cohort_and_the_reading_page_show_the_same_figures(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $shared = $this->prose(30, 7);
        app(TakeHandIn::class)($assignment, $this->students[0], "Alpha begins. {$shared} Alpha ends & <b>bold</b>.");
        app(TakeHandIn::class)($assignment, $this->students[1], "{$shared} Beta ends.");
        $one = $this->script($assignment, 0);
        $two = $this->script($assignment, 1);
        $report = OverlapReport::query()->where('handin_id', $one->current_handin_id)->sole();

        $this->actingAs($this->coordinator)->get(route('screen.index', $assignment))
            ->assertOk()
            ->assertSee("{$report->share} %")
            ->assertSee('look closely');
        $this->get(route('screen.show', $one))
            ->assertOk()
            ->assertSee("30 of {$report->counted} counted words")
            ->assertSee($two->code)
            ->assertSee('Alpha begins.')
            ->assertSee('&lt;b&gt;bold', false)
            ->assertSee('run 1 of 1')->assertDontSee($this->students[0]->name);
        $this->get(route('screen.show', $this->script($assignment, 2)))->assertSee('Not compared yet');
    }

    public function test_the_brief_and_the_templates_do_not_count(): void
    {
        $this->module();
        $assignment = $this->assignment(['brief' => 'Say which trade you chose and what it left behind on the shore for us to find.']);
        $this->actingAs($this->coordinator)->post(route('templates.store', $assignment), ['template' => \Tests\Files::upload('I declare that this work is my own and that no machine has written any of it.', 'cover.txt')]);
        $cover = "Say which trade you chose and what it left behind on the shore for us to find.\n\nI declare that this work is my own and that no machine has written any of it.\n\n";
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)($assignment, $this->students[$n], $cover.$this->prose(68, $n));
        }
        OverlapReport::query()->pluck('handin_id')->each(fn (int $id) => (new CompareHandin($id))->handle(app(\App\Actions\Screen\CompareHandin::class)));
        $report = OverlapReport::query()->orderBy('handin_id')->firstOrFail();
        self::assertSame([34, 68, 0, '0.0'], [$report->left_out, $report->counted, $report->matched, (string) $report->share]);
        $this->get(route('screen.show', $this->script($assignment, 0)))->assertSee('34 words of the brief and the templates are left out');
    }

    public function test_a_comparison_that_fails_says_so_and_is_tried_again(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(30, 1));
        (new CompareHandin($handin->id))->failed(new RuntimeException('The disk was full.'));
        $this->actingAs($this->coordinator)->get(route('screen.index', $assignment))
            ->assertSee('The disk was full.')
            ->assertSee('Try the failed ones again');
        $this->post(route('screen.rerun', $assignment), ['which' => 'failed'])->assertRedirect();
        self::assertSame(ReportState::Ready, OverlapReport::query()->sole()->state);
    }

    public function test_running_twice_or_after_a_killed_worker_gives_neither_double_nor_missing_results(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $shared = $this->prose(30, 3);
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)($assignment, $this->students[$n], "{$shared} ".$this->prose(20, 50 + $n));
        }
        $report = OverlapReport::query()->where('handin_id', $this->script($assignment)->current_handin_id)->sole();
        $report->update(['state' => ReportState::Running, 'compared' => 0]); // as a killed worker leaves it
        CompareHandin::dispatchSync($report->handin_id);
        CompareHandin::dispatchSync($report->handin_id);
        self::assertSame([ReportState::Ready, 30, 1], [$report->refresh()->state, $report->matched, $report->runs()->count()]);
    }

    public function test_each_hand_in_is_queued_once_it_is_committed(): void
    {
        Queue::fake();
        $this->module();
        $handin = app(TakeHandIn::class)($this->assignment(), $this->students[0], 'Some words.');
        Queue::assertPushed(CompareHandin::class, fn (CompareHandin $job) => $job->handinId === $handin->id);
        $this->actingAs($this->coordinator)->get(route('screen.index', $handin->script->assignment))
            ->assertSee('waiting')
            ->assertSee('0 of 1 compared');
    }

    public function test_markers_see_the_report_of_their_scripts_only_when_the_assignment_lets_them(): void
    {
        $this->module(3, 3);
        $assignment = $this->sharedOut($this->assignment());
        $mine = fn (Script $script): bool => $script->marks->contains('marker_id', $this->tutors[0]->id);
        foreach ($assignment->scripts()->with('marks')->get() as $script) {
            $this->actingAs($this->tutors[0])->get(route('screen.show', $script))
                ->assertStatus($mine($script) ? 200 : 403);
        }
        $assignment->update(['overlap_seen' => 'never']);
        $own = $assignment->scripts()->with('marks')->get()->first($mine);
        $this->get(route('screen.show', $own))->assertForbidden();
    }
}
