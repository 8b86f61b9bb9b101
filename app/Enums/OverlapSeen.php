<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * When the markers of a script see its overlap report. Seen late, a percentage does not colour the mark.
 */
enum OverlapSeen: string
{
    case Start = 'start';
    case After = 'after';
    case Never = 'never';

    public function label(): string
    {
        return match ($this) {
            self::Start => 'Markers see it from the start',
            self::After => 'Markers see it once their mark is done',
            self::Never => 'The coordinator alone',
        };
    }
}
