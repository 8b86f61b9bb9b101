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
use YoungHarbor\Core\Marking\Seat;
use YoungHarbor\Core\Screening\ReportSeen;

final class ScriptPolicy
{
    public function coordinate(User $user, Script $script): bool
    {
        return $user->coordinates($script->assignment->module_id);
    }

    /**
     * The coordinator, and the script's markers when the assignment lets them see what screening found.
     *
     * @param  Mark|null  $own  the person's mark of it, where it is at hand
     */
    public function viewOverlap(User $user, Script $script, ?Mark $own = null): bool
    {
        $isOwn = $own?->counts === true && $own->script_id === $script->id && $own->marker_id === $user->id;
        $mark = fn (): ?Mark => $isOwn ? $own : $this->markOf($user, $script);

        return $user->coordinates($script->assignment->module_id) || match ($script->assignment->screening->seen) {
            ReportSeen::Start => $mark() !== null,
            ReportSeen::After => $mark()?->isDone() === true,
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
        $own = $this->markOf($user, $script);
        // While a third marks, the two who have seen each other's marks go on seeing them.
        $bothIn = $script->marks->isNotEmpty() && $script->marks->every(
            fn (Mark $mark) => $mark->isDone() || $mark->seat === Seat::Third,
        );
        if ($own !== null) {
            return $bothIn && $own->isDone()
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

    /** A coordinator who marked it in no seat. */
    public function decide(User $user, Script $script): Response
    {
        return match (true) {
            ! $user->coordinates($script->assignment->module_id) => Response::deny(
                'Only a coordinator can decide a mark that its markers do not agree on.',
            ),
            $script->marks->contains('marker_id', $user->id) => Response::deny(
                'You marked this script yourself: settle it with the other marker, or let another coordinator decide.',
            ),
            default => $this->viewModeration($user, $script),
        };
    }

    /** Its markers, and coordinators who see both marks. */
    public function askForThird(User $user, Script $script): Response
    {
        return $this->settle($user, $script) || $user->coordinates($script->assignment->module_id)
            ? $this->viewModeration($user, $script)
            : Response::deny('Its markers or a coordinator ask for a third marker.');
    }

    public function openSettled(User $user, Script $script): Response
    {
        return $this->askForThird($user, $script);
    }

    /** Everyone who settles it, and coordinators; an examiner reads. */
    public function say(User $user, Script $script): Response
    {
        return $this->askForThird($user, $script);
    }

    private function markOf(User $user, Script $script): ?Mark
    {
        // Who has left the module no longer sees what they marked.
        return $user->roleIn($script->assignment->module_id) === null
            ? null
            : $script->marks->first(fn (Mark $mark) => $mark->marker_id === $user->id);
    }
}
