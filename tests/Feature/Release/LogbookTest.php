<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Models\LogbookLine;
use Illuminate\Support\Facades\DB;
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
}
