<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * A random name for each request, in the answer's head and in every line of the log that comes of it, in the jobs it
 * sends off too: someone who tells it to whoever looks after the server need not tell what they were doing.
 */
final class NameRequest
{
    public const KEY = 'request';

    /**
     * @param  Closure(Request): Response  $next
     */
    public function handle(Request $request, Closure $next): Response
    {
        $name = Str::lower(Str::random(12));
        Context::add(self::KEY, $name);
        $response = $next($request);
        $response->headers->set('X-Request-Id', $name);

        return $response;
    }
}
