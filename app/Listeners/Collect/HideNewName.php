<?php

declare(strict_types=1);

namespace App\Listeners\Collect;

use App\Events\PersonRenamed;
use App\Jobs\ReadAnewJob;

/**
 * What someone is called now is hidden too in what they handed in before.
 */
final class HideNewName
{
    public function handle(PersonRenamed $event): void
    {
        ReadAnewJob::dispatch($event->userId)->afterCommit();
    }
}
