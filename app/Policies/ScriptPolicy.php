<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\ConversationEntry;
use App\Models\Mark;
use App\Models\Script;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Screening\ReportSeen;

final class ScriptPolicy
{
    public function coordinate(User $user, Script $script): bool
    {
        return $user->coordinates($script->assignment->module_id);
    }

    /** The coordinator, and the script's markers when the assignment lets them see what screening found. */
    public function viewOverlap(User $user, Script $script): bool
    {
        $mark = $this->markOf($user, $script);

        return $user->coordinates($script->assignment->module_id) || match ($script->assignment->screening->seen) {
            ReportSeen::Start => $mark !== null,
            ReportSeen::After => $mark?->isDone() === true,
            ReportSeen::Never => false,
        };
    }

    /** Coordinators, and those who are named in it: whoever wrote in it, or was let. */
    public function viewConversation(User $user, Script $script): bool
    {
        return $user->coordinates($script->assignment->module_id)
            || (
                $user->roleIn($script->assignment->module_id) === Role::Tutor
                && DB::table('conversation_people')->where('script_id', $script->id)->where('user_id', $user->id)
                    ->exists()
            );
    }

    /** What a coordinator decided that its student may read. */
    public function viewOwnConversation(User $user, Script $script): bool
    {
        return $script->student_id === $user->id && ConversationEntry::query()->where('script_id', $script->id)
            ->where('student_sees', true)->exists();
    }

    /** A student's own script, after its due time, when the assignment shows it; a draft is checked elsewhere. */
    public function viewOwnOverlap(User $user, Script $script): bool
    {
        return $script->student_id === $user->id && $user->roleIn($script->assignment->module_id) === Role::Student
            && $script->assignment->screening->students && $script->isPastDue();
    }

    /** Both marks beside each other: never before both are in for someone who marks the script. */
    public function viewModeration(User $user, Script $script): Response
    {
        $bothIn = $script->marks->isNotEmpty() && $script->marks->every(fn (Mark $mark) => $mark->isDone());
        if ($this->markOf($user, $script) !== null) {
            return $bothIn
                ? Response::allow()
                : Response::deny(
                    'You will see both marks when both are done. Until then each is made without the other.'
                );
        }

        return app(AssignmentPolicy::class)->viewAllMarks($user, $script->assignment)
            ? Response::allow()
            : Response::deny('This script is not one of yours.');
    }

    public function settle(User $user, Script $script): bool
    {
        return $this->markOf($user, $script) !== null;
    }

    private function markOf(User $user, Script $script): ?Mark
    {
        // Who has left the module no longer sees what they marked.
        return $user->roleIn($script->assignment->module_id) === null
            ? null
            : $script->marks->first(fn (Mark $mark) => $mark->marker_id === $user->id);
    }
}
