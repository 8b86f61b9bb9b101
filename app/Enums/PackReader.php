<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Who reads and signs a sample pack.
 */
enum PackReader: string
{
    /** Someone of the team who marked none of it. */
    case Moderator = 'moderator';
    case Examiner = 'examiner';
}
