<?php

declare(strict_types=1);

/*
 * Every page that several people can reach by following links, in the database and folder of files that the environment
 * names, at one moment, changing nothing: php tests/Rehearsal/crawl.php MOMENT > pages.json gives a hash of each. Two
 * that are the same show the same.
 */

use App\Enums\Role;
use App\Models\Membership;
use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\StreamedResponse;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();
$app->instance('request', Request::create('/'));
config(['session.driver' => 'array', 'cache.default' => 'array', 'queue.default' => 'null', 'mail.default' => 'array']);
$moment = Carbon::parse($argv[1] ?? '', 'UTC');
$most = (int) ($argv[2] ?? 120);

/** What differs from one answer to the next, however little has changed. */
$plain = fn (string $page): string => (string) preg_replace(
    ['/(name="_token" value|name="csrf-token" content)="[^"]*"/', '/"token":"[^"]*"/', '/signature=[0-9a-f]+/', '/name="(once|seed)"[^>]*value="[^"]*"/'], '', $page,
);
$ask = function (User $user, string $path) use ($kernel, $app): array {
    $app->instance('request', $request = Request::create($path));
    $app['session']->forgetDrivers();
    Auth::forgetGuards();
    Auth::setUser(User::query()->findOrFail($user->id));
    $request->server->set('REQUEST_TIME_FLOAT', (float) now()->format('U.u'));
    $answer = $kernel->handle($request);
    if ($answer instanceof StreamedResponse) {
        ob_start();
        $answer->sendContent();

        return [$answer->getStatusCode(), (string) ob_get_clean(), ''];
    }

    return [$answer->getStatusCode(), (string) $answer->getContent(), (string) $answer->headers->get('Location')];
};
$people = User::query()->where('is_admin', true)->orderBy('id')->limit(1)->get();
foreach (Role::cases() as $role) {
    $people = $people->concat(
        User::query()->whereIn('id', Membership::query()->where('role', $role)->select('user_id'))->orderBy('id')
            ->limit($role === Role::Student ? 2 : 1)->get()
    );
}
$pages = [];
foreach ($people->unique('id') as $person) {
    Carbon::setTestNow($moment);
    DB::beginTransaction();
    $waiting = ['/', '/notices', '/grade-book'];
    $seen = [];
    while ($waiting !== [] && count($seen) < $most) {
        $path = array_shift($waiting);
        if (isset($seen[$path])) {
            continue;
        }
        $seen[$path] = true;
        [$status, $content, $location] = $ask($person, $path);
        // Packed files carry the second they were packed in.
        $isText = ! str_starts_with($content, 'PK') && ! str_starts_with($content, '%PDF');
        $pages["{$person->email} {$path}"] = $status.' '.($isText ? hash('sha256', $plain($content)) : 'a file');
        if ($status >= 500) {
            fwrite(STDERR, "{$person->email} {$path}: {$status}\n");
            exit(1);
        }
        preg_match_all('/(?:href|hx-get|src)="([^"#]+)"/', $content, $links);
        foreach (array_unique([$location, ...$links[1]]) as $link) {
            $link = html_entity_decode($link);
            $to = parse_url($link);
            $inside = is_array($to) && in_array($to['scheme'] ?? 'http', ['http', 'https'], true)
                && in_array($to['host'] ?? 'localhost', ['localhost', '127.0.0.1'], true)
                // Sessions are in no backup, so one's places to sign out differ; how it runs differs by the second.
                && preg_match('~^/(demo|account|institution/running|mark.svg|sign-out|build/|observe.js)~', $to['path'] ?? '/') !== 1;
            if ($inside) {
                $waiting[] = ($to['path'] ?? '/').(isset($to['query']) ? "?{$to['query']}" : '');
            }
        }
    }
    while (DB::transactionLevel() > 0) {
        DB::rollBack();
    }
}
ksort($pages);
echo json_encode($pages, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), "\n";
