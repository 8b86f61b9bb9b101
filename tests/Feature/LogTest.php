<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Log;
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
        self::assertSame('0600', substr(sprintf('%o', fileperms($files[count($files) - 1])), -4));
        File::deleteDirectory($folder);
    }
}
