<?php

declare(strict_types=1);

namespace App\Listeners\Mark;

use App\Actions\Mark\StoreStandings;
use App\Events\CountingAttemptChanged;

final readonly class StoreStandingsOfAttempts
{
    public function __construct(private StoreStandings $standings)
    {
    }

    public function handle(CountingAttemptChanged $event): void
    {
        ($this->standings)($event->scriptIds);
    }
}
