<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Models\Assignment;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\Script;
use App\Models\User;

/**
 * What a line is about, by its kind and the key it is known by: a script by its code, everything else by its random id.
 */
final readonly class Subject
{
    /** How a person stands among the details of a line. */
    public const PERSON = 'person:';

    private function __construct(
        public string $kind,
        public string $key,
    ) {
    }

    public static function of(Script|Assignment|Module|Rubric|User $subject): self
    {
        return match (true) {
            $subject instanceof Script => new self('script', $subject->code),
            $subject instanceof Assignment => new self('assignment', $subject->public_id),
            $subject instanceof Module => new self('module', $subject->public_id),
            $subject instanceof Rubric => new self('rubric', $subject->public_id),
            $subject instanceof User => new self('person', $subject->public_id),
        };
    }
}
