<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Mark;
use App\Models\ObservationFile;
use App\Models\Script;
use App\Models\User;
use App\Queries\Observe\SeenRecord;

final class ObservationFilePolicy
{
    /**
     * Its observer; whoever else marks the same script, from a recording perhaps, and whoever sees all marks; whoever
     * was
     * observed, as on their result: once it is out, what is meant for them, and what was taken back is not.
     */
    public function see(User $user, ObservationFile $file): bool
    {
        $mark = $file->mark;
        $script = $mark->script;
        if ($mark->marker_id === $user->id || $user->can('viewAllMarks', $script->assignment)) {
            return $user->roleIn($script->assignment->module_id) !== null;
        }
        if (Mark::counting()->where('script_id', $script->id)->where('marker_id', $user->id)->exists()) {
            return $user->roleIn($script->assignment->module_id) !== null;
        }
        $own = Script::query()->where('assignment_id', $script->assignment_id)->where('student_id', $user->id)->first();

        return $own?->result !== null && $own->leadScript()->is($script)
            && collect(
                SeenRecord::ofScript($own, true),
            )->contains(fn (SeenRecord $one) => $one->evidence->contains($file));
    }
}
