<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Headers of every page: only our own scripts, styles, fonts and pictures; no framing; nothing kept by caches, since
 * pages hold marks.
 */
final class ProtectResponses
{
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; media-src 'self' blob:; worker-src 'self'; "
        ."form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /**
     * @param  Closure(Request): Response  $next
     */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => self::POLICY,
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'Cross-Origin-Opener-Policy' => 'same-origin',
            'Cache-Control' => 'no-store, private',
            'Vary' => 'HX-Request',
        ]);
        $response->headers->remove('X-Powered-By');

        return $response;
    }
}
