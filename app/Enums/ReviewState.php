<?php

declare(strict_types=1);

namespace App\Enums;

/**
 * Where a review of a mark is.
 */
enum ReviewState: string
{
    case Received = 'received';
    case Stands = 'stands';
    case Corrected = 'corrected';

    public function isOpen(): bool
    {
        return $this === self::Received;
    }
}
