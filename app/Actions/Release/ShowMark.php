<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Models\Result;

/**
 * A student who opened the feedback asks for the mark that waited for that.
 */
final class ShowMark
{
    public function __invoke(Result $result): void
    {
        $result->mark_asked_at === null && $result->forceFill(['mark_asked_at' => now()])->save();
    }
}
