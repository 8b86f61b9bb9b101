<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Actions\Keeping\DecideKeeping;
use App\Actions\Keeping\LetGoWhatIsDecided;
use App\Actions\Keeping\SetPeriods;
use App\Actions\Release\ReleaseResults;
use App\Actions\Screen\ShelveHandin;
use App\Enums\ConversationFinding;
use App\Enums\KeepingState;
use App\Enums\MailState;
use App\Exceptions\Refused;
use App\Keeping\DueThing;
use App\Keeping\DueThings;
use App\Keeping\LettingGo\LetGoMarks;
use App\Keeping\NightlyTime;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\ConversationEntry;
use App\Models\Handin;
use App\Models\Institution;
use App\Models\KeepingDecision;
use App\Models\LogbookLine;
use App\Models\MarkAttachment;
use App\Models\MarkComment;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Notice;
use App\Models\OverlapReport;
use App\Models\OverlapSource;
use App\Models\Reply;
use App\Models\ReplyThread;
use App\Models\Result;
use App\Models\Review;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use LogicException;
use Tests\Crawl;
use Tests\TestCase;
use YoungHarbor\Core\Keeping\Kind;
use YoungHarbor\Core\Keeping\Periods;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Overlap\SourceIndex;
use YoungHarbor\Core\Text\Words;

/**
 * What has been kept for its time is listed, someone confirms, it goes in the night, and what is held stays.
 */
final class PeriodsTest extends TestCase
{
    use Crawl;

    private User $admin;

    private Assignment $work;

    /** Results of three are out today, with something of every kind. */
    protected function setUp(): void
    {
        parent::setUp();
        $this->admin = User::factory()->create(['is_admin' => true]);
        $this->module(2, 3);
        $this->work = $this->sharedOut($this->assignment());
        // Past the last due time, so that the results are what came last.
        $this->travelTo(Script::query()->get()->max('due_at')->addDays(10));
        foreach (array_keys($this->students) as $n) {
            $script = $this->script($this->work, $n);
            $mark = $this->markOf($script, Seat::First);
            Storage::put("attachments/voice-{$n}", 'A voice.');
            MarkAttachment::query()->create([
                'mark_id' => $mark->id, 'kind' => 'voice', 'name' => 'voice.webm', 'path' => "attachments/voice-{$n}",
                'mime' => 'audio/webm', 'bytes' => 8, 'seconds' => 4, 'written' => 'Said well.',
            ]);
            MarkComment::query()->create([
                'mark_id' => $mark->id, 'kind' => 'remark', 'criterion' => 'c1', 'body' => "Comment {$n} stands.",
                'anchor' => ['exact' => "Essay number {$n}.", 'prefix' => '', 'suffix' => '', 'start' => 0, 'end' => 15],
            ]);
            $this->finishBoth($script);
        }
        app(ReleaseResults::class)($this->work, null, $this->coordinator);
        foreach (array_keys($this->students) as $n) {
            $script = $this->script($this->work, $n);
            $handin = Handin::query()->findOrFail($script->current_handin_id);
            app(ShelveHandin::class)($handin, $script, Words::of($handin->text));
            OverlapReport::query()->firstOrCreate(['handin_id' => $handin->id]);
            ConversationEntry::query()->create([
                'script_id' => $script->id, 'handin_id' => $handin->id, 'found' => ConversationFinding::Attributed, 'why' => 'Quoted properly.',
                'seen' => [], 'student_sees' => true, 'written_by' => $this->coordinator->id,
            ]);
            $thread = ReplyThread::query()->create(['script_id' => $script->id, 'about' => 'whole']);
            Reply::query()->create([
                'reply_thread_id' => $thread->id, 'author_id' => $this->students[$n]->id, 'from_student' => true, 'body' => 'Thank you.',
            ]);
        }
    }

    /**
     * @param  array<string, int>  $months
     */
    private function periods(array $months, ?Module $module = null): void
    {
        app(SetPeriods::class)($module, Periods::fromArray($months), 'As the senate decided.', $this->admin);
    }

