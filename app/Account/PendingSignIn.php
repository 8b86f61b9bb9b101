<?php

declare(strict_types=1);

namespace App\Account;

use App\Models\User;
use Illuminate\Contracts\Session\Session;

/**
 * Someone who has shown their password, or opened their link, and still has to give a code. Kept in the session, which
 * is encrypted, for ten minutes and ten tries.
 */
final readonly class PendingSignIn
{
    private const KEY = 'pending-sign-in';

    private const SECONDS = 600;

    private const TRIES = 10;

    private function __construct(private Session $session, public User $user, public string $how, private int $tries)
    {
    }

    public static function begin(Session $session, User $user, string $how): void
    {
        $session->regenerate();
        $session->put(self::KEY, [
            'user' => $user->id, 'how' => $how, 'until' => now()->getTimestamp() + self::SECONDS, 'tries' => 0,
            // A password that changes meanwhile ends it.
            'password' => hash('sha256', (string) $user->password),
        ]);
    }

    public static function of(Session $session): ?self
    {
        $kept = $session->get(self::KEY);
        if (! is_array($kept) || $kept['until'] < now()->getTimestamp() || $kept['tries'] >= self::TRIES) {
            $session->forget(self::KEY);

            return null;
        }
        $user = User::query()->whereKey($kept['user'])->whereNull('closed_at')->first();

        return $user === null || hash('sha256', (string) $user->password) !== $kept['password']
            ? null : new self($session, $user, $kept['how'], $kept['tries']);
    }

    /** Counts a wrong code; false when that was the last try. */
    public function wrong(): bool
    {
        $this->session->put(self::KEY.'.tries', $this->tries + 1);

        return $this->tries + 1 < self::TRIES;
    }

    public function end(): void
    {
        $this->session->forget(self::KEY);
    }
}
