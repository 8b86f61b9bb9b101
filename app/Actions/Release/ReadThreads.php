<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Models\ReplyThread;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Notes that someone read threads of replies as far as they go now.
 */
final class ReadThreads
{
    /**
     * @param  iterable<ReplyThread>  $threads  with their replies
     */
    public function __invoke(iterable $threads, User $by): void
    {
        $rows = [];
        foreach ($threads as $thread) {
            $last = $thread->replies->last()?->id;
            $last === null || $rows[] = ['reply_thread_id' => $thread->id, 'user_id' => $by->id, 'read_to' => $last];
        }
        $rows === [] || DB::table('reply_readings')->upsert($rows, ['reply_thread_id', 'user_id'], ['read_to']);
    }
}
