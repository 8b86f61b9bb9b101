<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Models\PostFlag;
use App\Models\User;

/**
 * Staff looked at a flagged post and left it as it is.
 */
final class LeaveFlaggedPost
{
    public function __invoke(PostFlag $flag, User $by): void
    {
        PostFlag::query()->whereKey($flag->id)->whereNull('decided_at')
            ->update(['decided_at' => now(), 'decided_by' => $by->id, 'decision' => 'left']);
    }
}
