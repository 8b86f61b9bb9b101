<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What is marked in an assignment.
 */
enum WorkForm: string
{
    /** What students hand in. */
    case Handin = 'handin';

    /** What they write to each other. */
    case Discussion = 'discussion';

    /** What they do while someone watches. */
    case Observed = 'observed';

    public function label(): string
    {
        return __("plan.form.{$this->value}");
    }
}
