<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Models\RosterImport;

/**
 * Keeps what the columns or classes of a roster file are said to be.
 */
final class SayHowRosterReads
{
    /**
     * @param  array<string, mixed>  $choices
     */
    public function __invoke(RosterImport $import, array $choices): void
    {
        $import->update(['choices' => $choices]);
    }
}
