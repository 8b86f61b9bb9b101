<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Exceptions\LogbookBroken;
use App\Logbook\Logbook;
use App\Models\LogbookLine;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use LogicException;
use Tests\TestCase;

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
            ['made a rubric ready', 'made an assignment', 'opened an assignment to students', 'handed in', 'shared out scripts', 'finished a first mark', 'finished a second mark', 'settled by the rule', 'released a result'],
            LogbookLine::query()->orderBy('number')->pluck('action')->unique()->values()->all(),
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
            'altered' => fn () => DB::table('logbook_lines')->where('number', 2)->update(['subject' => 'Pepper']),
            'altered details' => fn () => DB::table('logbook_lines')->where('number', 1)->update(['details' => '{"version":2}']),
            'another person' => fn () => DB::table('logbook_lines')->where('number', 2)->update(['actor_id' => $this->students[0]->id]),
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
        LogbookLine::query()->firstOrFail()->update(['action' => 'nothing']);
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
        self::assertSame(['looked at the name behind a script', $script->code, 'A talk has to be arranged.', $this->coordinator->id], [$line->action, $line->subject, $line->details['reason'], $line->actor_id]);
    }

    public function test_no_line_carries_a_name_and_a_code_together(): void
    {
        $this->module();
        $assignment = $this->released();
        foreach (LogbookLine::query()->with('actor')->get() as $line) {
            $text = json_encode([$line->subject, $line->details], JSON_THROW_ON_ERROR);
            foreach ($assignment->scripts()->with('student')->get() as $script) {
                self::assertStringNotContainsString($script->student->name, $text);
                if ($line->actor?->is($script->student)) {
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
            DB::table('logbook_head')->update(['count' => 2, 'hash' => DB::table('logbook_lines')->where('number', 2)->value('hash')]);
        };
        DB::beginTransaction();
        $cut();
        Log::spy();
        $this->actingAs($this->coordinator)->post(route('plan.store', $this->module), ['title' => 'x'])->assertStatus(302);
        $before = DB::table('rubrics')->count();
        $this->post(route('rubrics.store'), ['title' => 'Another', 'where' => $this->module->public_id]);
        try {
            app(Logbook::class)->write('did something', 'x');
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
                app(Logbook::class)->write('did something', 'x');
                self::fail("it was written: {$what}");
            } catch (LogbookBroken) {
                file_put_contents($head, $kept);
            }
        }
        app(Logbook::class)->write('did something', 'x');
        self::assertSame(0, $this->verify());
    }

    public function test_a_backup_in_the_documented_order_restores_to_a_logbook_that_holds_and_goes_on(): void
    {
        $this->module();
        $this->assignment();
        $head = config('harbor.files').'/logbook/head.json';
        // Head first, then the database, then the files, while people work.
        $backedUpHead = (string) file_get_contents($head);
        app(Logbook::class)->write('went on working', 'x');
        app(Logbook::class)->write('went on working', 'y');
        $database = [DB::table('logbook_lines')->get()->map(fn ($row) => (array) $row)->all(), (array) DB::table('logbook_head')->sole()];
        app(Logbook::class)->write('after the backup', 'z');
        // All is lost, and restored.
        DB::table('logbook_lines')->delete();
        DB::table('logbook_lines')->insert($database[0]);
        DB::table('logbook_head')->update($database[1]);
        file_put_contents($head, $backedUpHead);
        self::assertSame(0, $this->verify());
        app(Logbook::class)->write('goes on', 'x');
        self::assertSame(0, $this->verify());
    }

    public function test_an_older_state_is_sealed_anew_with_a_reason_that_stays(): void
    {
        $this->module();
        $this->assignment();
        DB::table('logbook_lines')->where('number', 3)->delete();
        DB::table('logbook_head')->update(['count' => 2, 'hash' => DB::table('logbook_lines')->where('number', 2)->value('hash')]);
        $this->artisan('logbook:seal')->assertFailed();
        $this->artisan('logbook:seal', ['--reason' => 'The disk of the database failed on Tuesday; restored from Monday.'])->assertSuccessful();
        self::assertSame(0, $this->verify());
        $line = LogbookLine::query()->orderByDesc('number')->firstOrFail();
        self::assertSame(['sealed the logbook anew', 3], [$line->action, $line->details['lines its head had told of']]);
    }

    public function test_a_line_that_someone_else_wrote_since_this_transaction_began_does_not_break_it(): void
    {
        config(['database.connections.other' => config('database.connections.'.DB::getDefaultConnection())]);
        $own = DB::getDefaultConnection();
        try {
            self::assertSame(0, LogbookLine::query()->count(), 'from here on this transaction sees the database as it is now');
            DB::setDefaultConnection('other');
            DB::transaction(fn () => app(Logbook::class)->write('did something else', 'elsewhere'));
            DB::setDefaultConnection($own);
            self::assertSame(1, app(Logbook::class)->head()?->count);
            self::assertSame(0, LogbookLine::query()->count());
            app(Logbook::class)->write('did something', 'here');
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
}
