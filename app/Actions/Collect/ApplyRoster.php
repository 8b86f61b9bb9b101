<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Enums\Role;
use App\Events\PersonRenamed;
use App\Exceptions\Refused;
use App\Imports\RosterReading;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Mail\Welcome;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Module;
use App\Models\RosterImport;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Storage;
use YoungHarbor\Core\Roster\KnownPerson;
use YoungHarbor\Core\Roster\RosterComparison;
use YoungHarbor\Core\Roster\Row;

/**
 * Applies a roster as it was looked at, all of it or nothing. Applied again, it changes nothing.
 */
final class ApplyRoster
{
    private const CHUNK = 500;

    public function __construct(
        private readonly Logbook $logbook,
        private readonly RosterReading $reading,
        private readonly ExpectScripts $expectScripts,
        private readonly SetGroups $setGroups,
        private readonly TellOfCoordinator $tell,
    ) {
    }

    /**
     * @param  string  $seen  the sum of the comparison that was looked at
     *
     * @throws Refused
     */
    public function __invoke(RosterImport $import, string $seen, User $by): RosterComparison
    {
        return DB::transaction(function () use ($import, $seen, $by): RosterComparison {
            $module = Module::query()->lockForUpdate()->findOrFail($import->module_id);
            $stored = RosterImport::query()->lockForUpdate()->findOrFail($import->id);
            throw_if($stored->applied_at !== null, new Refused('This roster has been applied already.'));
            $comparison = $this->reading->compare($stored->setRelation('module', $module));
            throw_if(
                ! hash_equals($comparison->sum(), $seen),
                new Refused(
                    'Nothing was changed: the module changed since you looked. Look at the roster again below, and apply it then.'
                ),
            );
            $added = $this->add($module, $comparison->added);
            foreach (
                User::query()
                    ->whereIn(
                        'email',
                        array_map(
                            fn (Row $row) => $row->known->email ?? $row->person->email,
                            array_filter(
                                $comparison->added, fn (Row $row) => $row->person->role === Role::Coordinator->value,
                            ),
                        ),
                    )
                    ->get() as $coordinator
            ) {
                ($this->tell)($module, $coordinator, $by);
            }
            $this->change($module, [...$comparison->changed, ...$comparison->back]);
            $this->candidates($module, $comparison);
            $this->leave($module, $comparison->left);
            Script::noteLeft(
                $module->id, array_map(fn (Row $row) => (int) $row->known?->id, $comparison->back), false,
            );
            Assignment::query()->where('module_id', $module->id)->whereNotNull('published_at')->get()
                ->each(
                    fn (Assignment $assignment) => ($this->expectScripts)($assignment->setRelation('module', $module))
                );
            $this->groups($stored, $comparison);
            $stored->update(['applied_at' => now()]);
            $this->logbook->write(Entry::of(LogEvent::RosterApplied)->on($module)->by($by)->saying(
                file: $stored->file_name
            )->with(
                added: count($comparison->added), changed: count($comparison->changed), back: count($comparison->back),
                left: count($comparison->left),
                lines_left_out: count($comparison->faults),
                sha256: (string) hash_file('sha256', Storage::path($stored->path)),
            ));
            DB::afterCommit(function () use ($added, $module, $stored): void {
                foreach (array_chunk($added, self::CHUNK) as $some) {
                    User::query()->whereIn('id', $some)->get()
                        ->each(fn (User $user) => Mail::to($user->email)->queue(new Welcome($user, $module)));
                }
                Storage::delete($stored->path);
            });

            return $comparison;
        });
    }

    /**
     * @param  list<Row>  $rows
     * @return list<int> ids of new accounts
     */
    private function add(Module $module, array $rows): array
    {
        $new = [];
        foreach (array_chunk(array_filter($rows, fn (Row $row) => $row->known === null), self::CHUNK) as $some) {
            DB::table('users')->insert(array_map(fn (Row $row) => [
                'public_id' => (new User)->newUniqueId(), 'name' => $row->person->name,
                'given_name' => $row->person->given === null ? null : mb_substr($row->person->given, 0, 75),
                'family_name' => $row->person->family === null ? null : mb_substr($row->person->family, 0, 75),
                'email' => $row->person->email, 'number' => $row->person->number, 'roster_id' => $row->person->rosterId,
                'created_at' => now(), 'updated_at' => now(),
            ], $some));
            array_push(
                $new,
                ...array_map(
                    intval(...),
                    DB::table('users')->whereIn('email', array_map(fn (Row $row) => $row->person->email, $some))
                        ->pluck('id')->all(),
                ),
            );
        }
        foreach (array_chunk($rows, self::CHUNK) as $some) {
            $ids = DB::table('users')->whereIn('email', array_map(fn (Row $row) => $row->person->email, $some))
                ->pluck('id', 'email');
            DB::table('memberships')->insert(array_map(fn (Row $row) => [
                'public_id' => (new Membership)->newUniqueId(), 'module_id' => $module->id,
                'user_id' => $row->known->id ?? $ids[$row->person->email], 'role' => $row->person->role,
                'section' => $row->person->section, 'created_at' => now(), 'updated_at' => now(),
            ], $some));
        }

        return $new;
    }

