<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Enums\NoticeKind;
use App\Enums\Role;
use App\Models\Membership;
use App\Models\Post;
use App\Models\PostFlag;
use App\Models\Script;
use App\Models\Topic;
use App\Models\TopicReader;
use App\Models\User;
use App\Notices\NewNotice;
use App\Notices\Notices;
use Illuminate\Support\Collection;
use YoungHarbor\Core\Discussion\Audience;

/**
 * Tells people what was posted where they follow, who answered them, and what staff did with a post. Within the
 * transaction of what happened.
 */
final class TellOfPost
{
    public function __construct(private readonly Notices $notices)
    {
    }

    /** Whoever is answered is told of each answer; whoever follows the topic once, until they have read on. */
    public function of(Post $post, ?Post $answers): void
    {
        $notices = [];
        $told = [$post->author_id];
        if ($answers !== null && $answers->author_id !== $post->author_id) {
            $told[] = $answers->author_id;
            $notices[] = $this->notice($answers->author, $post, 'answered', "post:{$post->public_id}:{$answers->author_id}");
        }
        $followers = TopicReader::query()->where('topic_id', $post->topic_id)->where('follows', true)
            ->whereNotIn('user_id', $told)->with('user.memberships')->get();
        $open = $this->whoSees($post, $followers);
        foreach ($followers as $one) {
            $open->contains($one->user_id) && $notices[] = $this->notice(
                $one->user, $post, 'news', "topic:{$post->topic->public_id}:{$one->user_id}:{$one->read_to}",
            );
        }
        $this->notices->make($notices);
    }

    public function hidden(Post $post): void
    {
        $this->notices->make([$this->notice($post->author, $post, 'hidden', "hidden:{$post->public_id}:{$post->hidden_at?->timestamp}")]);
    }

    public function moved(Post $post, Topic $from): void
    {
        $this->notices->make([$this->notice($post->author, $post, 'moved', "moved:{$post->public_id}:{$from->public_id}:".now()->timestamp)]);
    }

    /** Coordinators hear of a flag; whose post it is stands there by code. */
    public function flagged(PostFlag $flag): void
    {
        $assignment = $flag->post->topic->assignment;
        $coordinators = Membership::query()->where('module_id', $assignment->module_id)->where('role', Role::Coordinator)
            ->whereNull('left_at')->with('user')->get();
        $values = ['assignment' => $assignment->title, 'topic' => $flag->post->topic->title];
        $this->notices->make(array_values($coordinators->map(fn (Membership $one) => new NewNotice(
            $one->user, NoticeKind::PostFlagged, "flag:{$flag->public_id}:{$one->user_id}",
            (string) __('notices.post_flagged', $values), route('discussion.show', $assignment, false).'#flags', $assignment,
            (string) __('notices.post_flagged', $values),
            (string) __('notices.post_flagged_body', $values + [
                'name' => $one->user->name, 'link' => route('discussion.show', $assignment).'#flags',
            ]),
        ))->all()));
    }

    /**
     * Of followers, those to whom a post is open: staff, and students of its room who may read others there. The same
     * rules as those of {@see DiscussionReader}, for many at once.
     *
     * @param  Collection<int, TopicReader>  $followers
     * @return Collection<int, int> their ids
     */
    private function whoSees(Post $post, Collection $followers): Collection
    {
        $assignment = $post->topic->assignment;
        $ids = $followers->pluck('user_id');
        $members = Membership::query()->where('module_id', $assignment->module_id)->whereIn('user_id', $ids)
            ->whereNull('left_at')->get()->keyBy('user_id');
        $scripts = Script::query()->where('assignment_id', $assignment->id)->whereIn('student_id', $ids)->get()->keyBy('student_id');
        $began = ! $assignment->discussion->ownFirst ? collect() : Post::query()->where('topic_id', $post->topic_id)
            ->whereNull('thread_id')->whereNull('taken_back_at')->whereNotNull('script_id')->pluck('script_id')->flip();

        return $ids->filter(function (int $id) use ($post, $assignment, $members, $scripts, $began): bool {
            $member = $members->get($id);
            $script = $scripts->get($id);
            if ($member === null || $member->role !== Role::Student || $script === null) {
                return $member !== null && $member->role !== Role::Student;
            }
            $room = match ($assignment->discussion->audience) {
                Audience::All => '',
                Audience::Group => (string) $script->group_name,
                Audience::Section => (string) $member->section,
            };

            return $room === $post->room && (
                ! $assignment->discussion->ownFirst || $post->script_id === null || $began->has($script->id)
            );
        })->values();
    }

    /** Whose post it is, as someone is told: students by code where their names do not show. */
    private function who(User $to, Post $post): string
    {
        $assignment = $post->topic->assignment;
        $named = $to->roleIn($assignment->module_id) === Role::Student
            ? $assignment->discussion->names
            : $assignment->namesRevealed();

        return $post->script === null || $named ? $post->author->name : $post->script->code;
    }

    private function notice(User $to, Post $post, string $what, string $once): NewNotice
    {
        $assignment = $post->topic->assignment;
        $values = [
            'topic' => $post->topic->title, 'assignment' => $assignment->title, 'reason' => (string) $post->hidden_reason,
            'who' => $this->who($to, $post),
        ];

        return new NewNotice(
            $to, NoticeKind::Post, $once, (string) __("notices.post_{$what}", $values), route('posts.show', $post, false),
            $assignment, (string) __("notices.post_{$what}", $values),
            (string) __("notices.post_{$what}_body", $values + ['name' => $to->name, 'link' => route('posts.show', $post)]),
        );
    }
}
