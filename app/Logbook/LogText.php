<?php

declare(strict_types=1);

namespace App\Logbook;

/**
 * Free texts that stand beside a line of the logbook. Each has its words in lang/en/logbook.php.
 */
enum LogText: string
{
    case Reason = 'reason';
    case Title = 'title';
    case File = 'file';
    case Label = 'label';
    case Language = 'language';
    case Section = 'section';
    case To = 'to';
    case CopiedFrom = 'copied_from';
    case MadeFrom = 'made_from';
    case Document = 'document';
    case Lost = 'lost';
}
