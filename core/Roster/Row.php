<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Roster;

/**
 * What a roster means for one person.
 */
final readonly class Row
{
    /**
     * @param  list<string>  $changes  what would be changed, in words
     * @param  list<string>  $stays  what differs and is left as it is, in words
     */
    public function __construct(
        public Person $person,
        public ?KnownPerson $known,
        public array $changes,
        public array $stays,
    ) {
    }
}
