<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Notices\SendNotices;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Sends what waits to be sent, before whatever else waits.
 */
final class SendNoticesJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 3;

    public int $timeout = 300;

    public function __construct()
    {
        $this->onQueue('soon');
    }

    public function handle(SendNotices $send): void
    {
        $send() || self::dispatch();
    }
}
