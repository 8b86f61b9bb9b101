<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Screen\CompareHandin as Compare;
use App\Actions\Screen\StopScreening;
use App\Enums\ReportState;
use App\Enums\SourceKind;
use App\Jobs\CompareHandinJob;
use App\Models\Assignment;
use App\Models\Handin;
use App\Models\OverlapMatch;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\Script;
use App\Screening\DatabaseIndex;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Tests\Files;
use Tests\TestCase;
use YoungHarbor\Core\Overlap\Prints;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * Screening a cohort: what is compared with what, how far it is, what stops and restarts it.
 */
final class ScreenTest extends TestCase
{
    private function report(Script $script): OverlapReport
    {
        return OverlapReport::query()->where('handin_id', $script->refresh()->current_handin_id)->sole();
    }

    /**
     * @param  array<string, mixed>  $fields
     */
    private function two(array $fields = []): Assignment
    {
        $this->module();
        $assignment = $this->assignment($fields);
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)($assignment, $this->students[$n], $this->prose(30, 3).' '.$this->prose(20, 50 + $n));
        }

        return $assignment;
    }

    public function test_the_cohort_and_the_reading_page_show_the_same_figures(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $shared = $this->prose(30, 7);
        app(TakeHandIn::class)($assignment, $this->students[0], "Alpha begins. {$shared} Alpha ends & <b>bold</b>.");
        app(TakeHandIn::class)($assignment, $this->students[1], "{$shared} Beta ends.");
        $one = $this->script($assignment, 0);
        $two = $this->script($assignment, 1);
        $report = $this->report($one);

        $this->actingAs($this->coordinator)->get(route('screen.index', $assignment))->assertOk()
            ->assertSee("{$report->share} %")->assertSee('look closely')->assertSee(': 30 words</title>', false);
        $this->get(route('screen.show', $one))->assertOk()
            ->assertSee("30 of {$report->counted} counted words")->assertSee($two->code)->assertSee('Alpha begins.')
            ->assertSee('&lt;b&gt;bold', false)->assertSee('passage 1 of 1')->assertDontSee($this->students[0]->name);
        $this->get(route('screen.show', $this->script($assignment, 2)))->assertSee('Not compared yet');
    }

    public function test_the_brief_and_the_templates_do_not_count_and_make_nobody_a_source(): void
    {
        $this->module();
        $assignment = $this->assignment(
            ['brief' => 'Say which trade you chose and what it left behind on the shore for us to find.']
        );
        $this->actingAs($this->coordinator)->post(
            route('templates.store', $assignment),
            [
                'template' => Files::upload(
                    'I declare that this work is my own and that no machine has written any of it.', 'cover.txt',
                ),
            ],
        );
        $cover = "Say which trade you chose and what it left behind on the shore for us to find.\n\nI declare that this work is my own and that no machine has written any of it.\n\n";
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)($assignment, $this->students[$n], $cover.$this->prose(68, $n));
        }
        $report = OverlapReport::query()->orderBy('handin_id')->firstOrFail();
        self::assertSame(
            [['given' => 34], 68, 0, '0.0', 0],
            [$report->left_out, $report->counted, $report->matched, (string) $report->share, $report->to_compare],
            'texts that share the brief alone are not even aligned',
        );
        $this->get(
            route('screen.show', $this->script($assignment, 0))
        )->assertSee('left out: 34 of the brief and the templates');
    }

    public function test_a_template_taken_away_counts_from_then_on(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $cover = 'I declare that this work is my own and that no machine has written any of it.';
        $this->actingAs($this->coordinator)->post(
            route('templates.store', $assignment), ['template' => Files::upload($cover, 'cover.txt')],
        );
        foreach ([0, 1] as $n) {
            app(TakeHandIn::class)($assignment, $this->students[$n], "{$cover} ".$this->prose(40, $n));
        }
        self::assertSame(0, $this->report($this->script($assignment))->matched);
        $this->post(
            route('templates.destroy', $assignment->templates()->sole()), ['_method' => 'DELETE'],
        )->assertRedirect();
        self::assertSame(
            [17, []],
            [$this->report($this->script($assignment))->matched, $this->report($this->script($assignment))->left_out],
        );
    }

    public function test_a_comparison_that_fails_says_so_and_is_taken_up_again(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $handin = app(TakeHandIn::class)($assignment, $this->students[0], $this->prose(30, 1));
        (new CompareHandinJob($handin->id))->failed(new RuntimeException('The disk was full.'));
        $this->actingAs($this->coordinator)->get(route('screen.index', $assignment))->assertSee('The disk was full.')
            ->assertSee('Take up the one that failed or stopped');
        $this->get(route('screen.show', $this->script($assignment)))->assertSee('The comparison failed')
            ->assertSee('The disk was full.');
        $this->post(route('screen.rerun', $assignment), ['which' => 'unfinished'])->assertRedirect();
        self::assertSame(ReportState::Ready, OverlapReport::query()->sole()->state);
        $this->post(route('screen.rerun', $assignment), ['which' => 'some'])->assertSessionHasErrors('which');
    }

    public function test_running_twice_or_after_a_killed_worker_gives_neither_double_nor_missing_results(): void
    {
        $assignment = $this->two();
        $report = $this->report($this->script($assignment));
        $report->matches()->delete();
        // as a killed worker leaves it
        $report->update(['state' => ReportState::Running, 'compared' => 0, 'matched' => 0]);
        CompareHandinJob::dispatchSync($report->handin_id);
        CompareHandinJob::dispatchSync($report->handin_id);
        self::assertSame(
            [ReportState::Ready, 30, 1, 1],
            [$report->refresh()->state, $report->matched, $report->runs, $report->matches()->count()],
        );
        self::assertSame(2, OverlapMatch::query()->count());
        self::assertSame(2, OverlapSource::query()->count());
    }

    public function test_a_hand_in_that_comes_later_is_told_to_the_reports_before_it(): void
    {
        $assignment = $this->two();
        $first = $this->report($this->script($assignment));
        self::assertSame(30, $first->matched);
        app(TakeHandIn::class)($assignment, $this->students[2], $this->prose(20, 50));
        self::assertSame([50, 2], [$first->refresh()->matched, $first->sources]);
        // A later attempt without the words takes them off again, on every side.
        app(TakeHandIn::class)($assignment, $this->students[2], $this->prose(20, 99));
        self::assertSame([30, 1], [$first->refresh()->matched, $first->sources]);
        self::assertSame(3, OverlapSource::query()->count());
    }

    public function test_stopping_leaves_what_is_ready_and_the_rest_can_be_taken_up(): void
    {
        Queue::fake([CompareHandinJob::class]);
        $assignment = $this->two();
        $first = $this->script($assignment)->currentHandin;
        assert($first instanceof Handin);
        app(Compare::class)($first);
        $this->actingAs($this->coordinator)->get(route('screen.index', $assignment))->assertSee('1 of 2 compared')
            ->assertSee('Stop comparing');
        $this->post(route('screen.stop', $assignment))->assertRedirect();
        $second = $this->report($this->script($assignment, 1));
        self::assertSame(
            [ReportState::Ready, ReportState::Stopped], [$first->report?->refresh()->state, $second->state],
        );
        app(Compare::class)($second->handin); // a job that was waiting already
        self::assertSame(ReportState::Stopped, $second->refresh()->state);
        $this->post(route('screen.rerun', $assignment), ['which' => 'unfinished']);
        self::assertSame(ReportState::Waiting, $second->refresh()->state);
        Queue::assertPushed(
            CompareHandinJob::class, fn (CompareHandinJob $job) => $job->handinId === $second->handin_id,
        );
        app(Compare::class)($second->handin);
        self::assertSame([30, 30], [$second->refresh()->matched, $first->report->refresh()->matched]);
    }

    public function test_a_stop_during_a_run_keeps_the_figures_from_being_written(): void
    {
        $assignment = $this->two();
        $report = $this->report($this->script($assignment));
        $report->update(['matched' => 7]);
        // The stop comes between the look-up of candidates and the first of them.
        OverlapReport::updated(function (OverlapReport $changed) use ($assignment): void {
            if ($changed->wasChanged('to_compare') && $changed->to_compare > 0) {
                app(StopScreening::class)($assignment);
            }
        });
        try {
            app(Compare::class)($report->handin);
        } finally {
            OverlapReport::flushEventListeners();
        }
        self::assertSame([ReportState::Stopped, 7], [$report->refresh()->state, $report->matched]);
    }

    public function test_settings_that_change_during_a_run_have_it_run_once_more(): void
    {
        $assignment = $this->two();
        $report = $this->report($this->script($assignment));
        OverlapReport::updated(function (OverlapReport $changed) use ($assignment): void {
            if ($changed->wasChanged('to_compare') && $changed->to_compare > 0) {
                $this->screenOtherwise($assignment->refresh(), ['min_words' => 35]);
            }
        });
        self::assertTrue(app(Compare::class)($report->handin), 'once more');
        self::assertSame(ReportState::Waiting, $report->refresh()->state);
        self::assertFalse(app(Compare::class)($report->handin->refresh()));
        self::assertSame([ReportState::Ready, 0], [$report->refresh()->state, $report->matched]);
    }

    public function test_saved_settings_are_followed_by_every_report(): void
    {
        $assignment = $this->two();
        $report = $this->report($this->script($assignment));
        $save = fn (array $fields) => app(SaveAssignment::class)(
            $this->module, $assignment, ['screening' => $assignment->refresh()->screening->with($fields)],
            $assignment->lock_version,
        );
        $this->actingAs($this->coordinator);
        $save(['min_words' => 31]);
        self::assertSame(0, $report->refresh()->matched);
        $save(['min_words' => 8]);
        self::assertSame(30, $report->refresh()->matched);
        $save(['look' => '61', 'look_closely' => '70']);
        $this->get(route('screen.index', $assignment))->assertSee('look from 61 %, look closely from 70 %')
            ->assertDontSee('>look closely<', false);
        $this->get(route('screen.index', [$assignment, 'show' => 'look']))->assertSee('No script is like that.');
    }

    public function test_each_hand_in_is_queued_once_it_is_committed(): void
    {
        Queue::fake([CompareHandinJob::class]);
        $this->module();
        $handin = app(TakeHandIn::class)($this->assignment(), $this->students[0], 'Some words.');
        Queue::assertPushed(CompareHandinJob::class, fn (CompareHandinJob $job) => $job->handinId === $handin->id);
        $this->actingAs($this->coordinator)->get(route('screen.index', $handin->script->assignment))
            ->assertSee('waiting')->assertSee('0 of 1 compared');
    }

    public function test_texts_with_one_word_and_with_other_scripts_are_compared_like_any(): void
    {
        $this->module(1, 4);
        $assignment = $this->assignment();
        $arabic = 'كانت الملاحات أول صناعة على هذا الساحل ولم تكن منتجا ثانويا للبحر أو للأرض في تلك السنين البعيدة';
        $chinese = '盐田是这片海岸最早的产业而不是海洋的副产品';
        foreach (
            [
                'Salt.', "{$arabic}. Then some English of my own to go with it.",
                "Mixed words first. {$arabic} {$chinese}", $chinese,
            ] as $n => $text
        ) {
            app(TakeHandIn::class)($assignment, $this->students[$n], $text);
        }
        $matched = fn (int $n): array => [
            $this->report($this->script($assignment, $n))->state->value,
            $this->report($this->script($assignment, $n))->matched,
        ];
        self::assertSame(['ready', 0], $matched(0));
        self::assertSame(['ready', 18], $matched(1));
        self::assertSame(['ready', 18 + 21], $matched(2));
        self::assertSame(['ready', 21], $matched(3), 'where words are not parted by spaces each letter counts');
        $this->actingAs($this->coordinator)->get(route('screen.show', $this->script($assignment, 1)))->assertOk()
            ->assertSee('18 of');
    }

    public function test_what_very_many_share_is_found_with_some_of_them_and_real_runs_beside_it(): void
    {
        $this->module(1, 1);
        $index = app(DatabaseIndex::class);
        $hashes = range(1, 40);
        for ($source = 1; $source <= 3 * DatabaseIndex::MOST; $source++) {
            $index->put(5, $source, [...$hashes, 1000 + $source]);
        }
        $found = $index->sharing([5], [...$hashes, 1002, 1290]);
        self::assertSame(1, $found[290], 'its own hash leads to the one that has it, however common the others are');
        self::assertLessThanOrEqual(DatabaseIndex::MOST + 2, count($found));
        self::assertSame([], $index->sharing([6], $hashes));
        $index->remove(5, 2, [1002, ...$hashes]);
        self::assertArrayNotHasKey(2, $index->sharing([5], [1002, ...$hashes]));
        $index->put(5, 1, $hashes);
        self::assertSame(
            1, DB::table('overlap_prints')->where('shelf', 5)->where('hash', 7)->where('source_id', 1)->count(),
        );
    }

    public function test_a_thousand_texts_that_share_a_page_hide_no_real_copy(): void
    {
        // A page that nobody was given by the assignment, so that nothing leaves it out, and one true copy among them
        // all.
        mt_srand(7);
        $random = fn (int $count): array => array_map(fn () => 'w'.mt_rand(1, 5000), range(1, $count));
        [$page, $copied] = [$random(120), $random(30)];
        $this->module();
        $assignment = $this->assignment(['screening' => Screening::fromArray(['archive' => true])]);
        app(TakeHandIn::class)(
            $assignment, $this->students[0],
            implode(' ', [...$random(200), ...$page, ...$random(50), ...$copied, ...$random(100)]),
        );
        $index = app(DatabaseIndex::class);
        $copy = 0;
        for ($n = 1; $n <= 1000; $n++) {
            $words = [...$random(60), ...$page, ...($n === 990 ? $copied : $random(30))];
            $source = OverlapSource::factory()->create(
                [
                    'kind' => SourceKind::Archive, 'shelf' => OverlapSource::ARCHIVE, 'title' => "Essay {$n}",
                    'text' => implode(' ', $words), 'words' => count($words),
                    'numbers' => OverlapSource::packed($words),
                ]
            );
            $index->put(OverlapSource::ARCHIVE, $source->id, Prints::of($words)->all());
            $copy = $n === 990 ? $source->id : $copy;
        }
        $script = $this->script($assignment, 0);
        app(Compare::class)($this->report($script)->handin);
        $report = $this->report($script);
        self::assertSame(150, $report->matched, 'the page and the copied words, each once');
        self::assertSame(
            30,
            OverlapMatch::query()->where('overlap_report_id', $report->id)->where('overlap_source_id', $copy)
                ->value('words') - 120,
        );
        self::assertLessThanOrEqual(
            2 * DatabaseIndex::MOST, $report->to_compare, 'what everyone shares does not have everyone compared',
        );
    }

    public function test_the_cohort_is_filtered_searched_and_sorted(): void
    {
        $this->module(1, 4);
        $assignment = $this->assignment();
        foreach (
            [
                $this->prose(60, 1), $this->prose(40, 1).' '.$this->prose(30, 2), $this->prose(50, 3),
                $this->prose(20, 4),
            ] as $n => $text
        ) {
            app(TakeHandIn::class)($assignment, $this->students[$n], $text);
        }
        $code = fn (int $n): string => $this->script($assignment, $n)->code;
        $this->actingAs($this->coordinator)->get(route('screen.index', [$assignment, 'show' => 'closely']))
            ->assertSeeInOrder([$code(0).'</a>', $code(1).'</a>'], false)->assertDontSee($code(2).'</a>', false);
        $this->get(route('screen.index', [$assignment, 'sort' => 'words']))->assertSeeInOrder(
            [$code(3).'</a>', $code(2).'</a>', $code(0).'</a>', $code(1).'</a>'], false,
        );
        $this->get(
            route('screen.index', [$assignment, 'q' => substr($code(2), -3)])
        )->assertSee($code(2).'</a>', false);
        $this->get(
            route(
                'screen.index',
                [$assignment, 'show' => ['x'], 'sort' => 'nothing', 'q' => ['x'], 'page' => '-3', 'link' => 'x'],
            )
        )->assertOk();
        $this->post(
            route('screen.record', $this->script($assignment, 0)),
            ['found' => 'talk', 'why' => 'Two thirds in common.'],
        );
        $this->get(route('screen.index', [$assignment, 'show' => 'unread']))->assertSee($code(1).'</a>', false)
            ->assertDontSee($code(0).'</a>', false);
        $this->get(route('screen.index', [$assignment, 'show' => 'recorded']))->assertSee('needs a talk');
    }

    public function test_close_wording_is_its_own_kind_and_never_in_the_share(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $original = 'The pans were drawn twice a day in summer and the brine once it would float an egg was carried to the boiling house by women who were paid by the pail. It follows that the calendar of the pans was set by the sun while that of the house was set by coal and the two were seldom in step';
        $reworded = 'The pans were emptied twice a day in summer and the brine when it would float an egg was brought to the boiling house by women that were paid by the bucket. It follows that the rhythm of the pans was set by the sun whereas that of the house was fixed by coal and the two were rarely in step';
        app(TakeHandIn::class)(
            $assignment, $this->students[0], $this->prose(30, 1).' '.$original.'. '.$this->prose(30, 2),
        );
        app(TakeHandIn::class)(
            $assignment, $this->students[1], $this->prose(30, 3).' '.$reworded.'. '.$this->prose(30, 4),
        );
        foreach ([0, 1] as $n) {
            $report = $this->report($this->script($assignment, $n));
            self::assertSame(2, $report->close_runs, 'what is identical in its middle cuts it in two');
            self::assertGreaterThan(20, $report->close_words);
            self::assertLessThan(30, $report->matched);
        }
        $this->actingAs($this->coordinator)->get(route('screen.show', [$this->script($assignment), 'run' => 1]))
            ->assertSee('Close wording besides, not in the share:')->assertSee('close same', false);
        $this->get(
            route('screen.index', [$assignment, 'show' => 'close'])
        )->assertSee($this->script($assignment, 1)->code);
    }

    public function test_letters_swapped_to_hide_copied_words_are_a_finding_and_hide_nothing(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $shared = 'the clerk of the ferry company kept a coal book in his own hand for nineteen years and never once missed a day';
        app(TakeHandIn::class)($assignment, $this->students[0], "{$shared}. ".$this->prose(30, 1));
        app(TakeHandIn::class)(
            $assignment, $this->students[1],
            strtr($shared, ['o' => 'о', 'a' => 'а']).". s\u{200B}alt. ".$this->prose(30, 2),
        );
        $report = $this->report($this->script($assignment, 1));
        self::assertSame(23, $report->matched);
        self::assertEqualsCanonicalizing(
            ['lookalike letters', 'invisible characters'],
            array_values(array_unique(array_column($report->hiding ?? [], 'kind'))),
        );
        $this->actingAs($this->coordinator)->get(route('screen.index', [$assignment, 'show' => 'hiding']))
            ->assertSee($this->script($assignment, 1)->code.'</a>', false)->assertSee('lookalike letters');
        $this->get(route('screen.show', $this->script($assignment, 1)))->assertSee('Lookalike letters')
            ->assertSee('tampered', false);
    }

    public function test_markers_see_the_report_of_their_scripts_only_when_the_assignment_lets_them(): void
    {
        $this->module(3, 3);
        $assignment = $this->sharedOut($this->assignment());
        $mine = fn (Script $script): bool => $script->marks->contains('marker_id', $this->tutors[0]->id);
        foreach ($assignment->scripts()->with('marks')->get() as $script) {
            $this->actingAs($this->tutors[0])->get(route('screen.show', $script))
                ->assertStatus($mine($script) ? 200 : 403);
            $this->post(
                route('screen.leave-out', $script), ['what' => 'short', 'from' => 9, 'reason' => 'x'],
            )->assertStatus($mine($script) ? 302 : 403);
            // to hold is the coordinator's
            $this->post(
                route('screen.record', $script), ['found' => 'note', 'why' => 'x', 'hold' => '1'],
            )->assertForbidden();
        }
        $own = $assignment->scripts()->with('marks')->get()->first($mine);
        $this->screenOtherwise($assignment, ['seen' => 'after']);
        $mark = $own->marks->firstWhere('marker_id', $this->tutors[0]->id);
        $this->get(route('screen.show', $own))->assertForbidden(); // a share does not colour a mark that is open
        $mark->forceFill(['done_at' => now()])->save();
        $this->get(route('screen.show', $own))->assertOk();
        $this->screenOtherwise($assignment, ['seen' => 'never']);
        foreach (['screen.show', 'screen.pdf'] as $route) {
            $this->get(route($route, $own))->assertForbidden();
        }
    }
}
