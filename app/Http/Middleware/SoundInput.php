<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a form sends is text in UTF-8 without null bytes, or it is answered in words before anything reads it.
 */
final class SoundInput
{
    /**
     * @param  Closure(Request): Response  $next
     */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->input(), $request->query()] as $values) {
            $this->refuseBroken(is_array($values) ? $values : []);
        }

        return $next($request);
    }

    /**
     * @param  array<array-key, mixed>  $values
     */
    private function refuseBroken(array $values, string $field = ''): void
    {
        foreach ($values as $name => $value) {
            $at = $field === '' ? (string) $name : $field;
            if (is_array($value)) {
                $this->refuseBroken($value, $at);
            } elseif (
                is_string($value)
                && (
                    ! mb_check_encoding($value, 'UTF-8') || str_contains($value, "\0")
                    || ! mb_check_encoding((string) $name, 'UTF-8')
                )
            ) {
                throw ValidationException::withMessages(
                    [
                        mb_scrub($at) => 'Some of this is no text: it holds bytes that are none in UTF-8. Type it again, or paste it as plain text. Nothing was changed.',
                    ]
                );
            }
        }
    }
}
