<?php

declare(strict_types=1);

namespace App\Policies;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\AssignmentMarker;
use App\Models\AssignmentModerator;
use App\Models\Mark;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use YoungHarbor\Core\Marking\Sampled;
use YoungHarbor\Core\Marking\SecondMarks;
use YoungHarbor\Core\Marking\SecondView;

final class AssignmentPolicy
{
    public function view(User $user, Assignment $assignment): bool
    {
        return match ($user->roleIn($assignment->module_id)) {
            null => false,
            Role::Student => $assignment->isOpen(),
            default => true,
        };
    }

    public function coordinate(User $user, Assignment $assignment): bool
    {
        return $user->coordinates($assignment->module_id);
    }

    public function handIn(User $user, Assignment $assignment): bool
    {
        return $user->roleIn($assignment->module_id) === Role::Student && $assignment->isOpen();
    }

    /** Sends a file, a text or a draft: there is nothing to hand in where what is marked is a discussion. */
    public function sendWork(User $user, Assignment $assignment): Response
    {
        return match (true) {
            ! $this->handIn($user, $assignment) => Response::deny(),
            $assignment->isDiscussion() => Response::deny((string) __('discuss.refused.files_instead')),
            $assignment->isObserved() && ! $assignment->observing->slides => Response::deny(
                (string) __('observe.refused.files_instead')),
            default => Response::allow(),
        };
    }

    /** Sees who is observed when and where: whoever marks here, and coordinators. */
    public function seeSlots(User $user, Assignment $assignment): bool
    {
        return $assignment->isObserved() && $this->viewMarking($user, $assignment);
    }

    /** Reads a discussion: its students once it is open, and everyone of the team. */
    public function discuss(User $user, Assignment $assignment): bool
    {
        return $assignment->isDiscussion() && $this->view($user, $assignment);
    }

    /** Whoever marks here, and the coordinator, who sees how far marking is. */
    public function viewMarking(User $user, Assignment $assignment): bool
    {
        return $user->coordinates($assignment->module_id)
            || ($user->roleIn($assignment->module_id) === Role::Tutor);
    }

    /** Coordinator and examiner see every pair of marks; markers see the moderation of their own scripts. */
    public function viewModeration(User $user, Assignment $assignment): bool
    {
        return ! in_array($user->roleIn($assignment->module_id), [null, Role::Student], true);
    }

    public function viewAllMarks(User $user, Assignment $assignment): bool
    {
        $role = $user->roleIn($assignment->module_id);

        // A coordinator who also marks here sees what other markers see while their own marks are open.
        return $role === Role::Examiner || (
            $role === Role::Coordinator && ! $this->hasOpenMarks($user, $assignment)
            && ! $this->isStillToMarkBlind($user, $assignment)
        );
    }

    /** Whoever sees every mark, and a moderator who has nothing left to mark, see markers by name beside each other. */
    public function compareMarkers(User $user, Assignment $assignment): bool
    {
        return $this->viewAllMarks($user, $assignment) || (
            $this->moderates($user, $assignment) && ! $this->hasOpenMarks($user, $assignment)
        );
    }

    /**
     * Whether what others gave may be shown to them in figures: not while they have a mark to make themselves, since in
     * a small team the figures tell single marks.
     */
    public function seeHowOthersMark(User $user, Assignment $assignment): bool
    {
        return $this->viewModeration($user, $assignment) && ! $this->hasOpenMarks($user, $assignment)
            && ! $this->isStillToMarkBlind($user, $assignment);
    }

    /** Looks at corrections, asks for them or decides on them; not while marks of their own are open. */
    public function correct(User $user, Assignment $assignment): Response
    {
        return match (true) {
            ! $user->coordinates($assignment->module_id) && ! $this->moderates($user, $assignment) => Response::deny(),
            ! $this->compareMarkers($user, $assignment) => Response::deny((string) __('corrections.own_marks_open')),
            default => Response::allow(),
        };
    }

    private function moderates(User $user, Assignment $assignment): bool
    {
        return $user->roleIn($assignment->module_id) !== null
            && AssignmentModerator::query()->where('assignment_id', $assignment->id)->where('user_id', $user->id)
                ->exists();
    }

    /** Whether a sample that is still to be drawn may give them scripts to mark without seeing the first mark. */
    private function isStillToMarkBlind(User $user, Assignment $assignment): bool
    {
        return $assignment->scheme->second === SecondMarks::Sample && $assignment->scheme->view === SecondView::Blind
            && AssignmentMarker::query()->where('assignment_id', $assignment->id)->where('user_id', $user->id)
                ->where('share', '>', 0)->exists()
            && $assignment->scripts()->where('sampled', Sampled::Undecided)->whereNull('lead_id')
                ->whereNotNull('current_handin_id')->exists();
    }

    private function hasOpenMarks(User $user, Assignment $assignment): bool
    {
        return Mark::counting()->where('marker_id', $user->id)->whereNull('done_at')
            ->whereHas('script', fn ($query) => $query->where('assignment_id', $assignment->id))->exists();
    }
}
