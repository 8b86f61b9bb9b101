<?php

declare(strict_types=1);

namespace App\Imports;

use App\Documents\OneRosterZip;
use App\Enums\Role;
use App\Models\Membership;
use App\Models\Module;
use App\Models\RosterImport;
use App\Queries\NameOrder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use YoungHarbor\Core\Formats\OneRoster;
use YoungHarbor\Core\Formats\RoleWords;
use YoungHarbor\Core\Formats\RosterTable;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Roster\KnownPerson;
use YoungHarbor\Core\Roster\Person;
use YoungHarbor\Core\Roster\RosterComparison;
use YoungHarbor\Core\Tables\CsvRows;
use ZipArchive;

/**
 * Reads a roster file as its import says, and sets it beside the people the module has.
 */
final class RosterReading
{
    private const MOST_BYTES = 120 * 1_048_576;

    /**
     * What a file is, and what is proposed for it.
     *
     * @return array{kind: string, choices: array<string, mixed>}
     *
     * @throws InvalidInput with what is wrong with it
     */
    public function begin(string $path): array
    {
        if (str_starts_with((string) file_get_contents($path, false, null, 0, 4), "PK\x03\x04")) {
            $roster = OneRoster::read(self::unpacked($path));

            return [
                'kind' => 'OneRoster',
                'choices' => [
                    'classes' => count($roster->classes) === 1 ? array_keys($roster->classes) : [],
                    'complete' => ! $roster->isDelta,
                ],
            ];
        }
        [$text, $readAs] = CsvRows::utf8((string) file_get_contents($path));
        if (str_contains($text, "\0")) {
            throw InvalidInput::at('file', 'it is neither a table of text (.csv) nor a ZIP with OneRoster files');
        }

        return [
            'kind' => 'table',
            'choices' => [
                'columns' => RosterTable::guess(RosterTable::headings($text)), 'role' => 'student',
                'complete' => false, 'groups' => null, 'read_as' => $readAs,
            ],
        ];
    }

    /**
     * @return list<string>
     */
    public function headings(RosterImport $import): array
    {
        return RosterTable::headings($this->text($import));
    }

    /**
     * What a column for roles holds: each word, how many lines have it, and the role it is taken for.
     *
     * @return array<string, array{lines: int, role: string|null}>
     */
    public function roleWords(RosterImport $import): array
    {
        $column = $import->choices['columns']['role'] ?? null;
        $said = array_filter((array) ($import->choices['roles'] ?? []), is_string(...));
        $words = is_int($column) ? RosterTable::roleWords($this->text($import), $column) : [];
        $found = [];
        foreach (array_slice($words, 0, 30, true) as $word => $lines) {
            $found[(string) $word] = ['lines' => $lines, 'role' => $said[$word] ?? RoleWords::guess((string) $word)];
        }

        return $found;
    }

    /**
     * Columns that nothing is read from.
     *
     * @return list<string>
     */
    public function unused(RosterImport $import): array
    {
        $used = array_map(intval(...), array_values((array) ($import->choices['columns'] ?? [])));

        return array_values(
            array_filter(
                array_map(
                    fn (string $heading, int $n) => in_array($n, $used, true)
                        ? ''
                        : ($heading === '' ? 'column '.($n + 1) : $heading),
                    $this->headings($import), array_keys($this->headings($import)),
                ),
                fn (string $heading) => $heading !== '',
            )
        );
    }

    /**
     * @return array<string, array{title: string, code: string, course: string, people: int}>
     */
    public function classes(RosterImport $import): array
    {
        return OneRoster::read(self::unpacked(Storage::path($import->path)))->classes;
    }

    /**
     * @throws InvalidInput when choices are still to be made
     */
    public function compare(RosterImport $import): RosterComparison
    {
        $choices = $import->choices;
        $complete = ($choices['complete'] ?? false) === true;
        $ended = [];
        if ($import->kind === 'OneRoster') {
            $roster = OneRoster::read(self::unpacked(Storage::path($import->path)));
            $chosen = array_values(
                array_intersect(
                    array_map(strval(...), (array) ($choices['classes'] ?? [])),
                    array_map(strval(...), array_keys($roster->classes)),
                )
            );
            if ($chosen === []) {
                throw InvalidInput::at('classes', 'choose the classes that belong to this module');
            }
            [$people, $faults] = $roster->people($chosen);
            $faults = [...$roster->faults, ...$faults];
            $complete = $complete && ! $roster->isDelta;
            $ended = $roster->ended;
        } else {
            $people = RosterTable::people(
                $this->text($import), array_map(intval(...), (array) ($choices['columns'] ?? [])),
                (string) ($choices['role'] ?? 'student'),
                array_filter((array) ($choices['roles'] ?? []), is_string(...)),
            );
            $faults = [];
        }

        return RosterComparison::of($people, $this->known($import->module, $people), $faults, $complete, $ended);
    }

