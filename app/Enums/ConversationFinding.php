<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What a person found who read what screening showed. No mark follows from any of it.
 */
enum ConversationFinding: string
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
        return __('screen.finding.'.$this->value);
    }

    public function short(): string
    {
        return __('screen.finding_short.'.$this->value);
    }

    /** The same to its student. */
    public function toStudent(): string
    {
        return __('screen.finding_to_student.'.$this->value);
    }
}
