<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Models\Assignment;

/**
 * Counts anew what each student wrote, when something else is asked for.
 */
final class RecountParticipations
{
    public function __construct(private readonly CountParticipation $count)
    {
    }

    public function __invoke(Assignment $assignment): void
    {
        $assignment->scripts()->whereHas('participation')->get()
            ->each(fn ($script) => ($this->count)($script, $assignment->discussion));
    }
}
