<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;
use RuntimeException;
use Tests\TestCase;

/**
 * The log of what went wrong: a file a day, the old ones deleted, nobody's words or addresses in it.
 */
final class LogTest extends TestCase
{
    public function test_old_days_are_deleted_and_values_of_queries_stay_out(): void
    {
        $folder = sys_get_temp_dir().'/harbor-log-'.bin2hex(random_bytes(4));
        File::makeDirectory($folder);
        foreach (range(1, 20) as $day) {
            touch("{$folder}/harbor-2026-10-".sprintf('%02d', $day).'.log');
        }
        config(['logging.default' => 'daily', 'logging.channels.daily.path' => "{$folder}/harbor.log"]);
        Log::forgetChannel('daily');
        try {
            User::query()->whereRaw('no_such_column = ?', ['hana.kovarova@merrow.example'])->get();
            self::fail('There is such a column.');
        } catch (\Illuminate\Database\QueryException $e) {
            report($e);
        }
        Log::channel('daily')->getLogger()->close();
        $files = glob("{$folder}/*.log") ?: [];
        $today = (string) file_get_contents($files[count($files) - 1]);
        self::assertCount(14, $files);
        self::assertStringContainsString('no_such_column', $today);
        self::assertStringNotContainsString('hana.kovarova', $today);
        self::assertSame('error', json_decode(explode("\n", $today)[0], true)['level']);
        self::assertSame('0600', substr(sprintf('%o', fileperms($files[count($files) - 1])), -4));
        File::deleteDirectory($folder);
    }

    public function test_a_line_tells_where_and_in_which_request_and_never_who_or_what(): void
    {
        Route::get('/breaks', function (): never {
            throw new RuntimeException("Wren Halloran's mark “62.5” for 'The tide mill at “Aber”' went to wren@merrow.example");
        })->middleware('web');
        $path = sys_get_temp_dir().'/harbor-log-'.bin2hex(random_bytes(4));
        config(['logging.default' => 'daily', 'logging.channels.daily.path' => "{$path}/harbor.log"]);
        Log::forgetChannel('daily');
        $this->withExceptionHandling();
        $answer = $this->actingAs(User::factory()->create())->get('/breaks')->assertStatus(500);
        $name = (string) $answer->headers->get('X-Request-Id');
        self::assertMatchesRegularExpression('/^[a-z0-9]{12}$/', $name);
        $answer->assertSee($name);
        Log::channel('daily')->warning('Chromium drew no PDF.', ['said' => 'words of a student', 'why' => '"quoted" words', 'seconds' => 3, 'who' => 'Wren']);
        Log::channel('daily')->getLogger()->close();
        $lines = array_map(
            fn (string $line) => json_decode($line, true, 32, JSON_THROW_ON_ERROR),
            array_filter(explode("\n", (string) file_get_contents((glob("{$path}/*.log") ?: [''])[0]))),
        );
        self::assertCount(2, $lines);
        self::assertSame([$name, RuntimeException::class], [$lines[0]['request'], $lines[0]['exception']['kind']]);
        self::assertStringStartsWith('tests/Feature/LogTest.php:', $lines[0]['exception']['in']);
        self::assertSame(['why' => '"…" words', 'seconds' => 3], array_intersect_key($lines[1], ['why' => 1, 'seconds' => 1, 'said_' => 1]));
        $all = json_encode($lines, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        foreach (['62.5', 'tide mill', 'wren@', 'Aber', 'words of a student', '"who"'] as $word) {
            self::assertStringNotContainsString($word, $all);
        }
        self::assertNotSame($name, $this->get('/up')->headers->get('X-Request-Id'));
        File::deleteDirectory($path);
    }
}
