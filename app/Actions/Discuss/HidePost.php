<?php

declare(strict_types=1);

namespace App\Actions\Discuss;

use App\Discussion\TellOfPost;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Post;
use App\Models\PostFlag;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Hides a post from students, with a reason that its writer reads, or shows it again. It stays among what is marked,
 * marked as hidden. Open flags of it are decided with it.
 */
final class HidePost
{
    public function __construct(private readonly Logbook $logbook, private readonly TellOfPost $tell)
    {
    }

    /**
     * @param  string|null  $reason  null: it is shown again
     */
    public function __invoke(Post $post, User $by, ?string $reason): void
    {
        DB::transaction(function () use ($post, $by, $reason): void {
            $stored = Post::query()->with('topic.assignment.module', 'author', 'script')->lockForUpdate()->findOrFail($post->id);
            if (($stored->hidden_at === null) === ($reason === null)) {
                return;
            }
            $stored->update([
                'hidden_at' => $reason === null ? null : now(), 'hidden_by' => $reason === null ? null : $by->id,
                'hidden_reason' => $reason, 'pinned_at' => null, 'lock_version' => $stored->lock_version + 1,
            ]);
            if ($reason !== null) {
                PostFlag::query()->where('post_id', $stored->id)->whereNull('decided_at')
                    ->update(['decided_at' => now(), 'decided_by' => $by->id, 'decision' => 'hidden']);
                $this->tell->hidden($stored);
            }
            $stored->script?->setRelation('assignment', $stored->topic->assignment);
            $this->logbook->write(
                Entry::of($reason === null ? LogEvent::PostShown : LogEvent::PostHidden)
                    ->on($stored->script ?? $stored->topic->assignment)->because($reason)->by($by)
            );
        });
    }
}
