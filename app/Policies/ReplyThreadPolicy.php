<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Reply;
use App\Models\ReplyThread;
use App\Models\User;
use YoungHarbor\Core\Marking\Seat;

final class ReplyThreadPolicy
{
    /** Whoever marked the script, and coordinators; by its code, without the student's name until names are revealed. */
    public function answer(User $user, ReplyThread $thread): bool
    {
        $script = $thread->script->leadScript();

        // Whoever left the team reads nothing of it any more.
        return $user->roleIn($script->assignment->module_id) !== null && (
            $user->coordinates($script->assignment->module_id)
            || $script->marks->contains(fn ($mark) => $mark->marker_id === $user->id && $mark->seat !== Seat::Together)
        );
    }

    /** What was attached names people, as files and voices do: the other side has it once names are revealed. */
    public function readFile(User $user, ReplyThread $thread, Reply $reply): bool
    {
        return $reply->author_id === $user->id || (
            $thread->script->assignment->namesRevealed()
            && ($thread->script->student_id === $user->id || $this->answer($user, $thread))
        );
    }
}
