<?php

declare(strict_types=1);

namespace App\Queries\Release;

use App\Enums\CaseKind;
use App\Models\Assignment;
use App\Models\IndividualCase;
use App\Models\Script;
use Illuminate\Database\Eloquent\Collection;
use YoungHarbor\Core\Release\AbsentGet;

/**
 * Students who handed in nothing, can no longer, and of whom nothing is decided yet.
 */
final class Absent
{
    /**
     * @return Collection<int, Script>
     */
    public function of(Assignment $assignment): Collection
    {
        if ($assignment->release->absent === AbsentGet::Nothing) {
            return new Collection;
        }

        return Script::query()->where('assignment_id', $assignment->id)->whereNull('current_handin_id')
            ->whereNull('left_at')->where('closes_at', '<=', now())
            ->whereDoesntHave('result')
            ->whereNotIn('id', IndividualCase::query()->whereNull('ended_at')
                ->whereIn('kind', CaseKind::outcomes())->select('script_id'))
            ->orderBy('id')->get();
    }
}
