<?php

declare(strict_types=1);

namespace App\Exceptions;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use RuntimeException;

/**
 * Something the rules do not allow now, said in words for the person who asked. Nothing was changed.
 */
final class Refused extends RuntimeException
{
    public function __construct(string $message, private readonly string $field = 'refused')
    {
        parent::__construct($message);
    }

    public function render(Request $request): JsonResponse|RedirectResponse|Response
    {
        if ($request->header('HX-Request') !== null) {
            return response()->view('partials.refusal', ['message' => $this->getMessage()], 422)
                ->header('HX-Retarget', '#messages')->header('HX-Reswap', 'innerHTML');
        }
        if ($request->expectsJson()) {
            return response()->json(['message' => $this->getMessage()], 409);
        }

        return back()->withInput($request->except(['password', 'file']))
            ->withErrors([$this->field => $this->getMessage()]);
    }

    public function report(): bool
    {
        return true;
    }
}
