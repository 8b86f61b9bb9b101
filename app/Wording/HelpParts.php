<?php

declare(strict_types=1);

namespace App\Wording;

use App\Enums\Role;
use App\Models\User;
use Illuminate\Http\Request;

/**
 * The parts of the help page, and which of them somebody needs where they are.
 */
final class HelpParts
{
    /** Titles by the id of the part, in the order of the page. */
    public const TITLES = [
        'coordinator' => 'A coordinator’s first module',
        'marking' => 'Marking an essay',
        'examiner' => 'What an examiner can do here',
        'student' => 'Handing in and reading a result',
        'peers' => 'Peer review',
        'screening' => 'What screening and writing signals can and cannot tell',
        'account' => 'Your account, and what is kept of you',
        'people' => 'Looking after people and how it runs',
        'names' => 'Names',
    ];

    private const BY_PAGE = [
        'screening' => ['screen.*', 'writing.*', 'written.*', 'archive.*', 'baselines.*', 'detector.*'],
        'names' => ['share-out.names*', 'names.*'],
        'account' => ['account', 'second-step*', 'kept'],
        'people' => ['institution.*'],
        'peers' => ['rounds.*', 'trials.*', 'peer-reviews.*'],
        'marking' => ['mark.*', 'bank.*', 'together.*', 'moderate.*'],
        'student' => ['hand-in.*', 'receipts.*', 'results.*', 'drafts.*'],
    ];

    /** The part for the page of this request: of what the page is about, else of the person's first role. */
    public static function for(Request $request, User $user): string
    {
        foreach (self::BY_PAGE as $part => $pages) {
            if ($request->routeIs($pages)) {
                return $part;
            }
        }
        $roles = $user->memberships->whereNull('left_at')->pluck('role')->unique();

        return match (true) {
            $user->is_admin, $roles->contains(Role::Coordinator) => 'coordinator',
            $roles->contains(Role::Tutor) => 'marking',
            $roles->contains(Role::Examiner) => 'examiner',
            default => 'student',
        };
    }
}