    private function decided(Kind ...$kinds): void
    {
        app(DecideKeeping::class)(
            array_values(array_map(fn (Kind $kind) => [
                $kind, in_array($kind, Kind::ofAssignments(), true) ? $this->work->fresh() : null,
            ], $kinds)),
            null, '', $this->admin,
        );
        $this->travelTo(NightlyTime::next()->addMinute());
        app(LetGoWhatIsDecided::class)();
    }

    /**
     * @return list<string> what waits for somebody
     */
    private function waiting(): array
    {
        return array_values(array_map(
            fn (DueThing $one) => $one->kind->value,
            array_filter(app(DueThings::class)->everywhere(), fn (DueThing $one) => $one->waits()),
        ));
    }

    /** How many rows of each kind there are. */
    private function counts(): string
    {
        return implode(' ', array_map(fn (string $table) => DB::table($table)->count(), [
            'scripts', 'marks', 'results', 'mark_comments', 'mark_attachments', 'overlap_reports', 'replies',
        ]));
    }

    private function everyPageOpens(): void
    {
        foreach ([$this->coordinator, $this->tutors[0], $this->students[0], $this->students[1]] as $person) {
            $this->sent = [];
            $this->actingAs($person->fresh() ?? $person);
            $this->crawl('/');
            $this->crawl("/modules/{$this->module->public_id}");
            foreach ($this->sent as $address => $text) {
                self::assertStringNotContainsString('Something went wrong on our side', $text, "{$person->email} {$address}");
            }
            self::assertGreaterThan(3, count($this->sent));
        }
        self::assertSame(0, $this->artisan('logbook:verify')->run());
    }

    public function test_nothing_falls_due_without_a_period_and_a_day_before_its_time(): void
    {
        self::assertSame([], app(DueThings::class)->everywhere());
        $this->periods(['texts' => 12, 'marks' => 72]);
        $this->actingAs($this->admin)->get(route('institution.keeping'))->assertOk()->assertSee('Nothing is due.')
            ->assertSee('Falls due within a year')->assertSee($this->work->title);
        $end = Result::query()->firstOrFail()->released_at->copy()->setTimezone(config('harbor.timezone'))->startOfDay()
            ->addMonthsNoOverflow(12);
        $this->travelTo($end->copy()->subMinute());
        self::assertSame([], $this->waiting());
        $this->travelTo($end->copy()->addMinute());
        self::assertSame(['texts'], $this->waiting());
        // A result that goes out again, corrected, counts anew.
        Result::query()->firstOrFail()->update(['released_at' => now()]);
        self::assertSame([], $this->waiting());
    }

