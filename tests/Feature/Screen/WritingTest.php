<?php

declare(strict_types=1);

namespace Tests\Feature\Screen;

use App\Actions\Collect\TakeHandIn;
use App\Actions\Plan\SaveAssignment;
use App\Actions\Screen\AddFilesToBaseline;
use App\Actions\Screen\MakeBaseline;
use App\Enums\WebState;
use App\Enums\WritingState;
use App\Models\Assignment;
use App\Models\ConversationEntry;
use App\Models\Script;
use App\Models\WritingBaseline;
use App\Models\WritingReport;
use App\Models\WritingText;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Http;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use YoungHarbor\Core\Screening\Settings as Screening;

/**
 * Writing signals in the application, on the made-up essays of the demo: what is said of a script, to whom, and what is
 * not said.
 */
final class WritingTest extends TestCase
{
    private WritingBaseline $baseline;

    /**
     * @param  array<string, mixed>  $fields
     */
    private function measured(array $fields = [], int $texts = 20): Assignment
    {
        $this->module(2, 3);
        $this->baseline = app(MakeBaseline::class)($this->module, 'Supervised', 'English', $this->coordinator);
        app(AddFilesToBaseline::class)(
            $this->baseline, array_slice($this->files('baseline/*.md'), 0, $texts), 'October', $this->coordinator,
        );
        $assignment = $this->assignment(['writing_baseline_id' => $this->baseline->id, ...$fields]);
        foreach (['lifeboat', 'sea-wall'] as $n => $essay) {
            app(TakeHandIn::class)($assignment, $this->students[$n], $this->essay($essay));
        }

        return $assignment;
    }

    /**
     * @return list<UploadedFile>
     */
    private function files(string $pattern): array
    {
        return array_map(
            fn (string $path) => new UploadedFile($path, basename($path), null, null, true),
            glob(database_path("demo/{$pattern}")) ?: [],
        );
    }

    private function essay(string $name): string
    {
        return (string) file_get_contents(database_path("demo/essays/{$name}.md"));
    }

    private function report(Script $script): WritingReport
    {
        return WritingReport::query()->where('handin_id', $script->refresh()->current_handin_id)->sole();
    }

