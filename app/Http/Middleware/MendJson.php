<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\InputBag;
use Symfony\Component\HttpFoundation\Response;

/**
 * JSON that a page sends. Half of a pair of code units, as a browser sends when it cuts an emoji in two, becomes the
 * replacement character, so that one letter does not cost all the others; what is no JSON is refused in words.
 */
final class MendJson
{
    private const LONE_HALF = '/\\\\u[dD][89aAbB][0-9a-fA-F]{2}(?!\\\\u[dD][c-fC-F][0-9a-fA-F]{2})|(?<!\\\\u[dD][89aAbB][0-9a-fA-F]{2})\\\\u[dD][c-fC-F][0-9a-fA-F]{2}/';

    private const DEEPEST = 64;

    /**
     * @param  Closure(Request): Response  $next
     */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->isJson() && $request->getContent() !== '') {
            $sent = self::read($request);
            if ($sent === null) {
                return response()->json(
                    [
                        'message' => 'What was sent cannot be read. Reload the page and try again; what was written is kept in the browser.',
                    ],
                    422,
                );
            }
            $request->setJson(new InputBag($sent));
        }

        return $next($request);
    }

    /**
     * What was sent, letter by letter: nothing is trimmed.
     *
     * @return array<array-key, mixed>|null null for what is no list or object
     */
    public static function read(Request $request): ?array
    {
        $content = (string) $request->getContent();
        $sent = json_decode(preg_replace(self::LONE_HALF, '\\ufffd', $content) ?? $content, true, self::DEEPEST);

        return is_array($sent) ? $sent : null;
    }
}
