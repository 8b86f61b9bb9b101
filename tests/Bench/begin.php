<?php

declare(strict_types=1);

/*
 * The application as one process, for measuring. $get asks for a page as a person and gives what it took: milliseconds
 * on the wall, milliseconds of processor time (PHP's and the database's together, which a busy machine does not
 * lengthen), queries, and rows the database read. $median is the middle of what was measured, $spent the processor time
 * of a call.
 */

use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();
$app->instance('request', Request::create('/'));

/** Nanoseconds of processor time the database has taken so far, all its threads together. */
$ofDatabase = function (): int {
    static $pid = null;
    $pid ??= (int) @file_get_contents((string) DB::selectOne('SELECT @@pid_file AS file')->file);
    $taken = 0;
    foreach (glob("/proc/{$pid}/task/*/schedstat") ?: [] as $file) {
        $taken += (int) strtok((string) @file_get_contents($file), ' ');
    }

    return $taken;
};
$ofPhp = function (): int {
    $usage = getrusage() ?: [];

    return 1000 * (
        1_000_000 * (
            $usage['ru_utime.tv_sec'] + $usage['ru_stime.tv_sec']
        ) + $usage['ru_utime.tv_usec'] + $usage['ru_stime.tv_usec']
    );
};
/** Milliseconds of processor time that a call takes, PHP's and the database's. */
$spent = function (callable $call) use ($ofDatabase, $ofPhp): float {
    [$database, $php] = [$ofDatabase(), $ofPhp()];
    $call();

    return ($ofPhp() - $php + $ofDatabase() - $database) / 1e6;
};
$rowsRead = fn (): int => array_sum(
    array_map(
        fn (object $row): int => (int) $row->Value,
        DB::select(
            "SHOW SESSION STATUS WHERE Variable_name IN ('Handler_read_first', 'Handler_read_key', 'Handler_read_next', 'Handler_read_prev', 'Handler_read_rnd', 'Handler_read_rnd_next')"
        ),
    )
);

/**
 * @return array{wall: float, cpu: float, queries: int, rows: int}
 */
$get = function (User $user, string $path) use ($kernel, $spent, $rowsRead): array {
    // As a new request would: the person, their roles and all else are looked up anew.
    Auth::setUser(User::query()->findOrFail($user->id));
    $before = $rowsRead();
    DB::flushQueryLog();
    DB::enableQueryLog();
    $start = hrtime(true);
    $cpu = $spent(function () use ($kernel, $path): void {
        $response = $kernel->handle(Request::create($path));
        if ($response->getStatusCode() !== 200) {
            exit("{$path} answered {$response->getStatusCode()}\n");
        }
    });
    $wall = (hrtime(true) - $start) / 1e6;
    $queries = count(DB::getQueryLog());
    DB::disableQueryLog();

    return ['wall' => $wall, 'cpu' => $cpu, 'queries' => $queries, 'rows' => $rowsRead() - $before];
};
$median = function (array $values): float {
    sort($values);

    return $values[intdiv(count($values), 2)];
};
/**
 * The medians of several pages asked for in turn, so that what disturbs the machine disturbs all of them alike.
 *
 * @param  array<string, array{User, string}>  $pages  whose page, and its address
 * @return array<string, array{wall: float, cpu: float, queries: int, rows: int}>
 */
$inTurn = function (array $pages, int $rounds = 60, int $warm = 5) use ($get, $median): array {
    // The database chooses its ways by what it knows of its tables; after a filling it would learn that in the midst.
    DB::select('ANALYZE TABLE '.implode(', ', array_map(fn (object $row) => current((array) $row), DB::select('SHOW TABLES'))));
    $taken = [];
    for ($round = 0; $round < $warm + $rounds; $round++) {
        foreach ($pages as $name => [$user, $path]) {
            $one = $get($user, $path);
            if ($round >= $warm) {
                $taken[$name][] = $one;
            }
        }
    }

    return array_map(
        fn (array $all): array => [
            'wall' => $median(array_column($all, 'wall')), 'cpu' => $median(array_column($all, 'cpu')),
            'queries' => (int) $median(array_column($all, 'queries')),
            'rows' => (int) $median(array_column($all, 'rows')),
        ],
        $taken,
    );
};
