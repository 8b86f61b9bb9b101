<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Roster;

/**
 * Someone who has an account already, in this module or elsewhere.
 */
final readonly class KnownPerson
{
    /**
     * @param  list<string>  $rosterIds  what the registry calls the person, and our own public id, which our exports carry
     * @param  string|null  $role  in this module; null for who is not in it
     * @param  bool  $joined  whether the person has chosen a password: the account is theirs then
     */
    public function __construct(
        public int $id,
        public array $rosterIds,
        public string $name,
        public string $email,
        public ?string $number,
        public bool $joined,
        public ?string $role = null,
        public ?string $section = null,
        public bool $left = false,
        public ?string $candidate = null,
    ) {
    }
}
