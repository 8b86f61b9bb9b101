<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\Role;
use App\Logbook\Logbook;
use App\Mail\Welcome;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/**
 * Adds people to a module; those without an account get one and a mail to choose their password.
 */
final class AddPeople
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly ExpectScripts $expectScripts,
    ) {
    }

    /**
     * @param  list<array{name: string, email: string, number: string|null, section: string|null}>  $people
     * @return array{added: int, here: int}
     */
    public function __invoke(Module $module, Role $role, array $people): array
    {
        return DB::transaction(function () use ($module, $role, $people): array {
            $added = 0;
            foreach ($people as $person) {
                $user = User::query()->where('email', $person['email'])->first();
                if ($user === null) {
                    $user = User::query()->create([
                        'name' => $person['name'], 'email' => $person['email'], 'number' => $person['number'],
                        'password' => Str::random(40),
                    ]);
                    Mail::to($user->email)->queue((new Welcome($user, $module))->afterCommit());
                }
                $membership = Membership::query()->firstOrCreate(
                    ['module_id' => $module->id, 'user_id' => $user->id],
                    ['role' => $role, 'section' => $person['section']],
                );
                $added += $membership->wasRecentlyCreated ? 1 : 0;
            }
            if ($added > 0) {
                $this->logbook->write('added people to the module', $module->fullTitle(), ['role' => $role->value, 'added' => $added], $module);
            }
            if ($role === Role::Student) {
                Assignment::query()->where('module_id', $module->id)->whereNotNull('published_at')->get()
                    ->each(fn (Assignment $assignment) => ($this->expectScripts)($assignment));
            }

            return ['added' => $added, 'here' => count($people) - $added];
        });
    }
}
