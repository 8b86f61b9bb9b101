<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Models\Script;

/**
 * Keeps when a student first opened the brief: a step on the cohort page.
 */
final class NoteBriefOpened
{
    public function __invoke(Script $script): void
    {
        $script->brief_opened_at === null && $script->update(['brief_opened_at' => now()]);
    }
}
