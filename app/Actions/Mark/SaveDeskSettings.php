<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Desk\DeskKeys;
use App\Models\User;

/**
 * Keeps how one person has their desk: the keys of its commands, how wide the rubric is.
 */
final class SaveDeskSettings
{
    /**
     * @param  array<string, string|null>|null  $keys  by command, each once; none for one switched off
     * @param  int|null  $side  width of the rubric in pixels
     */
    public function __invoke(User $person, ?array $keys, ?int $side): void
    {
        $person->update(['desk' => [
            ...$person->desk ?? [],
            ...($keys === null ? [] : ['keys' => array_map(strval(...), array_intersect_key($keys, DeskKeys::USUAL))]),
            ...($side === null ? [] : ['side' => $side]),
        ]]);
    }
}
