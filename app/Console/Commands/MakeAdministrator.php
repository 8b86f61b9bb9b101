<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\Welcome;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Str;

/**
 * Makes the first administrator, or another one: whoever may run commands here may do so.
 */
final class MakeAdministrator extends Command
{
    protected $signature = 'harbor:administrator {mail : their e-mail address} {--name= : their name, for a new account}';

    protected $description = 'Make someone an administrator; a new account gets a link to choose its password';

    public function handle(Logbook $logbook): int
    {
        $email = User::addressKey((string) $this->argument('mail'));
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
            $this->components->error("{$email} is no e-mail address. Nothing was changed.");

            return self::FAILURE;
        }
        $user = DB::transaction(function () use ($email, $logbook): User {
            $user = User::query()->where('email', $email)->lockForUpdate()->first()
                ?? User::query()
                    ->create(
                        [
                            'name' => (string) ($this->option('name') ?? Str::before($email, '@')), 'email' => $email,
                            'password' => User::NO_PASSWORD,
                        ]
                    )
                    ->refresh();
            if (! $user->is_admin) {
                $user->forceFill(['is_admin' => true])->save();
                $logbook->write(Entry::of(LogEvent::AdministratorMade)->on($user)->by($user));
            }

            return $user;
        });
        if ($user->joined_at === null) {
            Mail::to($user->email)->queue(new Welcome($user, null));
            $this->components->info(
                "{$user->email} is an administrator. A link to choose a password was sent by mail; it is also here, and works once, for two weeks:"
            );
            $this->line(URL::temporarySignedRoute('welcome', now()->addDays(14), ['user' => $user->public_id]));
        } else {
            $this->components->info("{$user->email} is an administrator, and signs in as before.");
        }

        return self::SUCCESS;
    }
}
