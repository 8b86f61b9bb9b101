<?php

declare(strict_types=1);

namespace App\Events;

use Illuminate\Foundation\Events\Dispatchable;

/**
 * Which attempt of these scripts counts has changed: the first came in, another took its place, or none is left.
 */
final readonly class CountingAttemptChanged
{
    use Dispatchable;

    /**
     * @param  list<int>  $scriptIds
     */
    public function __construct(public array $scriptIds)
    {
    }
}
