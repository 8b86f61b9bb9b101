<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Assignment;
use App\Wording\LocalTime;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

/**
 * Of an assignment whose work and marks were let go, only the plan is there: everything else says so (410, RFC 9110),
 * and names nothing to whoever may not know of it.
 */
final class SayWhatWasLetGo
{
    /** What needs no work. */
    private const STAYS = ['plan.*', 'templates.*', 'rubrics.*'];

    /**
     * @param  Closure(Request): Response  $next
     */
    public function handle(Request $request, Closure $next): Response
    {
        $assignment = $request->route('assignment');
        $isGone = $assignment instanceof Assignment && $assignment->let_go_at !== null;
        if ($isGone && ! $request->routeIs(...self::STAYS)) {
            $message = __('keeping.let_go', ['at' => LocalTime::dayOf($assignment->let_go_at)]);

            return $request->expectsJson()
                ? response()->json(['message' => $message], 410)
                : response()->view('errors.410', [
                    'message' => $message, 'plan' => Gate::check('coordinate', $assignment) ? $assignment : null,
                ], 410);
        }

        return $next($request);
    }
}
