<?php

declare(strict_types=1);

namespace App\Events;

use Illuminate\Foundation\Events\Dispatchable;

/**
 * The overlap report of a hand-in is in another state or has another share than before, or is gone.
 */
final readonly class ReportChanged
{
    use Dispatchable;

    public function __construct(public int $handinId)
    {
    }
}
