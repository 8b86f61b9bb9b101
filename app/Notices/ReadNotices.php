<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Notice;
use App\Models\User;

/**
 * Takes a notice as read, or all that a person has.
 */
final class ReadNotices
{
    public function __invoke(User $person, ?Notice $one): void
    {
        Notice::query()->where('user_id', $person->id)->whereNull('read_at')
            ->when($one !== null, fn ($query) => $query->whereKey($one?->id))->update(['read_at' => now()]);
    }
}
