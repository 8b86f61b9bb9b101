<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\SignInByLink;
use App\Models\Institution;
use App\Models\SignInLink;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/**
 * Sends someone a link that signs them in once, where the institution lets links do. An address that nobody has gets
 * nothing; someone who has never been here gets the link they came with once more.
 */
final class SendSignInLink
{
    public function __construct(private readonly Logbook $logbook, private readonly SendPasswordLink $first)
    {
    }

    public function __invoke(string $email): void
    {
        $user = User::query()->where('email', $email)->whereNull('closed_at')->first();
        if ($user === null || ! Institution::settings()->sign_in->mailLinks) {
            return;
        }
        if ($user->joined_at === null) {
            ($this->first)($email);

            return;
        }
        DB::transaction(function () use ($user): void {
            $token = Str::random(48);
            SignInLink::query()->updateOrCreate(
                ['user_id' => $user->id],
                ['hash' => SignInLink::hashOf($token), 'ends_at' => now()->addMinutes(SignInLink::MINUTES)],
            );
            $this->logbook->write(Entry::of(LogEvent::LinkSent)->on($user));
            Mail::to($user->email)->queue((new SignInByLink($user, $token))->afterCommit());
        });
    }
}
