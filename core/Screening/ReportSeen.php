<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Screening;

/**
 * When the markers of a script see its overlap report. Seen late, a percentage does not colour the mark.
 */
enum ReportSeen: string
{
    case Start = 'start';
    case After = 'after';
    case Never = 'never';
}
