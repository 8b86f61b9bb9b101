<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Who a rubric of the library is for.
 */
enum RubricScope: string
{
    case Module = 'module';
    case Person = 'person';
    case Institution = 'institution';
}
