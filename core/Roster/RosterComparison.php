<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Roster;

/**
 * A roster beside the people a module has: who would be added, changed, stay, be back, and who has left.
 *
 * People are known by what the registry calls them, else by number, else by mail address. Names, numbers and addresses
 * of an account that its owner has taken up are not changed by a roster; sections are. A line with a fault counts for
 * nothing, and while there is one nobody is taken to have left.
 */
final readonly class RosterComparison
{
    /**
     * @param  list<Row>  $added
     * @param  list<Row>  $changed
     * @param  list<Row>  $same
     * @param  list<Row>  $back  who had left
     * @param  list<KnownPerson>  $left
     * @param  list<string>  $faults  with their places
     */
    private function __construct(
        public array $added,
        public array $changed,
        public array $same,
        public array $back,
        public array $left,
        public array $faults,
    ) {
    }

    /**
     * @param  list<Person>  $people
     * @param  list<KnownPerson>  $known  everyone in the module, and whoever else has a sign that stands in the roster
     * @param  list<string>  $faults  found when the roster was read
     * @param  bool  $complete  whether students who are not in the roster have left
     * @param  list<string>  $ended  roster ids of people the roster says have left
     */
    public static function of(array $people, array $known, array $faults, bool $complete, array $ended = []): self
    {
        $byRosterId = $byNumber = $byMail = [];
        foreach ($known as $account) {
            foreach ($account->rosterIds as $id) {
                $byRosterId[$id] = $account;
            }
            if ($account->number !== null) {
                $byNumber[mb_strtolower($account->number)] = $account;
            }
            $byMail[mb_strtolower($account->email)] = $account;
        }
        $places = [];
        $found = ['added' => [], 'changed' => [], 'same' => [], 'back' => []];
        $named = [];
        foreach ($people as $person) {
            $signs = [
                'roster id' => $person->rosterId,
                'number' => $person->number === null ? null : mb_strtolower($person->number),
                'mail address' => mb_strtolower($person->email),
            ];
            $fault = self::faultOf($person) ?? self::repeated($signs, $places, $person->place);
            $owners = array_filter([
                'roster id' => $person->rosterId === null ? null : $byRosterId[$person->rosterId] ?? null,
                'number' => $signs['number'] === null ? null : $byNumber[$signs['number']] ?? null,
                'mail address' => $byMail[$signs['mail address']] ?? null,
            ]);
            $fault ??= self::torn($owners);
            if ($fault !== null) {
                $faults[] = "{$person->place}: {$fault}";

                continue;
            }
            $account = $owners === [] ? null : reset($owners);
            $row = self::row($person, $account);
            $kind = match (true) {
                $account?->role === null => 'added',
                $account->left => 'back',
                $row->changes !== [] => 'changed',
                default => 'same',
            };
            $found[$kind][] = $row;
            if ($account !== null) {
                $named[$account->id] = true;
            }
        }
        $gone = fn (KnownPerson $account): bool => $account->role === 'student' && ! $account->left
            && ! isset($named[$account->id]) && ($complete || array_intersect($account->rosterIds, $ended) !== []);
        $left = $faults === [] ? array_values(array_filter($known, $gone)) : [];

        return new self($found['added'], $found['changed'], $found['same'], $found['back'], $left, $faults);
    }

    public function changesNothing(): bool
    {
        return $this->added === [] && $this->changed === [] && $this->back === [] && $this->left === [];
    }

    /** A sum over all that would be done, so that what is applied is what was looked at. */
    public function sum(): string
    {
        $row = fn (Row $row): array => [
            $row->person->email, $row->person->name, $row->person->number, $row->person->section, $row->person->group,
            $row->person->role, $row->person->candidate, $row->known?->id, $row->changes,
        ];

        return hash(
            'sha256',
            json_encode(
                [
                    array_map($row, $this->added), array_map($row, $this->changed), array_map($row, $this->back),
                    array_map(fn (KnownPerson $known) => $known->id, $this->left),
                ],
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
            ),
        );
    }

    private static function row(Person $person, ?KnownPerson $account): Row
    {
        $changes = $stays = [];
        if ($account !== null) {
            foreach (
                [
                    'name' => [$account->name, $person->name], 'number' => [$account->number, $person->number],
                    'mail address' => [mb_strtolower($account->email), mb_strtolower($person->email)],
                ] as $what => [$is, $said]
            ) {
                if ($said !== null && $is !== $said) {
                    $words = "{$what}: ".($is ?? 'none')." → {$said}";
                    // A number that is missing can be filled in; anything else of an account in use is its owner's.
                    $account->joined && $is !== null ? $stays[] = $words : $changes[] = $words;
                }
            }
            if (
                $account->role !== null && $person->saysSection && $account->section !== $person->section
                && ($person->section !== null || $person->role === 'student')
            ) {
                $changes[] = 'section: '.($account->section ?? 'none').' → '.($person->section ?? 'none');
            }
            if ($account->role !== null && $person->candidate !== null && $account->candidate !== $person->candidate) {
                $changes[] = 'candidate number: '.($account->candidate ?? 'none').' → '.$person->candidate;
            }
            if ($account->role !== null && $account->role !== $person->role) {
                $stays[] = "role: {$account->role}, not {$person->role}";
            }
        }

        return new Row($person, $account, $changes, $stays);
    }

    private static function faultOf(Person $person): ?string
    {
        return match (true) {
            ! $person->hasMail()
                && str_contains($person->name, '@') => "“{$person->email}” is no mail address, and the name holds one: are two columns swapped?",
            ! $person->hasMail()
                && str_contains(
                    (string) $person->number, '@',
                ) => "“{$person->email}” is no mail address, and the number holds one: are two columns swapped?",
            ! $person->hasMail() => $person->email === ''
                ? 'there is no mail address'
                : "“{$person->email}” is no mail address",
            trim($person->name) === '' => 'there is no name',
            str_contains($person->name, '@') => "the name “{$person->name}” is a mail address: are two columns swapped?",
            mb_strlen($person->name) > 150 => 'the name has more than 150 characters',
            ! in_array($person->role, ['coordinator', 'tutor', 'examiner', 'student'], true) => $person->role === ''
                ? 'there is no role, though the roster has a column for it'
                : "the role “{$person->role}” is not known here: say beside this list what it stands for",
            mb_strlen((string) $person->candidate) > 40 => 'the candidate number has more than 40 characters',
            mb_strlen((string) $person->number) > 40 => 'the number has more than 40 characters',
            mb_strlen((string) $person->section) > 40 => 'the section has more than 40 characters',
            mb_strlen((string) $person->group) > 60 => 'the group has more than 60 characters',
            strlen((string) $person->rosterId) > 120 => 'the roster id has more than 120 characters',
            default => null,
        };
    }

    /**
     * @param  array<string, string|null>  $signs
     * @param  array<string, string>  $places  where each sign stood first
     */
    private static function repeated(array $signs, array &$places, string $place): ?string
    {
        foreach ($signs as $what => $sign) {
            if ($sign !== null && isset($places["{$what} {$sign}"])) {
                return "the {$what} “{$sign}” stands in {$places["{$what} {$sign}"]} too";
            }
        }
        foreach ($signs as $what => $sign) {
            if ($sign !== null) {
                $places["{$what} {$sign}"] = $place;
            }
        }

        return null;
    }

    /**
     * @param  array<string, KnownPerson>  $owners
     */
    private static function torn(array $owners): ?string
    {
        $first = reset($owners);
        foreach ($owners as $what => $owner) {
            if ($first !== false && $owner->id !== $first->id) {
                return 'the '.array_key_first($owners)." belongs to {$first->name}, the {$what} to {$owner->name}";
            }
        }

        return null;
    }
}
