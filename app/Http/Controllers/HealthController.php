<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Operations\Health;
use App\Operations\Metrics;
use App\Operations\Part;
use App\Operations\PartState;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * Whether the application is up, for whoever watches it: a line a part, in words. 200 when it can be used, 503 when it
 * cannot. What should be looked at is said and does not make it down; figures of it are for who has the
 * token.
 */
final class HealthController extends Controller
{
    /** What anyone may know: it tells nothing of how much there is. */
    private const TOLD = ['database', 'files', 'application', 'readers', 'pictures'];

    public function __invoke(Request $request, Health $health): Response
    {
        $parts = $health->parts();
        $up = Health::isUp($parts);
        $all = $this->hasToken($request);
        $lines = array_map(fn (Part $part) => "{$part->name}: ".match (true) {
            $part->state === PartState::Down => $part->says,
            $all || in_array($part->name, self::TOLD, true) => ($part->state === PartState::Look ? 'look: ' : '').$part->says,
            default => $part->state->value,
        }, $parts);

        return response(
            ($up ? 'up' : 'down')."\n".implode("\n", $lines)."\n", $up ? 200 : 503,
            ['Content-Type' => 'text/plain; charset=utf-8', 'Cache-Control' => 'no-store'],
        );
    }

    public function metrics(Request $request, Health $health, Metrics $metrics): Response
    {
        abort_if((string) config('harbor.metrics_token') === '', 404);
        abort_unless($this->hasToken($request), 401);

        return response($metrics->text($health->parts()), 200, [
            'Content-Type' => 'application/openmetrics-text; version=1.0.0; charset=utf-8', 'Cache-Control' => 'no-store',
        ]);
    }

    private function hasToken(Request $request): bool
    {
        $token = (string) config('harbor.metrics_token');

        return $token !== '' && hash_equals($token, (string) $request->bearerToken());
    }
}
