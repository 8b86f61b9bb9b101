<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where a question to an outside assistant is.
 */
enum AskedState: string
{
    case Asked = 'asked';
    case Answered = 'answered';
    case Failed = 'failed';
}
