<?php

declare(strict_types=1);

namespace App\Keeping\LettingGo;

use App\Actions\Screen\StoreScreenings;
use App\Models\Assignment;

/**
 * What screening found in texts and measured of them, and what was left out of it and why. The texts stay, and stay on
 * the shelf that others are compared with.
 */
final readonly class LetGoScreening implements LettingGo
{
    public function __construct(private StoreScreenings $screenings)
    {
    }

    public function isThere(): string
    {
        return 'EXISTS (SELECT 1 FROM overlap_reports o JOIN handins h ON h.id = o.handin_id WHERE h.script_id = scripts.id)'
            .' OR EXISTS (SELECT 1 FROM writing_reports w JOIN handins h ON h.id = w.handin_id WHERE h.script_id = scripts.id)';
    }

    public function isWhole(): bool
    {
        return false;
    }

    public function __invoke(Assignment $assignment, array $scripts): Gone
    {
        $gone = (new OfScripts($scripts))->delete([
            ['overlap_reports', OfScripts::HANDINS], ['writing_reports', OfScripts::HANDINS],
        ]);
        ($this->screenings)($scripts);

        return new Gone(['reports' => array_sum($gone)]);
    }
}
