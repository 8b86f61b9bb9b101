<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\Role;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\AddedToModule;
use App\Mail\Welcome;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Module;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;

/**
 * Adds people to a module; those without an account get one and a mail to choose their password.
 */
final class AddPeople
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly ExpectScripts $expectScripts,
        private readonly TellOfCoordinator $tell,
    ) {
    }

    /**
     * Someone who had left comes back as they were; someone who is here in another role stays in it.
     *
     * @param  list<array{name: string, email: string, number: string|null, section: string|null}>  $people
     * @return array{added: int, back: int, here: int, other: list<string>} other: names of those here in another role
     */
    public function __invoke(Module $module, Role $role, array $people): array
    {
        return DB::transaction(function () use ($module, $role, $people): array {
            $done = ['added' => 0, 'back' => 0, 'here' => 0, 'other' => []];
            foreach ($people as $person) {
                [$how, $user] = $this->add($module, $role, $person);
                if ($how === 'other') {
                    $done['other'][] = $user->name;
                } else {
                    $done[$how]++;
                }
            }
            if ($done['added'] + $done['back'] > 0) {
                $this->logbook->write(
                    Entry::of(LogEvent::PeopleAdded)->on($module)
                        ->with(role: $role, added: $done['added'], back: $done['back'])
                );
            }
            if ($role === Role::Student) {
                Assignment::query()->where('module_id', $module->id)->whereNotNull('published_at')->get()
                    ->each(fn (Assignment $assignment) => ($this->expectScripts)($assignment));
            }

            return $done;
        });
    }

    /**
     * @param  array{name: string, email: string, number: string|null, section: string|null}  $person
     * @return array{'added'|'back'|'here'|'other', User}
     */
    private function add(Module $module, Role $role, array $person): array
    {
        $user = User::query()->where('email', User::addressKey($person['email']))->first();
        $isNew = $user === null;
        $user ??= User::query()->create(
            ['name' => $person['name'], 'email' => $person['email'], 'number' => $person['number']]
        );
        $membership = Membership::query()->where('module_id', $module->id)->where('user_id', $user->id)->lockForUpdate()
            ->first();
        $how = match (true) {
            $membership === null => 'added',
            $membership->role !== $role && $membership->left_at === null => 'other',
            $membership->left_at !== null => 'back',
            default => 'here',
        };
        if ($how === 'added') {
            Membership::query()->create(
                ['module_id' => $module->id, 'user_id' => $user->id, 'role' => $role, 'section' => $person['section']]
            );
        } elseif ($how === 'back') {
            $membership->update(
                ['left_at' => null, 'role' => $role, 'section' => $person['section'] ?? $membership->section]
            );
            Script::query()->where('student_id', $user->id)
                ->whereHas('assignment', fn ($assignment) => $assignment->where('module_id', $module->id))
                ->update(['left_at' => null]);
        }
        if ($how === 'added' || $how === 'back') {
            Mail::to($user->email)->queue(
                (
                    $isNew
                    || $user->joined_at === null
                        ? new Welcome($user, $module)
                        : new AddedToModule($user, $module, $role)
                )->afterCommit()
            );
        }

        if ($role === Role::Coordinator && in_array($how, ['added', 'back'], true)) {
            $by = Auth::user();
            ($this->tell)($module, $user, $by instanceof User ? $by : null);
        }

        return [$how, $user];
    }
}