    public function table(Module $module): string
    {
        return RosterTable::write($this->people($module));
    }

    /** A ZIP of the files of OneRoster. */
    public function oneRoster(Module $module): string
    {
        return OneRosterZip::pack(OneRoster::write(
            $this->people($module),
            [
                'institution' => (string) config('harbor.institution'), 'code' => $module->code,
                'title' => $module->title, 'id' => $module->public_id,
            ],
            OneRosterZip::schoolYear(),
        ));
    }

    /**
     * @return list<Person> everyone who is here, as exports name them
     */
    private function people(Module $module): array
    {
        return array_values($module->members()->with('user')->get()->sortBy(
            fn (Membership $member) => [
                array_search($member->role, Role::cases(), true), NameOrder::key($member->user->name),
            ]
        )->map(function (Membership $member): Person {
            $user = $member->user;
            $at = mb_strrpos($user->name, ' ');
            // Where nobody said which part of a name is which, the last is the family name.
            [$given, $family] = $user->family_name !== null
                ? [$user->given_name, $user->family_name]
                : [
                    $at === false ? null : mb_substr($user->name, 0, $at),
                    $at === false ? $user->name : mb_substr($user->name, $at + 1),
                ];

            return new Person(
                '', $user->roster_id ?? $user->public_id, $user->name, $given, $family, $user->email, $user->number,
                $member->role->value, $member->section,
            );
        })->all());
    }

    /**
     * Everyone in the module, and whoever else has a sign that stands in the roster.
     *
     * @param  list<Person>  $people
     * @return list<KnownPerson>
     */
    private function known(Module $module, array $people): array
    {
        $members = Membership::query()->where('module_id', $module->id)
            ->get(['user_id', 'role', 'section', 'left_at', 'candidate_number'])->keyBy('user_id');
        $rows = [];
        $take = function (string $column, array $values) use (&$rows): void {
            foreach (array_chunk(array_values(array_unique($values)), 1000) as $some) {
                foreach (
                    DB::table('users')->whereIn($column, $some)
                        ->get(['id', 'roster_id', 'public_id', 'name', 'email', 'number', 'joined_at']) as $row
                ) {
                    $rows[$row->id] = $row;
                }
            }
        };
        $take('id', $members->keys()->all());
        $take('email', array_map(fn (Person $person) => $person->email, $people));
        $take('number', array_filter(array_map(fn (Person $person) => $person->number, $people)));
        $ids = array_filter(array_map(fn (Person $person) => $person->rosterId, $people));
        $take('roster_id', $ids);
        $take('public_id', array_filter($ids, fn (string $id) => strlen($id) === 36));

        return array_values(array_map(fn (object $row) => new KnownPerson(
            (int) $row->id, array_values(array_filter([$row->roster_id, $row->public_id])), $row->name, $row->email,
            $row->number, $row->joined_at !== null,
            isset($members[$row->id]) ? $members[$row->id]->role->value : null,
            isset($members[$row->id]) ? $members[$row->id]->section : null,
            isset($members[$row->id]) && $members[$row->id]->left_at !== null,
            $members[$row->id]->candidate_number ?? null,
        ), $rows));
    }

    private function text(RosterImport $import): string
    {
        return CsvRows::utf8((string) Storage::get($import->path))[0];
    }

    /**
     * The CSV files of a ZIP by name, wherever in it they stand. Nothing is written to disk.
     *
     * @return array<string, string>
     *
     * @throws InvalidInput
     */
    private static function unpacked(string $path): array
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw InvalidInput::at('file', 'the ZIP is damaged and cannot be opened');
        }
        $files = [];
        $bytes = 0;
        for ($n = 0; $n < min(500, $zip->count()); $n++) {
            $stat = $zip->statIndex($n);
            $name = $stat === false ? '' : basename(str_replace('\\', '/', $stat['name']));
            if (! str_ends_with(mb_strtolower($name), '.csv')) {
                continue;
            }
            $bytes += $stat === false ? 0 : $stat['size'];
            if ($bytes > self::MOST_BYTES) {
                throw InvalidInput::at(
                    'file',
                    'the ZIP unpacks to more than '.intdiv(self::MOST_BYTES, 1_048_576).' MB, far more than a roster',
                );
            }
            $files[$name] ??= (string) $zip->getFromIndex($n);
        }

        return $files;
    }
}
