<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where words can also stand.
 */
enum SourceKind: string
{
    case Handin = 'handin';
    case Archive = 'archive';
    case Web = 'web';
}
