<?php

declare(strict_types=1);

namespace App\Events;

use App\Models\Handin;
use Illuminate\Foundation\Events\Dispatchable;

/**
 * What was handed in has been read, or an attempt that is read has come to count: its pages can be looked through for
 * names, and its words be compared.
 */
final readonly class HandinRead
{
    use Dispatchable;

    public function __construct(public Handin $handin)
    {
    }
}
