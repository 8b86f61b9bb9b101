<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * What a person is in one module.
 */
enum Role: string
{
    case Coordinator = 'coordinator';
    case Tutor = 'tutor';
    case Examiner = 'examiner';
    case Student = 'student';

    public function label(): string
    {
        return $this === self::Examiner ? 'external examiner' : $this->value;
    }
}
