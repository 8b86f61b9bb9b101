<?php

declare(strict_types=1);

namespace App\Actions\Moderate;

use App\Models\PackScript;

/**
 * A reader opened a script of their pack.
 */
final class ReadInPack
{
    public function __invoke(PackScript $script): void
    {
        $script->read_at === null && $script->update(['read_at' => now()]);
    }
}
