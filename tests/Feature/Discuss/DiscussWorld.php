<?php

declare(strict_types=1);

namespace Tests\Feature\Discuss;

use App\Actions\Discuss\FreezeDueDiscussions;
use App\Actions\Discuss\SaveTopic;
use App\Actions\Discuss\WritePost;
use App\Actions\Plan\OpenAssignment;
use App\Actions\Plan\SaveAssignment;
use App\Enums\WorkForm;
use App\Models\Assignment;
use App\Models\Post;
use App\Models\Topic;
use App\Models\User;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Discussion\Settings;

/**
 * Discussions with people in them.
 */
trait DiscussWorld
{
    private Assignment $talk;

    private Topic $topic;

    /**
     * @param  array<string, mixed>  $settings
     * @param  array<string, mixed>  $fields
     */
    private function discussion(int $students = 3, array $settings = [], array $fields = []): void
    {
        $this->module(1, $students);
        $this->talk = app(SaveAssignment::class)($this->module, null, $this->assignmentFields($fields + [
            'form' => WorkForm::Discussion, 'title' => 'Who paid for the light', 'scheme' => $this->oneMark(),
            'discussion' => Settings::fromArray($settings + ['posts' => 1, 'replies' => 1, 'words' => 5]),
            'due_at' => now()->addDays(3), 'closes_at' => now()->addDays(7),
        ]), null);
        $this->topic = app(SaveTopic::class)($this->talk, null, 'Lighthouse dues', 'Who should have paid, and why?', null);
        app(OpenAssignment::class)($this->talk);
        $this->talk->refresh();
    }

    private function says(int|User $by, string $text = 'The ships that used the light should have paid for it.', ?Post $answers = null): Post
    {
        return app(WritePost::class)(
            $this->topic->fresh(['assignment']), is_int($by) ? $this->students[$by] : $by, $text, $answers
        );
    }

    /** The discussion ends, and what was written is frozen and read. */
    private function ends(): int
    {
        Carbon::setTestNow($this->talk->refresh()->closes_at->copy()->addMinute());

        return app(FreezeDueDiscussions::class)();
    }
}
