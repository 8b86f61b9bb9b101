<?php

declare(strict_types=1);

namespace App\Listeners\Screen;

use App\Actions\Screen\StoreScreenings;
use App\Events\CountingAttemptChanged;

final readonly class StoreScreeningsOfAttempts
{
    public function __construct(private StoreScreenings $screenings)
    {
    }

    public function handle(CountingAttemptChanged $event): void
    {
        ($this->screenings)($event->scriptIds);
    }
}
