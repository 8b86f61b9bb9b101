<?php

declare(strict_types=1);

/*
 * The application as one process, for measuring: $get asks for a page as a person and gives milliseconds and queries,
 * $median the middle of what was measured.
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

$get = function (User $user, string $path) use ($kernel): array {
    // As a new request would: the person, their roles and all else are looked up anew.
    Auth::setUser(User::query()->findOrFail($user->id));
    DB::flushQueryLog();
    DB::enableQueryLog();
    $start = hrtime(true);
    $response = $kernel->handle(Request::create($path));
    $took = (hrtime(true) - $start) / 1e6;
    if ($response->getStatusCode() !== 200) {
        exit("{$path} answered {$response->getStatusCode()}\n");
    }

    return [$took, count(DB::getQueryLog())];
};
$median = function (array $values): float {
    sort($values);

    return $values[intdiv(count($values), 2)];
};
