<?php

declare(strict_types=1);

namespace App\Events;

use Illuminate\Foundation\Events\Dispatchable;

/**
 * Someone has another name, number or address than before. Told of within the transaction of the change.
 */
final readonly class PersonRenamed
{
    use Dispatchable;

    public function __construct(public int $userId)
    {
    }
}
