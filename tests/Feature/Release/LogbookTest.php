<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Actions\ShareOut\RecordConflict;
use App\Exceptions\LogbookBroken;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogDetail;
use App\Logbook\LogEvent;
use App\Logbook\LogText;
use App\Logbook\Reading;
use App\Models\LogbookLine;
use App\Models\LogbookText;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Facades\Log;
use LogicException;
use Tests\TestCase;
use YoungHarbor\Core\Logbook\HeadKey;
use YoungHarbor\Core\Logbook\WhyBroken;
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Marking\WhyOpen;

final class LogbookTest extends TestCase
{
    private function verify(): int
    {
        return $this->artisan('logbook:verify')->run();
    }

    public function test_every_step_is_in_it_and_it_holds(): void
    {
        $this->module();
        $this->released();
        self::assertSame(
            [
                'made a rubric ready', 'made an assignment', 'opened an assignment to students', 'handed in',
                'shared out scripts', 'finished a first mark', 'finished a second mark', 'settled by the rule',
                'released a result', 'let results out',
            ],
            LogbookLine::query()->orderBy('number')->get()
                ->map(fn (LogbookLine $line) => Reading::of([$line])->what($line))->unique()->values()->all(),
        );
        self::assertSame(0, $this->verify());
        $this->actingAs($this->coordinator)->get(route('logbook', $this->module))
            ->assertOk()
            ->assertSee('released a result');
    }

    public function test_altering_removing_and_reordering_lines_is_found(): void
    {
        $this->module();
        $this->assignment();
        self::assertSame(3, LogbookLine::query()->count());

        foreach ([
            'altered' => fn () => DB::table('logbook_lines')->where('number', 2)
                ->update(['subject' => $this->module->public_id]),
            'altered details' => fn () => DB::table('logbook_lines')->where('number', 1)
                ->update(['details' => '{"version":2}']),
            'another person' => fn () => DB::table('logbook_lines')->where('number', 2)
                ->update(['actor' => $this->students[0]->public_id]),
            'removed' => fn () => DB::table('logbook_lines')->where('number', 2)->delete(),
            'the last removed' => fn () => DB::table('logbook_lines')->where('number', 3)->delete(),
            'the last removed, and the count in the database with it' => function (): void {
                DB::table('logbook_lines')->where('number', 3)->delete();
                DB::table('logbook_head')->update(['count' => 2]);
            },
            'all removed' => fn () => DB::table('logbook_lines')->delete(),
            'reordered' => function (): void {
                DB::table('logbook_lines')->where('number', 2)->update(['number' => 99]);
                DB::table('logbook_lines')->where('number', 3)->update(['number' => 2]);
                DB::table('logbook_lines')->where('number', 99)->update(['number' => 3]);
            },
        ] as $what => $harm) {
            self::assertSame(0, $this->verify(), "before: {$what}");
            DB::beginTransaction();
            $harm();
            self::assertSame(1, $this->verify(), $what);
            DB::rollBack();
        }
        unlink(config('harbor.files').'/logbook/head.json');
        self::assertSame(1, $this->verify(), 'the head outside the database is missing');
    }

    public function test_a_change_that_fails_leaves_no_line_and_no_line_stands_without_its_change(): void
    {
        $this->module();
        $assignment = $this->assignment();
        $before = LogbookLine::query()->count();
        $this->actingAs($this->coordinator)->post(route('plan.open', $assignment))->assertSessionHasErrors();
        self::assertSame($before, LogbookLine::query()->count());
        self::assertSame(0, $this->verify());
        $this->expectException(LogicException::class);
        LogbookLine::query()->firstOrFail()->update(['event' => LogEvent::HandedIn]);
    }

    public function test_each_look_at_a_name_is_logged_with_its_reason(): void
    {
        $this->module();
        $script = $this->script($this->sharedOut($this->assignment()));
        $this->actingAs($this->coordinator)->post(route('scripts.name', $script), ['reason' => ''])
            ->assertSessionHasErrors('reason');
        $this->post(route('scripts.name', $script), ['reason' => 'A talk has to be arranged.'])
            ->assertSessionHas('said', "{$script->code} is {$this->students[0]->name}. This look is in the logbook.");
        $line = LogbookLine::query()->orderByDesc('number')->firstOrFail();
        self::assertSame(
            [LogEvent::NameLookedAt, $script->code, 'A talk has to be arranged.', $this->coordinator->public_id],
            [$line->event, $line->subject, $line->text('reason'), $line->actor],
        );
    }

