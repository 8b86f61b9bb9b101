<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Models\ReplyThread;
use App\Models\User;

/**
 * Closes a thread of replies, or opens it again.
 */
final class CloseThread
{
    public function __invoke(ReplyThread $thread, bool $close, User $by): void
    {
        $thread->update($close
            ? ['closed_at' => now(), 'closed_by' => $by->id]
            : ['closed_at' => null, 'closed_by' => null]);
    }
}
