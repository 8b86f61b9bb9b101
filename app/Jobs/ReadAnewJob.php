<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Collect\ReadAnew;
use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;

/**
 * Has the work of someone who was renamed read anew. May be run again at any time.
 */
final class ReadAnewJob implements ShouldQueue
{
    use Dispatchable;
    use InteractsWithQueue;
    use OneAtATime;
    use Queueable;

    public function __construct(public readonly int $userId)
    {
        $this->onQueue('soon');
    }

    public function handle(ReadAnew $read): void
    {
        $person = User::query()->find($this->userId);
        $person === null || $read($person);
    }

    private function onlyOneFor(): int
    {
        return $this->userId;
    }
}
