<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Log;
use RuntimeException;

/**
 * The logbook in the database is not the one whose head was sealed: lines were cut off, or another state was restored.
 * Nothing is changed until someone has looked, since each change would cover it.
 */
final class LogbookBroken extends RuntimeException
{
    public function report(): bool
    {
        Log::critical(
            "{$this->getMessage()} No change is made until this is mended: docs/operations.md, “The logbook”."
        );

        return true;
    }

    public function render(Request $request): JsonResponse|Response
    {
        $message = 'The logbook of this installation does not fit what was sealed, so nothing was changed; what you wrote is still in your browser. Whoever runs Young Harbor here has to look at it.';

        return $request->expectsJson()
            ? response()->json(['message' => $message], 503)
            : response()->view('errors.closed', ['message' => $message], 503);
    }
}
