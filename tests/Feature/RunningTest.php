<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\MailState;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\LogbookLine;
use App\Models\Notice;
use App\Models\Operation;
use App\Models\User;
use App\Operations\Health;
use App\Operations\Part;
use App\Operations\PartState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;
use Tests\TestCase;

/**
 * How the application runs: for machines, for administrators, and before it is used for real.
 */
final class RunningTest extends TestCase
{
    private function part(string $name): Part
    {
        return array_values(array_filter(app(Health::class)->parts(), fn (Part $part) => $part->name === $name))[0];
    }

    private function job(string $queue, int $ago): void
    {
        DB::table('jobs')->insert([
            'queue' => $queue, 'payload' => '{}', 'attempts' => 0, 'created_at' => now()->getTimestamp(),
            'available_at' => now()->getTimestamp() - $ago,
        ]);
    }

    private function failed(string $kind = 'App\\Jobs\\ReadHandinJob'): string
    {
        $id = (string) Str::uuid();
        DB::table('failed_jobs')->insert([
            'uuid' => $id, 'connection' => 'database', 'queue' => 'default', 'failed_at' => now(),
            'payload' => json_encode(['uuid' => $id, 'displayName' => $kind, 'job' => 'x', 'data' => ['command' => serialize((object) ['of' => 'Wren Halloran'])]]),
            'exception' => 'App\\Exceptions\\Gone: Wren Halloran has no file in /srv/x.php:3',
        ]);

        return $id;
    }

    public function test_work_that_waits_too_long_and_work_that_failed_are_to_be_looked_at(): void
    {
        self::assertSame(PartState::Works, $this->part('queue')->state);
        $this->job('low', 3600);
        $this->job('default', 60);
        $this->job('default', -600);
        self::assertSame(PartState::Works, $this->part('queue')->state, 'what is to wait is not late');
        self::assertSame('2 jobs wait, the oldest for 60 minutes.', $this->part('queue')->says);
        $this->job('soon', 130);
        self::assertStringContainsString('are the workers running?', $this->part('queue')->says);
        DB::table('jobs')->delete();
        $this->failed();
        self::assertSame('nothing waits. One has failed.', $this->part('queue')->says);
        self::assertSame(PartState::Look, $this->part('queue')->state);
    }

    public function test_a_clock_that_stands_still_a_backup_that_is_missing_and_mail_that_stays_are_named(): void
    {
        self::assertStringContainsString('it has never beaten', $this->part('clock')->says);
        $this->artisan('schedule:list')->assertSuccessful()->expectsOutputToContain('heartbeat');
        Operation::record('clock', true);
        self::assertSame(PartState::Works, $this->part('clock')->state);
        $this->travel(4)->minutes();
        self::assertStringContainsString('its last beat was 4 minutes ago', $this->part('clock')->says);
        self::assertSame(PartState::Look, $this->part('clock')->state);

        self::assertSame(PartState::Look, $this->part('backup')->state);
        Operation::record('backup', true, ['files' => 3, 'bytes' => 2048]);
        self::assertSame('no time ago: 3 files, 2 KB, and the database.', $this->part('backup')->says);
        $this->travel(27)->hours();
        self::assertStringContainsString('the last one is 27 hours old', $this->part('backup')->says);
        Operation::record('backup', false, ['why' => 'No room.']);
        self::assertStringContainsString('failed', $this->part('backup')->says);

        self::assertSame(PartState::Look, $this->part('logbook')->state);
        app(Logbook::class)->note(Entry::of(LogEvent::SignedIn));
        $this->artisan('logbook:verify')->assertSuccessful();
        self::assertSame(PartState::Works, $this->part('logbook')->state);

        self::assertSame(PartState::Works, $this->part('mail')->state);
        Notice::query()->create([
            'user_id' => User::factory()->create()->id, 'kind' => 'reply', 'once' => 'x', 'title' => 'x', 'link' => '/',
            'mail' => MailState::Waiting, 'mail_from' => now()->subMinutes(20),
        ]);
        self::assertSame('one mail is late by more than a quarter of an hour.', $this->part('mail')->says);
    }

