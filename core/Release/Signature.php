<?php

declare(strict_types=1);

namespace YoungHarbor\Core\Release;

/**
 * Whose signature results can wait for.
 */
enum Signature: string
{
    case Moderator = 'moderator';
    case Examiner = 'examiner';
}
