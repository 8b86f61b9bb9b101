<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Actions\Discuss\Concerns\RefusesWriting;
use App\Discussion\PostText;
use App\Discussion\Rolls;
use App\Exceptions\Refused;
use App\Models\Post;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Changes the words of a post while its writer may; the earlier ones are kept for staff.
 */
final class ChangePost
{
    use RefusesWriting;

    public function __construct(private readonly CountParticipation $count)
    {
    }

    /**
     * @param  int  $seen  the version the writer had before them
     * @return Post|null null when it was changed elsewhere meanwhile, and nothing was kept
     *
     * @throws Refused
     */
    public function __invoke(Post $post, User $by, string $text, int $seen): ?Post
    {
        $assignment = $post->topic->assignment;
        $roll = Rolls::of($assignment);
        $read = $post->script_id === null ? PostText::ofStaff($text) : PostText::of($text, $roll);
        $this->refuseText($text, $read->words);

        return DB::transaction(function () use ($post, $text, $seen, $roll, $read, $assignment): ?Post {
            $stored = Post::query()->with('topic', 'script')->lockForUpdate()->findOrFail($post->id);
            $stored->topic->setRelation('assignment', $assignment);
            if ($stored->lock_version !== $seen) {
                return $stored->text === $text ? $stored : null;
            }
            $stored->changesUntil() !== null || throw new Refused(__(match (true) {
                $stored->hidden_at !== null => 'discuss.refused.change_hidden',
                $stored->taken_back_at !== null => 'discuss.refused.change_taken_back',
                $stored->topic->closed_at !== null => 'discuss.refused.change_closed',
                default => 'discuss.refused.change_late',
            }, ['minutes' => $assignment->discussion->editMinutes]), 'text');
            if ($stored->text === $text) {
                return $stored;
            }
            $stored->versions()->create([
                'text' => $stored->text, 'masked' => $stored->masked, 'written_at' => $stored->edited_at ?? $stored->created_at,
                'created_at' => now(),
            ]);
            $stored->update([
                'text' => $text, 'html' => $read->html, 'masked' => $read->masked, 'masked_text' => $read->maskedText,
                'words' => $read->words, 'roll' => $roll->fingerprint(), 'edited_at' => now(),
                'lock_version' => $stored->lock_version + 1,
            ]);
            $stored->script === null || ($this->count)($stored->script, $assignment->discussion);

            return $stored;
        });
    }
}
