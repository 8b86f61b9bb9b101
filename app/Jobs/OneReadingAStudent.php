<?php

declare(strict_types=1);

namespace App\Jobs;

use Illuminate\Queue\Middleware\WithoutOverlapping;

/**
 * One reading a student at a time, of work and drafts alike: whoever hands in many files in a row waits for their own
 * and keeps nobody else waiting. Times and tries as in OneAtATime; a lock is asked for again after 3 s.
 */
trait OneReadingAStudent
{
    public int $tries = 130;

    public int $maxExceptions = 3;

    public int $timeout = 300;

    /**
     * @return list<object>
     */
    public function middleware(): array
    {
        return [(new WithoutOverlapping("reading:{$this->studentId}"))->shared()->releaseAfter(3)->expireAfter(330)];
    }
}