    public function test_no_line_carries_a_name_and_a_code_together(): void
    {
        $this->module();
        $assignment = $this->released();
        foreach (LogbookLine::query()->with('words', 'person')->get() as $line) {
            $reading = Reading::of([$line]);
            $text = json_encode(
                [$line->subject, $line->details, $reading->on($line), $reading->with($line)], JSON_THROW_ON_ERROR,
            );
            foreach ($assignment->scripts()->with('student')->get() as $script) {
                self::assertStringNotContainsString($script->student->name, $text);
                if ($line->person?->is($script->student)) {
                    self::assertStringNotContainsString($script->code, $text);
                }
            }
        }
    }

    public function test_nothing_is_written_over_a_logbook_that_stands_behind_its_head(): void
    {
        $this->module();
        $this->assignment();
        $cut = function (): void {
            DB::table('logbook_lines')->where('number', 3)->delete();
            DB::table('logbook_head')->update(
                ['count' => 2, 'hash' => DB::table('logbook_lines')->where('number', 2)->value('hash')]
            );
        };
        DB::beginTransaction();
        $cut();
        Log::spy();
        $this->actingAs($this->coordinator)->post(route('plan.store', $this->module), ['title' => 'x'])
            ->assertStatus(302);
        $before = DB::table('rubrics')->count();
        $this->post(route('rubrics.store'), ['title' => 'Another', 'where' => $this->module->public_id]);
        try {
            app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed));
            self::fail('it was written');
        } catch (LogbookBroken $e) {
            self::assertStringContainsString('stands at line 2, and line 3 is not the one', $e->getMessage());
            $e->report();
        }
        Log::shouldHaveReceived('critical');
        self::assertGreaterThanOrEqual($before, DB::table('rubrics')->count());
        DB::rollBack();

        // A head that is missing, or altered.
        $head = config('harbor.files').'/logbook/head.json';
        $kept = (string) file_get_contents($head);
        foreach (['' => null, 'altered' => str_replace('"count":3', '"count":2', $kept)] as $what => $with) {
            $with === null ? unlink($head) : file_put_contents($head, $with);
            try {
                app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed));
                self::fail("it was written: {$what}");
            } catch (LogbookBroken) {
                file_put_contents($head, $kept);
            }
        }
        app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed));
        self::assertSame(0, $this->verify());
    }

    public function test_a_backup_in_the_documented_order_restores_to_a_logbook_that_holds_and_goes_on(): void
    {
        $this->module();
        $this->assignment();
        $head = config('harbor.files').'/logbook/head.json';
        // Head first, then the database, then the files, while people work.
        $backedUpHead = (string) file_get_contents($head);
        app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed));
        app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed)->because('y'));
        $all = fn (string $table): array => DB::table($table)->get()->map(fn ($row) => (array) $row)->all();
        $database = [$all('logbook_lines'), (array) DB::table('logbook_head')->sole(), $all('logbook_texts')];
        app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed));
        // All is lost, and restored.
        DB::table('logbook_texts')->delete();
        DB::table('logbook_lines')->delete();
        DB::table('logbook_lines')->insert(array_map(
            fn (array $row) => array_diff_key($row, ['room' => true]), $database[0], // worked out by the database
        ));
        DB::table('logbook_texts')->insert($database[2]);
        DB::table('logbook_head')->update($database[1]);
        file_put_contents($head, $backedUpHead);
        self::assertSame(0, $this->verify());
        app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed));
        self::assertSame(0, $this->verify());
    }

    public function test_an_older_state_is_sealed_anew_with_a_reason_that_stays(): void
    {
        $this->module();
        $this->assignment();
        DB::table('logbook_lines')->where('number', 3)->delete();
        DB::table('logbook_head')->update(
            ['count' => 2, 'hash' => DB::table('logbook_lines')->where('number', 2)->value('hash')]
        );
        $this->artisan('logbook:seal')->assertFailed();
        $this->artisan(
            'logbook:seal', ['--reason' => 'The disk of the database failed on Tuesday; restored from Monday.'],
        )->assertSuccessful();
        self::assertSame(0, $this->verify());
        $line = LogbookLine::query()->orderByDesc('number')->firstOrFail();
        self::assertSame([LogEvent::SealedAnew, 3], [$line->event, $line->details['lines_told']]);
    }

    public function test_a_line_that_someone_else_wrote_since_this_transaction_began_does_not_break_it(): void
    {
        config(['database.connections.other' => config('database.connections.'.DB::getDefaultConnection())]);
        $own = DB::getDefaultConnection();
        try {
            self::assertSame(
                0, LogbookLine::query()->count(), 'from here on this transaction sees the database as it is now',
            );
            DB::setDefaultConnection('other');
            DB::transaction(fn () => app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed)));
            DB::setDefaultConnection($own);
            self::assertSame(1, app(Logbook::class)->head()?->count);
            self::assertSame(0, LogbookLine::query()->count());
            app(Logbook::class)->write(Entry::of(LogEvent::NamesRevealed));
            self::assertSame(2, DB::table('logbook_head')->sharedLock()->value('count'));
        } finally {
            DB::setDefaultConnection($own);
            DB::rollBack();
            DB::connection('other')->table('logbook_lines')->delete();
            DB::connection('other')->table('logbook_head')->delete();
            DB::purge('other');
            DB::beginTransaction();
        }
    }

    public function test_a_person_and_a_text_can_be_erased_and_the_logbook_holds(): void
    {
        $this->module(3);
        $script = $this->script($this->sharedOut($this->assignment()));
        $this->actingAs($this->coordinator)->post(
            route('scripts.name', $script), ['reason' => 'A talk about her illness.'],
        );
        app(RecordConflict::class)(
            $this->module, $this->tutors[2], $this->students[0], 'Her sister.', $this->coordinator,
        );
        $this->get(route('logbook', $this->module))->assertSee($this->tutors[2]->name)->assertSee('Her sister.')
            ->assertSee('A talk about her illness.');
        self::assertSame(0, $this->verify());

        LogbookText::query()->where('text', 'like', '%illness%')->sole()->erase();
        DB::table('conflicts')->delete();
        DB::table('memberships')->where('user_id', $this->tutors[2]->id)->delete();
        DB::table('marks')->where('marker_id', $this->tutors[2]->id)->delete();
        DB::table('assignment_markers')->where('user_id', $this->tutors[2]->id)->delete();
        $this->tutors[2]->delete();

        self::assertSame(0, $this->verify(), 'what was erased breaks nothing');
        $this->get(route('logbook', $this->module))->assertOk()->assertSee('someone who was erased')
            ->assertDontSee($this->tutors[2]->name)
            ->assertSee('reason: [erased]')->assertDontSee('illness')->assertSee('Her sister.');
        // A text that is put in another's place is found, and so is one that comes back.
        foreach ([['text' => 'Her brother.'], ['salt' => str_repeat('a', 32)]] as $other) {
            DB::beginTransaction();
            DB::table('logbook_texts')->where('text', 'Her sister.')->update($other);
            self::assertSame(1, $this->verify());
            DB::rollBack();
        }
    }

    public function test_an_excerpt_is_verified_elsewhere_with_the_published_key(): void
    {
        $this->module();
        $assignment = $this->released();
        $script = $this->script($assignment);
        $file = (string) tempnam(sys_get_temp_dir(), 'excerpt');
        $this->artisan('logbook:excerpt', ['of' => $script->code, 'file' => $file])->assertSuccessful();
        $kept = (string) file_get_contents($file);
        foreach ($assignment->scripts()->whereKeyNot($script->id)->get() as $other) {
            self::assertStringNotContainsString($other->code, $kept, 'other lines stand in it as hashes');
        }
        $key = app(Logbook::class)->publicKey();
        $check = function (string $with, string $key) use ($file): int {
            file_put_contents($file, $with);

            return $this->artisan('logbook:verify', ['file' => $file, '--key' => $key])->run();
        };
        DB::table('logbook_texts')->delete();
        DB::table('logbook_lines')->delete();
        self::assertSame(0, $check($kept, $key), 'without the database');
        self::assertSame(1, $check($kept, (new HeadKey(str_repeat('x', 32)))->publicKey()), 'another key');
        self::assertSame(1, $check(str_replace('"mark":"50', '"mark":"70', $kept), $key), 'another mark');
        self::assertSame(
            1, $check(implode("\n", array_slice(explode("\n", $kept), 0, -2))."\n", $key), 'the last line gone',
        );
        self::assertSame(1, $check('not an excerpt', $key));
        self::assertSame(
            1, $this->artisan('logbook:verify', ['file' => $file])->run(), 'a key in the file proves nothing',
        );
        self::assertSame(1, $this->artisan('logbook:excerpt', ['of' => 'NOBODY-000', 'file' => $file])->run());
        unlink($file);
    }

    public function test_every_event_detail_and_text_has_its_words(): void
    {
        foreach (
            [
                ...array_map(fn (LogEvent $one) => "events.{$one->value}", LogEvent::cases()),
                ...array_map(fn (LogDetail $one) => "details.{$one->value}", LogDetail::cases()),
                ...array_map(fn (LogText $one) => "texts.{$one->value}", LogText::cases()),
                ...array_map(fn (Seat $one) => "seats.{$one->value}", Seat::cases()),
                ...array_map(fn (WhyOpen $one) => "why_open.{$one->value}", WhyOpen::cases()),
                ...array_map(fn (WhyBroken $one) => "faults.{$one->value}", WhyBroken::cases()),
            ] as $key
        ) {
            self::assertTrue(Lang::has("logbook.{$key}"), $key);
        }
    }

    public function test_it_is_searched_by_person_code_assignment_kind_and_day(): void
    {
        $this->module();
        $assignment = $this->released();
        $script = $this->script($assignment);
        $marker = $this->markOf($script, Seat::First)->marker;
        $marker->update(['name' => 'Ottilie Vance']);
        app(Logbook::class)->write(Entry::of(LogEvent::MarkersReminded)->on($assignment)->by($marker));
        $get = fn (array $query) => $this->actingAs($this->coordinator)
            ->get(route('logbook', [$this->module, ...$query]))->assertOk();
        $get(['who' => 'vance'])->assertSee('Ottilie Vance')->assertSee('reminded markers')
            ->assertDontSee('made an assignment');
        $get(['who' => $marker->email])->assertSee('Ottilie Vance');
        $get(['who' => '%'])->assertSee('Nobody of this module is called');
        $get(['who' => 'Nemo'])->assertSee('Nobody of this module is called “Nemo”')->assertSee('No line is as you asked for');
        $get(['code' => mb_strtolower($script->code)])->assertSee($script->code)->assertSee('settled by the rule')
            ->assertDontSee($this->script($assignment, 1)->code)->assertSee(route('moderate.show', $script))
            ->assertDontSee($script->student->name);
        $get(['kind' => 'plan'])->assertSee('made an assignment')->assertDontSee('handed in');
        $get(['kind' => 'mark', 'code' => $script->code])->assertSee('finished a first mark')->assertDontSee('released a result');
        $get(['assignment' => $assignment->public_id])->assertSee('handed in');
        $get(['assignment' => 'none'])->assertSee('No line is as you asked for');
        $today = now()->format('Y-m-d');
        $get(['from' => $today])->assertSee('finished a first mark')->assertDontSee('made an assignment');
        $get(['to' => now()->subDay()->format('Y-m-d')])->assertSee('made an assignment')->assertDontSee('finished a first mark');
        $get(['from' => '2026-02-31'])->assertSee('“2026-02-31” is no day');
        $get(['who' => ['x'], 'kind' => 'x'])->assertSee('made an assignment');
        $this->get(route('moderate.show', $script))->assertSee(route('logbook', [$this->module, 'code' => $script->code]));
    }

    public function test_what_was_found_is_taken_away_as_a_table_and_so_that_it_is_verified_elsewhere(): void
    {
        $this->module();
        $assignment = $this->released();
        $script = $this->script($assignment);
        $this->actingAs($this->coordinator);
        $csv = $this->get(route('logbook.take', [$this->module, 'csv', 'code' => $script->code]))->assertOk()
            ->streamedContent();
        self::assertStringContainsString("{$script->code},", $csv);
        self::assertStringNotContainsString($this->script($assignment, 1)->code, $csv);
        $found = LogbookLine::query()->where('subject', $script->code)->count();
        self::assertSame($found + 1, substr_count($csv, "\r\n"));
        $excerpt = $this->get(route('logbook.take', [$this->module, 'jsonl', 'code' => $script->code]))->streamedContent();
        $file = (string) tempnam(sys_get_temp_dir(), 'excerpt');
        file_put_contents($file, $excerpt);
        $key = app(Logbook::class)->publicKey();
        self::assertSame(0, $this->artisan('logbook:verify', ['file' => $file, '--key' => $key])->run());
        self::assertSame($found, substr_count($excerpt, '"content":'));
        file_put_contents($file, str_replace('50.0', '51.0', $excerpt));
        self::assertSame(1, $this->artisan('logbook:verify', ['file' => $file, '--key' => $key])->run());
        self::assertSame(2, LogbookLine::query()->where('event', 'logbook.taken')->count());
        self::assertSame(0, $this->verify());
        // Who marks here and is not done learns no other mark by it.
        $open = $this->markOf($this->script($assignment, 1), Seat::First);
        $open->update(['marker_id' => $this->coordinator->id, 'done_at' => null, 'total' => null]);
        $csv = $this->get(route('logbook.take', [$this->module, 'csv', 'code' => $script->code]))->streamedContent();
        self::assertStringContainsString('hidden from you until your own marks here are done', $csv);
        $excerpt = $this->get(route('logbook.take', [$this->module, 'jsonl', 'code' => $script->code]))->streamedContent();
        self::assertStringNotContainsString('"event":"mark.', $excerpt);
        $this->actingAs($this->tutors[0])->get(route('logbook.take', [$this->module, 'csv']))->assertForbidden();
    }
}
