<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Enums\Role;
use App\Models\Assignment;
use App\Models\Membership;
use App\Models\Post;
use App\Models\Script;
use App\Models\Topic;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Discussion\Audience;

/**
 * Who reads a discussion, and what of it: staff all rooms, with codes in place of students' names and without times until
 * names are revealed; a student the room of their section or group, and in a topic that asks for one's own post first,
 * only what is theirs until then.
 */
final class DiscussionReader
{
    /** @var array<int, bool> by topic */
    private array $opened = [];

    private function __construct(
        public readonly User $person,
        public readonly Assignment $assignment,
        public readonly ?Script $script,
        public readonly Role $role,
        public readonly string $room,
    ) {
    }

    public static function of(User $person, Assignment $assignment): self
    {
        $role = $person->roleIn($assignment->module_id) ?? Role::Student;
        $script = $role !== Role::Student ? null : Script::query()->where('assignment_id', $assignment->id)
            ->where('student_id', $person->id)->with('participation')->first();
        $script?->setRelation('assignment', $assignment);

        return new self($person, $assignment, $script, $role, $script === null ? '' : self::roomOf($script));
    }

    /** In which room a student of the assignment talks. */
    public static function roomOf(Script $script): string
    {
        return match ($script->assignment->discussion->audience) {
            Audience::All => '',
            Audience::Group => (string) $script->group_name,
            Audience::Section => (string) Membership::query()->where('module_id', $script->assignment->module_id)
                ->where('user_id', $script->student_id)->value('section'),
        };
    }

    public function isStaff(): bool
    {
        return $this->role !== Role::Student;
    }

    /** Whether students stand by their names. */
    public function seesNames(): bool
    {
        return $this->isStaff() ? $this->assignment->namesRevealed() : $this->assignment->discussion->names;
    }

    /** Whether it says when things were posted: beside a script code that would lead to who it is. */
    public function seesTimes(): bool
    {
        return ! $this->isStaff() || $this->assignment->namesRevealed();
    }

    /** Whether a student takes part, and can still write. */
    public function takesPart(): bool
    {
        return $this->whyNotWriting() === null;
    }

    /** Why nothing can be written; null when it can. */
    public function whyNotWriting(): ?string
    {
        $closes = $this->script?->closesDiscussionAt();

        return match (true) {
            $this->isStaff() => $this->role === Role::Examiner ? 'examiner' : null,
            $this->script === null => 'not_on_list',
            ! $this->assignment->isOpen() => 'not_open',
            $this->script->left_at !== null => 'left',
            $closes !== null && $closes->isPast() && ! $this->assignment->discussion->goesOn => 'ended',
            default => null,
        };
    }

    public function endsAt(): ?Carbon
    {
        return $this->script?->closesDiscussionAt() ?? $this->assignment->endsAt();
    }

    /** Whether others' posts in a topic are open to this reader. */
    public function sees(Topic $topic): bool
    {
        if ($this->isStaff() || ! $this->assignment->discussion->ownFirst || ($this->endsAt()?->isPast() ?? false)) {
            return true;
        }

        return $this->opened[$topic->id] ??= Post::query()->where('topic_id', $topic->id)
            ->where('script_id', $this->script?->id)->whereNull('thread_id')->whereNull('taken_back_at')->exists();
    }

    /**
     * The posts of a topic that this reader may see.
     *
     * @param  string|null  $room  one of them for staff; null for all
     * @return Builder<Post>
     */
    public function posts(Topic $topic, ?string $room = null): Builder
    {
        $posts = Post::query()->where('topic_id', $topic->id);
        $in = $this->isStaff() ? $room : $this->room;
        $in === null || $posts->where('room', $in);
        if (! $this->sees($topic)) {
            $posts->where(fn (Builder $own) => $own->where('script_id', $this->script?->id)->orWhereNull('script_id'));
        }

        return $posts;
    }

    public function canSee(Post $post): bool
    {
        return ($this->isStaff() || $post->room === $this->room)
            && ($this->sees($post->topic) || $post->script_id === $this->script?->id || $post->script_id === null);
    }

    public function isOwn(Post $post): bool
    {
        return $post->author_id === $this->person->id;
    }

    /** Whose a post is, as this reader reads it. */
    public function who(Post $post): string
    {
        return match (true) {
            $this->isOwn($post) => __('discuss.you'),
            $post->script === null => $post->author->name,
            $this->seesNames() => $post->author->name,
            default => $post->script->code,
        };
    }

    /** Its words, as this reader reads them. */
    public function html(Post $post): string
    {
        return $this->isOwn($post) || $post->script_id === null || $this->seesNames() ? $post->html : $post->masked;
    }

    /**
     * The rooms there are, in their order.
     *
     * @return list<string>
     */
    public function rooms(): array
    {
        if (! $this->isStaff() || $this->assignment->discussion->audience === Audience::All) {
            return [$this->room];
        }
        $names = $this->assignment->discussion->audience === Audience::Group
            ? Script::query()->where('assignment_id', $this->assignment->id)->whereNull('left_at')->distinct()->pluck('group_name')
            : Membership::query()->where('module_id', $this->assignment->module_id)->where('role', Role::Student)
                ->whereNull('left_at')->distinct()->pluck('section');
        $written = Post::query()->whereIn('topic_id', $this->assignment->topics->modelKeys())->distinct()->pluck('room');
        $rooms = $names->merge($written)->map(fn (mixed $name) => (string) $name)->unique()->all();
        natcasesort($rooms);

        return array_values($rooms);
    }
}
