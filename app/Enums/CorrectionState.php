<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * How far a correction is. Only an approved one moves marks.
 */
enum CorrectionState: string
{
    case Asked = 'asked';
    case Approved = 'approved';
    case Refused = 'refused';
    case TakenBack = 'taken-back';
}