    public function test_figures_are_for_who_has_the_token_and_of_nobody(): void
    {
        $this->get('/metrics')->assertNotFound();
        config(['harbor.metrics_token' => 'a token of more than twenty letters']);
        $this->get('/metrics')->assertUnauthorized();
        $this->get('/metrics', ['Authorization' => 'Bearer a token of more than twenty letter'])->assertUnauthorized();
        $this->get('/up')->assertOk()->assertSee('queue: works')->assertSee('backup: look')->assertDontSee('installation');
        $this->get('/up', ['Authorization' => 'Bearer a token of more than twenty letters'])
            ->assertSee('backup: look: none has been made by this installation.');
        $this->failed();
        $this->job('low', 90);
        $answer = $this->get('/metrics', ['Authorization' => 'Bearer a token of more than twenty letters'])->assertOk()
            ->assertHeader('Content-Type', 'application/openmetrics-text; version=1.0.0; charset=utf-8');
        $text = (string) $answer->getContent();
        self::assertStringEndsWith("\n# EOF\n", $text);
        foreach ([
            'young_harbor_queue_failed_jobs 1', 'young_harbor_jobs{queue="low"} 1', 'young_harbor_database_up 1',
            'young_harbor_part_state{part="clock",young_harbor_part_state="look"} 1', '# UNIT young_harbor_disk_free_bytes bytes',
        ] as $line) {
            self::assertStringContainsString("{$line}\n", $text);
        }
        // Every family is described once, before its samples, and every sample has a number (OpenMetrics 1.0, 5.1).
        $described = [];
        foreach (explode("\n", substr($text, 0, -strlen("# EOF\n") - 1)) as $line) {
            if (preg_match('/^# TYPE (\w+) (gauge|info|stateset)$/', $line, $found) === 1) {
                self::assertNotContains($found[1], $described);
                $described[] = $found[1];
            } elseif (! str_starts_with($line, '#')) {
                self::assertSame(1, preg_match('/^(\w+?)(_info)?(\{[^}]+\})? -?[0-9.]+$/', $line, $found), $line);
                self::assertContains($found[1], $described);
            }
        }
        self::assertStringNotContainsString('Halloran', $text);
    }

    public function test_an_administrator_sees_what_failed_and_gives_it_to_the_workers_again(): void
    {
        $admin = User::factory()->create(['is_admin' => true]);
        Queue::swap($this->app->make('queue')->queue);
        [$one, $two, $three] = [$this->failed(), $this->failed('App\\Jobs\\SendNoticesJob'), $this->failed()];
        $this->actingAs($admin)->get(route('institution.running'))->assertOk()->assertSee('ReadHandinJob')->assertSee('Gone')
            ->assertSee('Try all again (3)')->assertDontSee('Halloran')->assertSee(PHP_VERSION);
        $this->post(route('institution.running.again'), ['job' => $one])->assertSessionHas('said', 'It waits for a worker again.');
        self::assertSame([1, 2], [DB::table('jobs')->count(), DB::table('failed_jobs')->count()]);
        $this->delete(route('institution.running.forget'), ['job' => $two])->assertSessionHas('said');
        $this->post(route('institution.running.again'), ['job' => $two])->assertSessionHas('said', 'It is not there any more.');
        $this->post(route('institution.running.again'))->assertSessionHas('said', 'It waits for a worker again.');
        self::assertSame([2, 0], [DB::table('jobs')->count(), DB::table('failed_jobs')->count()]);
        self::assertSame(
            [LogEvent::WorkTriedAgain, LogEvent::WorkForgotten, LogEvent::WorkTriedAgain],
            LogbookLine::query()->orderBy('number')->get()->pluck('event')->all(),
        );
        $this->get(route('institution.running'))->assertOk()->assertSee('Nothing.');
        self::assertNotNull($three);
    }

    public function test_what_stands_in_the_way_of_real_use_is_named_with_what_to_do(): void
    {
        $this->artisan('harbor:check')->assertFailed()->expectsOutputToContain('HARBOR_DEMO')
            ->expectsOutputToContain('SESSION_SECURE_COOKIE')->expectsOutputToContain('php artisan harbor:administrator');
        User::factory()->create(['is_admin' => true]);
        Operation::record('clock', true);
        config([
            'app.env' => 'production', 'app.debug' => false, 'app.url' => 'https://marks.merrow.test', 'harbor.demo' => false,
            'session.secure' => true, 'session.driver' => 'database', 'queue.default' => 'database', 'mail.default' => 'smtp',
            'mail.from.address' => 'marks@merrow.test',
        ]);
        $this->artisan('harbor:check')->assertSuccessful()->expectsOutputToContain('Ready for real use.')
            ->expectsOutputToContain('not every administrator has one')->doesntExpectOutputToContain('NOT READY');
        config(['trustedproxy.proxies' => ['*']]);
        $this->artisan('harbor:check')->assertFailed()->expectsOutputToContain('name the proxies');
        config(['trustedproxy.proxies' => [], 'harbor.files' => public_path('build')]);
        $this->artisan('harbor:check')->assertFailed()->expectsOutputToContain('anyone could fetch what was handed in');
    }
}