    public function test_a_coordinator_is_told_confirms_takes_back_or_keeps_and_it_goes_in_the_night(): void
    {
        $this->periods(['texts' => 12]);
        $this->travel(400)->days();
        app(LetGoWhatIsDecided::class)();
        app(LetGoWhatIsDecided::class)();
        $told = Notice::query()->where('kind', 'keeping-due')->get();
        self::assertSame([$this->coordinator->id], $told->pluck('user_id')->all());
        $this->actingAs($this->coordinator)->get($told[0]->link)->assertOk()->assertSee('Due now')
            ->assertSee('Texts and files')->assertSee('of 3 scripts');
        self::assertSame(0, Handin::query()->whereNotNull('erased_at')->count(), 'nothing goes by itself');
        $send = fn (array $fields) => $this->from(route('keeping.module', $this->module))
            ->post(route('keeping.module.decide', $this->module), $fields);
        $thing = DueThing::keyOf(Kind::Texts, $this->work->public_id);
        $send(['do' => 'go'])->assertSessionHasErrors('things');
        $send(['do' => 'go', 'things' => ['logbook:']])->assertSessionHasErrors('things');
        $send(['do' => 'go', 'things' => ['marks:'.$this->work->public_id]])->assertSessionHasErrors('things');
        $send(['do' => 'longer', 'things' => [$thing]])->assertSessionHasErrors(['until', 'reason']);
        $send(['do' => 'longer', 'things' => [$thing], 'until' => now()->subDay()->format('Y-m-d'), 'reason' => 'x'])
            ->assertSessionHasErrors('until');
        self::assertSame(0, KeepingDecision::query()->count());
        $until = now()->addDays(30);
        $send(['do' => 'longer', 'things' => [$thing], 'until' => $until->format('Y-m-d'), 'reason' => 'An appeal is announced.'])
            ->assertSessionHas('said');
        $this->get(route('keeping.module', $this->module))->assertSee('An appeal is announced.')->assertSee('Nothing is due.');
        self::assertSame([], $this->waiting());
        $this->travelTo($until->addDay());
        self::assertSame(['texts'], $this->waiting());
        $send(['do' => 'go', 'things' => [$thing]])->assertSessionHas('said');
        $decision = KeepingDecision::query()->where('state', KeepingState::Confirmed)->sole();
        self::assertGreaterThan(5 * 3600, $decision->goes_at->getTimestamp() - now()->getTimestamp());
        $send(['do' => 'go', 'things' => [$thing]])->assertSessionHasErrors('things');
        app(LetGoWhatIsDecided::class)();
        self::assertSame(0, Handin::query()->whereNotNull('erased_at')->count(), 'not before the night');
        $this->delete(route('keeping.take-back', $decision))->assertSessionHas('said');
        $this->travel(2)->days();
        app(LetGoWhatIsDecided::class)();
        self::assertSame(0, Handin::query()->whereNotNull('erased_at')->count(), 'it was taken back');
        $send(['do' => 'go', 'things' => [$thing]])->assertSessionHas('said');
        $this->travel(2)->days();
        app(LetGoWhatIsDecided::class)();
        self::assertSame(3, Handin::query()->whereNotNull('erased_at')->count());
        $this->get(route('keeping.module', $this->module))->assertSee('Deleted')->assertSee('3 hand-ins')->assertSee('Nothing is due.');
        $this->delete(route('keeping.take-back', KeepingDecision::query()->latest('id')->firstOrFail()))->assertSessionHasErrors('things');
        $events = LogbookLine::query()->whereLike('event', 'keeping.%')->orderBy('number')->toBase()->pluck('event');
        self::assertSame([
            'keeping.periods-set', 'keeping.kept-for-longer', 'keeping.confirmed', 'keeping.taken-back',
            'keeping.confirmed', 'keeping.let-go',
        ], $events->all());
    }

