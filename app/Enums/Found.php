<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What a person found who read what screening showed. No mark follows from any of it.
 */
enum Found: string
{
    case Attributed = 'attributed';
    case Talk = 'talk';
    case Said = 'said';
    case Nothing = 'nothing';
    case Support = 'support';
    case Referred = 'referred';
    case Note = 'note';

    public function label(): string
    {
        return match ($this) {
            self::Attributed => 'Properly attributed, or nothing to it',
            self::Talk => 'Needs a talk with the student',
            self::Said => 'What the student said',
            self::Nothing => 'Decided: nothing further',
            self::Support => 'Decided: learning support',
            self::Referred => 'Decided: referred, as the institution’s rules say',
            self::Note => 'A note, nothing found yet',
        };
    }

    public function short(): string
    {
        return match ($this) {
            self::Attributed => 'properly attributed',
            self::Talk => 'needs a talk',
            self::Said => 'what the student said',
            self::Nothing => 'nothing further',
            self::Support => 'learning support',
            self::Referred => 'referred',
            self::Note => 'a note',
        };
    }

    /** The same to its student. */
    public function toStudent(): string
    {
        return match ($this) {
            self::Attributed => 'Nothing to it',
            self::Talk => 'Let us talk',
            self::Said => 'What you said',
            self::Nothing => 'Nothing further',
            self::Support => 'Learning support',
            self::Referred => 'Passed on, as the institution’s rules say',
            self::Note => 'A note',
        };
    }
}
