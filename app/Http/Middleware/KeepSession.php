<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Session\Middleware\StartSession;
use Illuminate\Session\Store;

/**
 * Sessions as the framework keeps them, but that what a page sends by itself does not write them: a save that was under
 * way while someone pressed a button would put the session back as it was before, and the message of what was done with
 * it. Every few minutes it is written all the same, so that nobody is signed out while they mark.
 */
final class KeepSession extends StartSession
{
    /** Seconds. */
    private const EVERY = 300;

    private const AT = 'kept_at';

    protected function saveSession($request): void
    {
        $session = $this->manager->driver();
        assert($session instanceof Store);
        $now = now()->getTimestamp();
        if ($request->attributes->get(InBackground::class) === true) {
            if (abs($now - (int) $session->get(self::AT)) < self::EVERY) {
                return;
            }
            $session->reflash();
        }
        $session->put(self::AT, $now);
        parent::saveSession($request);
    }
}