    /**
     * @param  list<Row>  $rows
     */
    private function change(Module $module, array $rows): void
    {
        $sections = [];
        foreach ($rows as $row) {
            $known = $row->known ?? throw new \LogicException('Only who is known can be changed.');
            $sections[($row->person->saysSection ? $row->person->section : $known->section) ?? ''][] = $known->id;
            $fields = array_filter(
                [
                    'number' => $known->number === null || ! $known->joined ? $row->person->number : null,
                    'name' => $known->joined ? null : $row->person->name,
                    'email' => $known->joined ? null : $row->person->email,
                ]
            );
            if (
                array_diff_assoc(
                    $fields, ['number' => $known->number, 'name' => $known->name, 'email' => $known->email],
                ) !== []
            ) {
                User::query()->findOrFail($known->id)->fill($fields)->save();
                PersonRenamed::dispatch($known->id);
            }
        }
        foreach ($sections as $section => $ids) {
            foreach (array_chunk($ids, self::CHUNK) as $some) {
                Membership::query()->where('module_id', $module->id)->whereIn('user_id', $some)
                    ->update(['section' => $section === '' ? null : (string) $section, 'left_at' => null]);
            }
        }
    }

    /** Candidate numbers, which coordinators and administrators alone read. */
    private function candidates(Module $module, RosterComparison $comparison): void
    {
        $numbers = [];
        foreach ([...$comparison->added, ...$comparison->changed, ...$comparison->back] as $row) {
            if ($row->person->candidate !== null) {
                $numbers[$row->known->email ?? $row->person->email] = $row->person->candidate;
            }
        }
        foreach (array_chunk($numbers, self::CHUNK, true) as $some) {
            $ids = DB::table('users')->whereIn('email', array_keys($some))->pluck('id', 'email')->all();
            $cases = implode(' ', array_fill(0, count($ids), 'WHEN ? THEN ?'));
            $bindings = [];
            foreach ($ids as $email => $id) {
                array_push($bindings, $id, $some[$email]);
            }
            $ids === []
                || DB::update(
                    "UPDATE memberships SET candidate_number = CASE user_id {$cases} END WHERE module_id = ? AND user_id IN ("
                        .implode(',', array_fill(0, count($ids), '?')).')',
                    [...$bindings, $module->id, ...array_values($ids)],
                );
        }
    }

    /**
     * @param  list<KnownPerson>  $left
     */
    private function leave(Module $module, array $left): void
    {
        $ids = array_map(fn (KnownPerson $known) => $known->id, $left);
        foreach (array_chunk($ids, self::CHUNK) as $some) {
            Membership::query()->where('module_id', $module->id)->where('role', Role::Student)
                ->whereIn('user_id', $some)->update(['left_at' => now()]);
        }
        Script::noteLeft($module->id, $ids, true);
    }

    /** Groups named in the roster, for the assignment chosen; who is not named stays where they are. */
    private function groups(RosterImport $import, RosterComparison $comparison): void
    {
        $assignment = Assignment::query()->where('module_id', $import->module_id)
            ->where('public_id', (string) ($import->choices['groups'] ?? ''))->first();
        if ($assignment === null) {
            return;
        }
        $named = [];
        foreach ([...$comparison->added, ...$comparison->changed, ...$comparison->same, ...$comparison->back] as $row) {
            if ($row->person->group !== null) {
                $named[$row->known->email ?? $row->person->email] = $row->person->group;
            }
        }
        $groups = Script::query()->where('assignment_id', $assignment->id)->whereNotNull('group_name')
            ->pluck('group_name', 'student_id')->all();
        foreach (array_chunk(array_keys($named), self::CHUNK) as $some) {
            foreach (DB::table('users')->whereIn('email', $some)->pluck('id', 'email') as $email => $id) {
                $groups[(int) $id] = $named[$email];
            }
        }
        ($this->setGroups)($assignment, $groups, 'roster');
    }
}
