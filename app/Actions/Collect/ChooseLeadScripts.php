<?php

declare(strict_types=1);

namespace App\Actions\Collect;

use App\Actions\Mark\StoreStandings;
use App\Actions\Screen\StoreScreenings;
use App\Enums\HandInBy;
use App\Models\Assignment;
use App\Models\Script;

/**
 * With one mark a group, one of its scripts is marked and the others follow it; otherwise each stands for itself.
 */
final readonly class ChooseLeadScripts
{
    public function __construct(
        private StoreStandings $standings,
        private StoreScreenings $screenings,
    ) {
    }

    public function __invoke(Assignment $assignment): void
    {
        $leads = [];
        $follow = [];
        foreach (
            Script::query()->where('assignment_id', $assignment->id)->orderBy('id')
                ->get(['id', 'group_name', 'lead_id']) as $script
        ) {
            $together = $assignment->handin_by === HandInBy::GroupOneMark && $script->group_name !== null;
            $lead = $together ? ($leads[$script->group_name] ??= $script->id) : $script->id;
            $leadId = $lead === $script->id ? null : $lead;
            if ($script->lead_id !== $leadId) {
                $follow[$leadId ?? 0][] = $script->id;
            }
        }
        foreach ($follow as $lead => $ids) {
            Script::query()->whereIn('id', $ids)->update(['lead_id' => $lead === 0 ? null : $lead]);
            ($this->standings)($ids);
            ($this->screenings)($ids);
        }
    }
}
