<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Contracts\Session\Session;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * Lets someone in who has shown who they are.
 */
final class SignIn
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  string  $how  what they showed: password, link, or either with a code
     */
    public function __invoke(User $user, Session $session, string $how): void
    {
        DB::transaction(function () use ($user, $how): void {
            $user->forceFill(['signed_in_at' => now()])->save();
            $this->logbook->write(Entry::of(LogEvent::SignedIn)->by($user)->with(how: $how));
        });
        Auth::login($user);
        $session->regenerate();
    }
}
