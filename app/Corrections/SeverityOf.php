<?php

declare(strict_types=1);

namespace App\Corrections;

use App\Alike\BlindMarks;
use App\Models\Assignment;
use App\Models\User;
use YoungHarbor\Core\Agreement\MarkerEffects;
use YoungHarbor\Core\Agreement\Severity;

/**
 * What is to be taken out of a marker's marks, from the blind marks of an assignment.
 */
final class SeverityOf
{
    public static function marker(Assignment $assignment, ?User $marker): ?Severity
    {
        return $marker === null
            ? null
            : Severity::of(MarkerEffects::of(BlindMarks::of($assignment)->all()), "m{$marker->id}");
    }
}
