<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Roster;

/**
 * One person as a roster names them.
 */
final readonly class Person
{
    /**
     * @param  string  $place  the file and line the person stands in, as in "users.csv line 12"
     * @param  string|null  $rosterId  what the registry calls the person
     * @param  string  $role  coordinator, tutor, examiner or student; what the roster says instead, when it is none of them
     * @param  string|null  $candidate  the number under which a board of examiners knows the student
     * @param  bool  $saysSection  whether the roster says anything of sections; if not, people stay where they are
     */
    public function __construct(
        public string $place,
        public ?string $rosterId,
        public string $name,
        public ?string $given,
        public ?string $family,
        public string $email,
        public ?string $number,
        public string $role,
        public ?string $section,
        public ?string $group = null,
        public bool $saysSection = true,
        public ?string $candidate = null,
    ) {
    }

    /** Whether the mail address can be one. */
    public function hasMail(): bool
    {
        return filter_var($this->email, FILTER_VALIDATE_EMAIL) !== false && strlen($this->email) <= 190;
    }
}
