<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Mark;
use App\Models\ObservationEvent;
use App\Models\ObservationFile;
use App\Models\User;

final class ObservationFilePolicy
{
    /**
     * Its observer; whoever else marks the same script, from a recording perhaps, and whoever sees all marks; its
     * student once the
     * result is out, where it is meant for them.
     */
    public function see(User $user, ObservationFile $file): bool
    {
        $mark = $file->mark;
        $script = $mark->script;
        if ($mark->marker_id === $user->id || $user->can('viewAllMarks', $script->assignment)) {
            return $user->roleIn($script->assignment->module_id) !== null;
        }
        if (Mark::counting()->where('script_id', $script->id)->where('marker_id', $user->id)->exists()) {
            return true;
        }

        return $script->student_id === $user->id && $script->result !== null
            && ObservationEvent::query()->where('mark_id', $mark->id)->where('kind', 'evidence')->where('value', $file->public_id)
                ->where('about', 'like', 'student%')->exists();
    }
}
