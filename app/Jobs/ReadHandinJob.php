<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Collect\FinishHandIn;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use Illuminate\Support\Facades\Log;
use Throwable;

/**
 * Has read what was handed in. May be run again at any time: what is read is not read twice.
 */
final class ReadHandinJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneReadingAStudent;
    use Queueable;

    /**
     * @param  list<int>  $handinIds  of the student, and of each member of their group
     */
    public function __construct(
        public readonly array $handinIds,
        public readonly int $studentId,
    ) {
    }

    public function handle(FinishHandIn $finish): void
    {
        $finish($this->handinIds);
    }

    /** It stays unread, and the scheduler asks for it again. */
    public function failed(?Throwable $e): void
    {
        Log::error(
            'A hand-in could not be read; it is tried again.',
            ['handins' => $this->handinIds, 'why' => $e?->getMessage() ?? 'The worker was stopped.'],
        );
    }
}
