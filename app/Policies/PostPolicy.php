<?php

declare(strict_types=1);

namespace App\Policies;

use App\Discussion\DiscussionReader;
use App\Enums\Role;
use App\Models\Post;
use App\Models\PostFile;
use App\Models\User;
use Illuminate\Auth\Access\Response;

final class PostPolicy
{
    /** Whoever reads the topic, of their room, once it is open to them; what was hidden its writer and staff alone. */
    public function view(User $user, Post $post): bool
    {
        if (! $user->can('view', $post->topic)) {
            return false;
        }
        $reader = DiscussionReader::of($user, $post->topic->assignment);

        return $reader->canSee($post) && ($post->stands() || $reader->isStaff() || $reader->isOwn($post));
    }

    public function change(User $user, Post $post): bool
    {
        return $post->author_id === $user->id && $user->can('view', $post->topic);
    }

    /** Readers point a post out to coordinators; not their own. */
    public function flag(User $user, Post $post): bool
    {
        return $this->view($user, $post) && $post->author_id !== $user->id;
    }

    public function coordinate(User $user, Post $post): bool
    {
        return $user->coordinates($post->topic->assignment->module_id);
    }

    /** A file can carry a name, in its words or its pixels: only those to whom names show take it. */
    public function take(User $user, Post $post, PostFile $file): Response
    {
        if (! $this->view($user, $post)) {
            return Response::deny();
        }
        $reader = DiscussionReader::of($user, $post->topic->assignment);

        return $reader->isOwn($post) || $post->script_id === null || $reader->seesNames()
            || ($user->roleIn($post->topic->assignment->module_id) === Role::Student && $file->isPicture())
            ? Response::allow() : Response::deny((string) __('discuss.files.held'));
    }
}
