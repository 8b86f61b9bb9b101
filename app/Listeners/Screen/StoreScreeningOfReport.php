<?php

declare(strict_types=1);

namespace App\Listeners\Screen;

use App\Actions\Screen\StoreScreenings;
use App\Events\ReportChanged;
use App\Models\Script;

final readonly class StoreScreeningOfReport
{
    public function __construct(private StoreScreenings $screenings)
    {
    }

    public function handle(ReportChanged $event): void
    {
        ($this->screenings)(Script::query()->where('current_handin_id', $event->handinId)->pluck('id'));
    }
}
