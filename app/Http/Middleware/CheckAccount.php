<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Account\SecondStep;
use App\Models\User;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets nobody go on whose account was closed, and leads whoever has to have a second step to where it is set.
 */
final class CheckAccount
{
    /** What can be done without it. */
    private const FREE = ['second-step', 'second-step.store', 'sign-out', 'help', 'account.theme'];

    /** Seconds for which someone of whom none is asked is not looked at again. */
    private const EVERY = 300;

    /** When someone was looked at last, in their session. */
    public const AT = 'second_step_at';

    /**
     * @param  Closure(Request): Response  $next
     */
    public function handle(Request $request, Closure $next): Response
    {
        $person = $request->user();
        if (! $person instanceof User) {
            return $next($request);
        }
        if ($person->closed_at !== null) {
            Auth::logout();
            $request->session()->invalidate();

            return $request->expectsJson()
                ? response()->json(['message' => __('accounts.closed.sign_in')], 401)
                : redirect()->route('sign-in')->withErrors(['expired' => __('accounts.closed.sign_in')]);
        }
        // Who was let in before it was asked of them still saves what is on their page.
        $saves = $request->session()->has(self::AT) && (! $request->isMethod('GET') || $request->expectsJson());
        if (
            ! $saves && ! $person->hasSecondStep() && ! $request->routeIs(...self::FREE)
            && $this->isAsked($person, $request)
        ) {
            return $request->expectsJson()
                ? response()->json(['message' => __('accounts.second.asked')], 403)
                : redirect()->guest(route('second-step'));
        }

        return $next($request);
    }

    private function isAsked(User $person, Request $request): bool
    {
        $now = now()->getTimestamp();
        if (abs($now - (int) $request->session()->get(self::AT)) < self::EVERY) {
            return false;
        }
        if (SecondStep::isAskedOf($person)) {
            return true;
        }
        $request->session()->put(self::AT, $now);

        return false;
    }
}