    public function test_texts_go_with_files_prints_and_quotations_and_marks_and_comments_stand(): void
    {
        $files = DB::table('handin_files')->pluck('path')->all();
        $figures = fn () => [
            DB::table('marks')->orderBy('id')->get(['id', 'total', 'choices'])->toJson(),
            DB::table('results')->orderBy('id')->get(['id', 'mark', 'band'])->toJson(),
            DB::table('handins')->orderBy('id')->get(['id', 'sha256', 'seal', 'words'])->toJson(),
            Script::query()->orderBy('id')->pluck('standing', 'code')->all(),
        ];
        $kept = $figures();
        $this->periods(['texts' => 12]);
        $this->travel(400)->days();
        $this->decided(Kind::Texts);
        self::assertSame($kept, $figures());
        foreach ($files as $file) {
            self::assertFalse(Storage::exists((string) $file));
        }
        self::assertSame(0, OverlapSource::query()->whereNotNull('handin_id')->count());
        self::assertSame(0, DB::table('overlap_prints')->count());
        $all = json_encode(array_map(
            fn (string $table) => DB::table($table)->get(), ['handins', 'handin_files', 'mark_comments', 'results', 'overlap_sources'],
        ), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        self::assertStringNotContainsString('Essay number', $all);
        self::assertStringContainsString('Comment 1 stands.', $all);
        $this->everyPageOpens();
        $result = Result::query()->where('script_id', $this->script($this->work)->id)->sole();
        $this->actingAs($this->students[0])->get(route('results.show', $result))->assertOk()->assertSee('Comment 0 stands.');
    }

    public function test_recordings_what_screening_found_and_conversations_go_each_by_itself(): void
    {
        $this->periods(['recordings' => 6, 'screening' => 6, 'conversations' => 6]);
        $this->travel(200)->days();
        self::assertSame(['conversations', 'recordings', 'screening'], $this->waiting());
        $this->decided(Kind::Recordings);
        self::assertSame('3 6 3 3 0 3 3', $this->counts());
        self::assertFalse(Storage::exists('attachments/voice-1'));
        self::assertStringNotContainsString('Said well.', (string) DB::table('results')->pluck('document')->implode(''));
        $this->decided(Kind::Screening);
        self::assertSame('3 6 3 3 0 0 3', $this->counts());
        self::assertSame(3, OverlapSource::query()->where('shelf', $this->work->id)->count(), 'others are still compared with them');
        $thread = ReplyThread::query()->firstOrFail();
        $told = fn (string $once, string $link) => Notice::query()->create([
            'user_id' => $this->tutors[0]->id, 'kind' => 'reply', 'once' => $once, 'title' => $once, 'link' => $link, 'mail' => MailState::Sent,
        ]);
        $told('of the thread', route('replies.show', $thread, false));
        $told('of a result', '/results/'.Result::query()->firstOrFail()->public_id.'#thread-'.$thread->public_id);
        $told('of something else', '/');
        $this->decided(Kind::Conversations);
        self::assertSame(['of something else'], Notice::query()->where('user_id', $this->tutors[0]->id)
            ->whereLike('once', 'of %')->pluck('once')->all());
        self::assertSame('3 6 3 3 0 0 0', $this->counts());
        self::assertSame(['', '', ''], ConversationEntry::query()->pluck('why')->all());
        self::assertSame([], $this->waiting());
        $this->everyPageOpens();
    }

    public function test_with_marks_all_that_is_left_of_the_work_goes_and_the_plan_stays(): void
    {
        $this->periods(['texts' => 12, 'marks' => 72]);
        $this->travel(73)->months();
        $student = $this->students[0];
        $this->decided(Kind::Marks);
        self::assertSame('0 0 0 0 0 0 0', $this->counts());
        self::assertSame([], preg_grep('/voice-\d$/', Storage::files('attachments')));
        foreach ([$this->coordinator, $this->tutors[0]] as $person) {
            $this->actingAs($person->fresh() ?? $person);
            $this->get('/')->assertOk();
            $this->get(route('modules.show', $this->module))->assertOk()->assertSee('work and marks were deleted');
            $this->get(route('grade-book.show', $this->module));
            $this->get(route('assignments.show', $this->work))->assertStatus(410)->assertSee('The time for which it was kept is over');
        }
        $this->actingAs($this->coordinator);
        foreach (['collect.index', 'screen.index', 'share-out.index', 'moderate.index', 'release.index'] as $route) {
            $this->get(route($route, $this->work))->assertStatus(410)->assertSee(route('plan.edit', $this->work));
        }
        $this->get(route('plan.edit', $this->work))->assertOk()
            ->assertSee('the time for which they were kept is over');
        $this->get(route('grade-book.show', $this->module))->assertOk();
        $this->get(route('keeping.module', $this->module))->assertOk()->assertSee('3 scripts')->assertSee('3 results')
            ->assertDontSee('mean mark', false);
        self::assertSame(0, Membership::query()->where('user_id', $student->id)->count(), 'nothing is left of the module');
        self::assertSame(3, Membership::query()->where('module_id', $this->module->id)->count(), 'its team is still its team');
        $this->actingAs($student->fresh() ?? $student)->get('/')->assertOk();
        $this->get(route('assignments.show', $this->work))->assertStatus(410)
            ->assertDontSee($this->work->title)->assertDontSee(route('plan.edit', $this->work));
        $this->getJson(route('assignments.show', $this->work))->assertStatus(410);
        self::assertSame(0, $this->artisan('logbook:verify')->run());
    }

    /** Forgetting a table here would leave people in it, or make the night fail. */
    public function test_everything_that_belongs_to_scripts_goes_with_them(): void
    {
        $known = ['scripts', 'post_files', 'post_versions', 'post_flags', 'topic_readers', 'posts', 'overlap_sources',
            'overlap_matches', 'overlap_choices', ...array_column(LetGoMarks::TABLES, 0)];
        $found = DB::select(
            'SELECT DISTINCT k.TABLE_NAME AS t FROM information_schema.KEY_COLUMN_USAGE k WHERE k.TABLE_SCHEMA = DATABASE() AND k.REFERENCED_TABLE_NAME IN (\''
            .implode("','", $known).'\')',
        );
        $tables = array_map(fn (object $row) => (string) current((array) $row), $found);
        self::assertSame([], array_values(array_diff($tables, $known)));
    }

    public function test_what_is_held_stays_and_goes_once_nothing_holds_it(): void
    {
        $this->periods(['texts' => 12, 'marks' => 24]);
        [$held, $asks] = $this->students;
        $held->forceFill(['hold_reason' => 'A case of misconduct is open.'])->save();
        $script = $this->script($this->work, 1);
        $review = Review::query()->create([
            'script_id' => $script->id, 'result_id' => Result::query()->where('script_id', $script->id)->sole()->id,
            'ground' => 'arithmetic', 'text' => 'It was added up wrongly.', 'state' => 'received', 'answer_by' => now(),
        ]);
        $this->travel(400)->days();
        $this->actingAs($this->admin)->get(route('institution.keeping'))->assertSee('of 1 script')->assertSee('2 scripts are held');
        $this->decided(Kind::Texts);
        self::assertSame(
            [$this->script($this->work, 2)->current_handin_id],
            Handin::query()->whereNotNull('erased_at')->pluck('id')->all(),
        );
        self::assertSame([], $this->waiting());
        $this->get(route('institution.keeping'))->assertSee('Due, and held')->assertSee('2 scripts are held');
        $this->travel(12)->months();
        self::assertSame([], $this->waiting(), 'marks go for all or for none');
        $review->update(['decided_at' => now()->subYears(2), 'state' => 'stands']);
        self::assertSame(['texts'], $this->waiting());
        $held->forceFill(['hold_reason' => null])->save();
        self::assertSame(['texts', 'marks'], $this->waiting());
        app(DecideKeeping::class)([[Kind::Marks, $this->work]], null, '', $this->admin);
        $asks->forceFill(['hold_reason' => 'Asked for meanwhile.'])->save();
        $this->travel(3)->days();
        app(LetGoWhatIsDecided::class)();
        self::assertSame(3, Script::query()->count(), 'what came to be held meanwhile stays');
        self::assertSame([], KeepingDecision::query()->latest('id')->firstOrFail()->counts);
    }

    public function test_mail_goes_by_its_age_and_what_waits_to_be_sent_stays(): void
    {
        Notice::query()->delete();
        foreach ([
            ['old', MailState::Sent, 300], ['waits', MailState::Waiting, 300], ['new', MailState::Sent, 30],
        ] as [$once, $state, $days]) {
            Notice::query()->create([
                'user_id' => $this->students[0]->id, 'kind' => 'reply', 'once' => $once, 'title' => $once, 'link' => '/', 'mail' => $state,
                'mail_from' => now()->addYears(2), 'created_at' => now()->subDays($days),
            ]);
        }
        $this->periods(['mail' => 6]);
        self::assertSame(['mail'], $this->waiting());
        $this->decided(Kind::Mail);
        self::assertSame(['new', 'waits'], Notice::query()->where('user_id', $this->students[0]->id)->orderBy('once')->pluck('once')->all());
    }

    public function test_what_old_lines_of_the_logbook_say_goes_the_chain_holds_and_an_undeclared_gap_shows(): void
    {
        $before = LogbookLine::query()->count();
        $this->students[0]->forceFill(['hold_reason' => 'A case is open.'])->save();
        $code = $this->script($this->work)->code;
        $this->travel(85)->months();
        app(Logbook::class)->note(
            Entry::of(LogEvent::ScriptHeld)->on($this->script($this->work))->because('New.')->by($this->coordinator),
        );
        $this->periods(['logbook' => 84]);
        self::assertSame(['logbook'], $this->waiting());
        $this->decided(Kind::Logbook);
        $gone = LogbookLine::query()->whereNotNull('content_hash')->count();
        self::assertGreaterThan(3, $gone);
        self::assertLessThan($before, $gone, 'lines about someone who is held stay');
        self::assertSame(0, LogbookLine::query()->where('number', '<=', $before)->whereNull('content_hash')
            ->where(fn ($query) => $query->whereNull('subject')->orWhereNotIn('subject', [$code, $this->students[0]->public_id]))
            ->where(fn ($query) => $query->whereNull('actor')->orWhere('actor', '<>', $this->students[0]->public_id))->count());
        self::assertSame(0, DB::table('logbook_texts')->whereIn('number', LogbookLine::query()->whereNotNull('content_hash')->select('number'))->count());
        self::assertSame(0, $this->artisan('logbook:verify')->run());
        $this->actingAs($this->coordinator)->get(route('logbook', $this->module))->assertOk()->assertSee('New.');
        // Further on, nobody says so.
        $line = LogbookLine::query()->where('event', LogEvent::ScriptHeld)->latest('number')->firstOrFail();
        DB::table('logbook_lines')->where('number', $line->number)->update([
            'content_hash' => $line->toCore()->contentHash(), 'event' => LogEvent::LineLetGo->value, 'details' => '[]', 'texts' => '[]',
        ]);
        $this->artisan('logbook:verify')->expectsOutputToContain("what line {$line->number} said is gone")->assertExitCode(1);
    }

    public function test_periods_are_set_with_a_reason_and_cannot_outlast_marks_in_any_module(): void
    {
        $send = fn (string $to, array $fields) => $this->from('/')->put($to, $fields);
        $this->actingAs($this->admin);
        $send(route('institution.keeping.update'), ['months' => ['texts' => '12']])->assertSessionHasErrors('reason');
        $send(route('institution.keeping.update'), ['months' => ['texts' => 'a year'], 'reason' => 'x'])->assertSessionHasErrors('months.texts');
        $send(route('institution.keeping.update'), ['months' => ['essays' => '12'], 'reason' => 'x'])->assertSessionHasErrors('months');
        $send(route('institution.keeping.update'), ['months' => ['texts' => '24', 'marks' => '12'], 'reason' => 'x'])
            ->assertSessionHasErrors(['months' => 'Texts and files cannot be kept for longer than marks (12 months): all that is left of the work goes with them. Nothing was saved.']);
        self::assertTrue(Institution::settings()->keeping->isEmpty());
        $send(route('institution.keeping.update'), ['months' => ['texts' => '12', 'marks' => '', 'logbook' => '84'], 'reason' => 'The senate.'])
            ->assertSessionHas('said');
        self::assertSame(['texts' => 12, 'logbook' => 84], Institution::settings()->keeping->toArray());
        $this->actingAs($this->coordinator);
        $send(route('keeping.module.update', $this->module), ['months' => ['texts' => '36'], 'reason' => 'Accreditation.'])->assertSessionHas('said');
        self::assertSame(36, DueThings::periodsOf($this->module->refresh())->months(Kind::Texts));
        try {
            $this->periods(['texts' => 12, 'marks' => 24]);
            self::fail();
        } catch (Refused $e) {
            self::assertStringContainsString("In {$this->module->fullTitle()}, Texts and files", $e->getMessage());
        }
        $this->actingAs($this->students[0])->get(route('kept'))->assertOk()->assertSee('Texts and files: 1 year')
            ->assertSee("In {$this->module->fullTitle()}: Texts and files: 3 years.");
        $this->travel(13)->months();
        self::assertSame([], $this->waiting(), 'the module keeps it for longer');
        $this->actingAs($this->admin)->get(route('institution.keeping'))->assertSee('Modules with periods of their own');
    }

    public function test_one_that_fails_stops_no_other(): void
    {
        $this->periods(['texts' => 12, 'recordings' => 12]);
        $this->travel(400)->days();
        app(DecideKeeping::class)(
            [[Kind::Texts, $this->work], [Kind::Recordings, $this->work]], null, '', $this->admin,
        );
        $index = app(SourceIndex::class);
        $this->mock(SourceIndex::class)->shouldReceive('remove')->andThrow(new LogicException('It cannot be reached.'));
        $this->travel(2)->days();
        app(LetGoWhatIsDecided::class)();
        $this->app?->instance(SourceIndex::class, $index);
        self::assertSame(0, MarkAttachment::query()->count());
        self::assertSame(
            ['recordings' => 'gone', 'texts' => 'confirmed'],
            KeepingDecision::query()->orderBy('kind')->toBase()->pluck('state', 'kind')->all(),
        );
        self::assertNotSame([], Storage::files('handins'), 'files whose rows stand stay');
        app(LetGoWhatIsDecided::class)();
        self::assertSame(3, Handin::query()->whereNotNull('erased_at')->count());
    }
}
