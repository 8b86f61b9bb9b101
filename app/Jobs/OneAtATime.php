<?php

declare(strict_types=1);

namespace App\Jobs;

use Illuminate\Queue\Middleware\WithoutOverlapping;

/**
 * A job of which one at a time runs for the same thing, and which survives its worker.
 *
 * The three times agree: a run lasts at most 300 s, its lock ends by itself after 330 s, and the queue takes a job that
 * never came back for lost after 360 s (config/queue.php). Waiting for the lock is a try and no failure, so tries are
 * many and exceptions few: 30 tries 15 s apart outlast any lock that a dead worker left behind.
 */
trait OneAtATime
{
    public int $tries = 30;

    public int $maxExceptions = 3;

    public int $timeout = 300;

    /**
     * @return list<object>
     */
    public function middleware(): array
    {
        return [(new WithoutOverlapping((string) $this->onlyOneFor()))->releaseAfter(15)->expireAfter(330)];
    }

    /** The row this job is about. */
    abstract private function onlyOneFor(): int;
}