    public function test_a_cohort_and_a_script_say_how_many_texts_are_as_unusual_and_never_who_wrote_them(): void
    {
        $assignment = $this->measured();
        app(TakeHandIn::class)(
            $assignment, $this->students[2], 'Too short to say anything of. It is three sentences. No more.',
        );
        [$odd, $usual, $short] = [
            $this->script($assignment, 0), $this->script($assignment, 1), $this->script($assignment, 2),
        ];
        self::assertSame(
            [1, 21, WritingState::Ready],
            [$this->report($odd)->at_least, $this->report($odd)->among, $this->report($odd)->state],
        );
        self::assertGreaterThan(5, $this->report($usual)->at_least);
        self::assertSame(WritingState::Nothing, $this->report($short)->state);
        $page = $this->actingAs($this->coordinator)->get(route('writing.index', $assignment))->assertOk()
            ->assertSee('3 of 3 measured')->assertSee('1 of 21 texts')->assertSee('Fewer than 1 expected, 1 seen')
            ->assertSee('300 are needed')->assertSee('Too few to say');
        $page->assertSeeInOrder([$odd->code, $usual->code, $short->code]);
        $this->get(route('writing.index', [$assignment, 'show' => 'unusual']))->assertSee($odd->code.'</a>', false)
            ->assertDontSee($usual->code.'</a>', false);
        $this->get(route('writing.index', [$assignment, 'show' => ['x'], 'page' => '-1']))->assertOk();
        $page = $this->get(route('writing.show', $odd))->assertOk()->assertSee('it is the most unusual')
            ->assertSee(
                'Of 2 scripts written as the trusted texts were, fewer than 1 would look at least this unusual.'
            )
            ->assertSee('There are more stock phrases than in 20 of 20 trusted texts')->assertSee('1 ÷ 21 = 0.048')
            ->assertSee('What no signal can tell')->assertSee('What help did you have');
        foreach (['AI-generated', 'machine-written', 'plagiar', 'cheat', 'guilt', 'verdict:'] as $accusing) {
            $page->assertDontSee($accusing);
        }
        $this->get(route('writing.show', $short))->assertOk()->assertSee('Nothing can be said of this text');
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))
            ->assertSee('it cannot show who wrote what');
    }

    public function test_who_may_see_the_signals(): void
    {
        $assignment = $this->measured();
        $this->travel(2)->days();
        $this->shareOut($assignment);
        $script = $this->script($assignment)->load('marks');
        $script->currentHandin?->update(
            ['declaration' => [['label' => 'People', 'answer' => 'My aunt Brigid read it.']]]
        );
        $marker = $script->marks[0]->marker;
        $this->actingAs($this->coordinator)->get(route('writing.show', $script))->assertSee('My aunt Brigid');
        $this->actingAs($marker)->get(route('writing.show', $script))->assertOk()->assertDontSee('My aunt Brigid')
            ->assertDontSee($this->students[0]->name);
        $this->get(route('writing.index', $assignment))->assertForbidden();
        $this->get(route('baselines.show', $this->baseline))->assertForbidden();
        $this->screenOtherwise($assignment, ['seen' => 'after']);
        $this->get(route('writing.show', $script))->assertForbidden();
        $this->actingAs($this->students[0])->get(route('writing.show', $script))->assertForbidden();
    }

    public function test_a_baseline_that_is_too_small_gives_nothing_and_says_what_is_missing(): void
    {
        $assignment = $this->measured(texts: 12);
        self::assertSame(WritingState::Nothing, $this->report($this->script($assignment))->state);
        $this->actingAs($this->coordinator)->get(route('writing.index', $assignment))
            ->assertSee('19 texts that can be used are needed, and it has 12')
            ->assertSee('The baseline has 12 texts that can be used');
        $this->post(
            route('baselines.add', $this->baseline),
            ['title' => 'More', 'texts' => array_slice($this->files('baseline/*.md'), 10)],
        )->assertSessionHas('said', '8 added, 2 were there already.');
        self::assertSame(
            [3, 3, 20],
            [$this->baseline->refresh()->version, $this->baseline->worked_out_version, $this->baseline->size],
        );
        self::assertSame(
            [WritingState::Ready, 3],
            [
                $this->report($this->script($assignment))->state,
                $this->report($this->script($assignment))->baseline_version,
            ],
            'scripts are measured again with the new version',
        );
    }

    public function test_texts_that_do_not_belong_are_told_and_one_taken_out_stays_on_record(): void
    {
        $assignment = $this->measured();
        $german = UploadedFile::fake()->createWithContent(
            'a.txt',
            implode(
                ' ',
                array_map(
                    fn (int $n) => "Der alte Hafen {$n} lag unter dem Nebel, und niemand wusste mehr, wann die Boote aus der See kamen.",
                    range(1, 40),
                ),
            ),
        );
        $copy = UploadedFile::fake()->createWithContent(
            'b.txt', file_get_contents(database_path('demo/baseline/supervised-04.md')).' One more sentence.',
        );
        $this->actingAs($this->coordinator)
            ->post(
                route('baselines.add', $this->baseline),
                [
                    'title' => 'Others',
                    'texts' => [
                        $german, $copy, UploadedFile::fake()->createWithContent('c.txt', 'Short. Very.'),
                        UploadedFile::fake()->createWithContent('d.docx', "PK\x03\x04 broken"),
                    ],
                ],
            )
            ->assertSessionHasErrors('texts');
        $this->get(route('baselines.show', $this->baseline))->assertSee('20 texts are used')
            ->assertSee('In another language than most')->assertSee('A copy, in most of its words')
            ->assertSee('300 are needed')->assertSee('0.048');
        $text = WritingText::query()->whereNull('misfit')->firstOrFail();
        $this->post(route('baselines.take-out', $text), ['reason' => ''])->assertSessionHasErrors('reason');
        $this->post(
            route('baselines.take-out', $text), ['reason' => 'Written at home after all'],
        )->assertSessionHasNoErrors();
        self::assertSame([4, 19], [$this->baseline->refresh()->version, $this->baseline->size]);
        self::assertSame(
            [4, 20],
            [
                $this->report($this->script($assignment))->baseline_version,
                $this->report($this->script($assignment))->among,
            ],
        );
        $this->get(route('baselines.show', $this->baseline))->assertSee(
            'out since version 4: Written at home after all'
        );
        $this->get(route('logbook', $this->module))->assertSee('took a text out of a baseline')
            ->assertSee('added texts to a baseline');
        $this->post(
            route('baselines.store', $this->module), ['name' => 'Supervised', 'language' => 'English'],
        )->assertSessionHasErrors('name');
        $this->post(route('baselines.add', $this->baseline), [])->assertSessionHasErrors(['title', 'texts']);
    }

    public function test_what_is_being_marked_never_joins_its_own_baseline(): void
    {
        $assignment = $this->measured(['screening' => Screening::fromArray(['joins_archive' => true])]);
        $this->actingAs($this->coordinator)->get(route('baselines.show', $this->baseline))
            ->assertDontSee('From the archive');
        $this->post(
            route('baselines.add', $this->baseline),
            ['archive' => "{$assignment->title}\n{$this->module->code}, ".now()->year],
        )->assertSessionHas('said', '0 added.');
        $this->post(
            route('baselines.add', $this->baseline),
            [
                'title' => 'By mistake',
                'texts' => [UploadedFile::fake()->createWithContent('a.md', $this->essay('lifeboat'))],
            ],
        );
        self::assertSame('This very text is in the baseline.', $this->report($this->script($assignment))->reason);
    }

    public function test_settings_are_checked_and_a_change_measures_again(): void
    {
        $assignment = $this->measured();
        $other = app(MakeBaseline::class)($this->module, 'Empty', 'English', $this->coordinator);
        $form = fn (array $fields): array => [
            'title' => $assignment->title, 'brief' => $assignment->brief,
            'rubric' => $assignment->rubricVersion?->rubric->public_id,
            'due_at' => $assignment->due_at?->addMinute()->timezone('Europe/London')->format('Y-m-d\TH:i'),
            'bands' => 'classes', 'pass_mark' => '40', 'tolerance' => '5', ...self::SECOND_MARKS,
            'settle_rule' => 'mean', 'overlap_seen' => 'start',
            'closes_at' => $assignment->closes_at?->addMinute()->timezone('Europe/London')->format('Y-m-d\TH:i'),
            'lock_version' => $assignment->refresh()->lock_version, 'writing_baseline' => $this->baseline->public_id,
            'writing_alarm' => '0.1', 'writing_least_words' => '300', ...$fields,
        ];
        foreach (
            [
                ['writing_alarm' => '0.9'], ['writing_alarm' => 'x'], ['writing_least_words' => '10'],
                ['writing_baseline' => $this->students[0]->public_id],
            ] as $bad
        ) {
            $this->actingAs($this->coordinator)->put(route('plan.update', $assignment), $form($bad))
                ->assertSessionHasErrors(array_key_first($bad));
        }
        $this->put(
            route('plan.update', $assignment), $form(['writing_least_words' => '600']),
        )->assertSessionHasNoErrors();
        self::assertSame(
            ['0.1', WritingState::Nothing],
            [(string) $assignment->refresh()->screening->alarm, $this->report($this->script($assignment))->state],
        );
        $this->put(
            route('plan.update', $assignment), $form(['writing_baseline' => $other->public_id]),
        )->assertSessionHasNoErrors();
        $this->get(route('writing.index', $assignment))->assertSee('The baseline is too small for this alarm');
        $this->put(route('plan.update', $assignment), $form(['writing_baseline' => '']))->assertSessionHasNoErrors();
        $this->get(route('writing.index', $assignment))->assertSee('Writing is not measured here');
        $this->get(route('writing.show', $this->script($assignment)))->assertSee('Writing is not measured here');
    }

    public function test_an_entry_keeps_the_signals_and_the_questions_and_changes_no_mark(): void
    {
        $assignment = $this->measured();
        $script = $this->script($assignment);
        $report = $this->report($script);
        $report->update(
            [
                'found' => [
                    ...(array) $report->found,
                    'turns' => [['at' => $report->found['sentences'][6][0] ?? 0, 'p' => 0.03]],
                ],
            ]
        );
        $this->actingAs($this->coordinator)->get(route('writing.show', $script))
            ->assertSee('style turns here: about 3 in 100 trusted texts have a turn as large')
            ->assertSee('Take me through the part that begins');
        $this->post(
            route('screen.record', $script),
            [
                'from' => 'writing', 'found' => 'talk', 'why' => 'I would like to see notes.',
                'questions' => "What did you read?\nWhat help did you have?", 'evidence' => ['writing'], 'hold' => '1',
            ],
        )->assertRedirect(route('writing.show', $script).'#record');
        $entry = ConversationEntry::query()->sole();
        self::assertSame(['writing'], array_keys($entry->seen));
        self::assertStringContainsString('Of 21 texts', $entry->seen['writing'][0]);
        self::assertContains('Style turns at 1 place.', $entry->seen['writing']);
        $this->get(route('writing.show', $script))->assertSee('What did you read?')->assertSee('the result was held');
        self::assertNotNull($script->refresh()->held_reason);
        self::assertSame(0, $script->marks()->count(), 'a signal leads to no mark');
    }

    public function test_the_detector_gets_the_text_and_nothing_else_and_states_its_errors(): void
    {
        config(['harbor.detector.address' => 'http://127.0.0.1:9/judge']);
        Http::fake(
            [
                '*' => Http::response(
                    [
                        'detector' => 'Sim', 'simulated' => true, 'score' => 0.81,
                        'stated' => ['false_alarm_rate' => 0.08, 'miss_rate' => 0.31, 'measured_on' => 'nothing'],
                    ]
                ),
            ]
        );
        $assignment = $this->measured(['screening' => Screening::fromArray(['detector' => true])]);
        Http::assertSentCount(2);
        Http::assertSent(
            fn (Request $request) => array_keys($request->data()) === ['text', 'language']
            && ! str_contains($request->body(), (string) $this->students[0]->name)
            && ! str_contains($request->body(), $this->script($assignment)->code)
        );
        $this->actingAs($this->coordinator)->get(route('writing.show', $this->script($assignment)))
            ->assertSee('An outside detector (simulated)')->assertSee('wrongly names 8 of 100 honest texts')
            ->assertSee('misses 31 of 100')->assertSee('Of 2 honest scripts it would name fewer than 1');
        $this->get(route('logbook', $this->module))->assertSee('sent a text to the outside detector');
        $this->get(route('detector.show', $this->module))->assertSee('127.0.0.1')->assertSee($assignment->title)
            ->assertSee('Never: names');
        $this->actingAs($this->students[0])->get(route('hand-in.show', $assignment))
            ->assertSee('also goes to an outside service');
        $this->post(route('writing.measure', $assignment));
        Http::assertSentCount(2); // an answer stands until the text is another
    }

    public function test_what_was_handed_in_before_students_were_told_never_goes_out(): void
    {
        config(['harbor.detector.address' => 'http://127.0.0.1:9/judge']);
        Http::fake(
            ['*' => Http::response(['score' => 0.1, 'stated' => ['false_alarm_rate' => 0.1, 'miss_rate' => 0.1]])]
        );
        $assignment = $this->measured();
        $this->travel(1)->hours();
        app(SaveAssignment::class)(
            $this->module, $assignment, ['screening' => $assignment->refresh()->screening->with(['detector' => true])],
            $assignment->lock_version,
        );
        Http::assertNothingSent();
        app(TakeHandIn::class)($assignment->refresh(), $this->students[2], $this->essay('kelp'));
        Http::assertSentCount(1);
        self::assertSame(
            [WebState::Off, WebState::Ready],
            [
                $this->report($this->script($assignment))->detector_state,
                $this->report($this->script($assignment, 2))->detector_state,
            ],
        );
    }

    public function test_nothing_goes_out_unless_the_assignment_says_so(): void
    {
        config(['harbor.detector.address' => 'http://127.0.0.1:9/judge']);
        Http::fake();
        $assignment = $this->measured();
        Http::assertNothingSent();
        self::assertSame(WebState::Off, $this->report($this->script($assignment))->detector_state);
        config(['harbor.detector.address' => '']);
        $this->actingAs($this->coordinator)->get(route('detector.show', $this->module))->assertSee('None is set up');
    }

    /**
     * @return array<string, array{string, string}>
     */
    public static function answers(): array
    {
        return [
            'down' => ['down', 'answered with an error (503)'], 'slow' => ['slow', 'did not answer in time'],
            'HTML' => ['page', 'cannot be read'],
            'nonsense' => ['nonsense', 'cannot be read'],
            'no error rates' => ['rates', 'does not state how often it is wrong'],
            'endless' => ['long', 'far too long'],
        ];
    }

    #[DataProvider('answers')]
    public function test_a_detector_that_gives_no_answer_is_told_and_all_else_stands(string $kind, string $why): void
    {
        config(['harbor.detector.address' => 'http://127.0.0.1:9/judge']);
        Http::fake(['*' => match ($kind) {
            'down' => Http::response('Down', 503), 'slow' => fn () => throw new ConnectionException('timed out'),
            'page' => Http::response('<html>Cookies</html>', 200, ['Content-Type' => 'text/html']),
            'nonsense' => Http::response(['score' => 'very']), 'rates' => Http::response(['score' => 0.9]),
            default => Http::response(['score' => 0.9, 'why' => str_repeat('x', 70_000)]),
        }]);
        $assignment = $this->measured(['screening' => Screening::fromArray(['detector' => true])]);
        self::assertSame(
            [WritingState::Ready, WebState::Failed],
            [
                $this->report($this->script($assignment))->state,
                $this->report($this->script($assignment))->detector_state,
            ],
        );
        $this->actingAs($this->coordinator)->get(route('writing.show', $this->script($assignment)))
            ->assertSee('It gave no answer')->assertSee($why)->assertSee('it is the most unusual');
    }

    public function test_sections_are_compared_when_there_are_enough_of_each(): void
    {
        $assignment = $this->measured();
        $report = $this->report($this->script($assignment));
        $this->module->memberships()->where('user_id', $this->students[0]->id)->update(['section' => 'A']);
        foreach (['A' => 8, 'B' => 9] as $section => $many) {
            for ($n = 0; $n < $many; $n++) {
                $script = $this->scriptOf($assignment, $section);
                WritingReport::query()->updateOrCreate(
                    ['handin_id' => $script->current_handin_id],
                    [
                        ...$report->only('writing_baseline_id', 'baseline_version', 'words', 'among', 'found'),
                        'state' => 'ready', 'at_least' => $section === 'B' && $n < 3 ? 1 : 9,
                    ],
                );
            }
        }
        $this->actingAs($this->coordinator)->get(route('writing.index', $assignment))->assertOk()
            ->assertSeeInOrder(
                ['Section', '<td>A</td>', '<td>B</td><td class="num">9</td><td class="num">3</td>'], false,
            );
    }

    private function scriptOf(Assignment $assignment, string $section): Script
    {
        $student = $this->member(\App\Enums\Role::Student);
        $this->module->memberships()->where('user_id', $student->id)->update(['section' => $section]);
        app(\App\Actions\Collect\ExpectScripts::class)($assignment);
        app(TakeHandIn::class)($assignment, $student, 'A short one. It is.');

        return Script::query()->where('assignment_id', $assignment->id)->where('student_id', $student->id)->sole();
    }
}
