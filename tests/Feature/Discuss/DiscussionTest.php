<?php

declare(strict_types=1);

namespace Tests\Feature\Discuss;

use App\Models\Participation;
use Tests\TestCase;

/**
 * Writing in a discussion, and what is marked of it.
 */
final class DiscussionTest extends TestCase
{
    use DiscussWorld;

    public function test_from_a_post_to_a_script_that_is_marked(): void
    {
        $this->discussion();
        $first = $this->says(0, 'The **ships** that used the light should have paid. See https://a.example/dues');
        $reply = $this->says(1, "I agree with {$this->students[0]->name}; the town gained too, so it should pay a part.", $first);
        $this->says(0, 'But the town had no means to pay in those years at all.', $reply);
        self::assertSame([1, 1, false], array_values(
            Participation::query()->findOrFail($this->script($this->talk)->id)->only('posts', 'replies', 'below'),
        ));
        self::assertSame(2, $this->ends());
        $script = $this->script($this->talk)->refresh();
        $handin = $script->currentHandin;
        self::assertFalse($handin->late);
        self::assertGreaterThan(15, $handin->words);
        self::assertStringContainsString('<aside data-around="">', $handin->html);
        self::assertStringContainsString('1. Post in “Lighthouse dues”', $handin->html);
        self::assertStringNotContainsString('town gained', $handin->text, 'none of the words of others');
        self::assertStringContainsString($this->script($this->talk, 1)->code, $handin->html);
        foreach ($this->students as $student) {
            self::assertStringNotContainsString($student->name, $handin->html);
        }
        self::assertNull($this->script($this->talk, 2)->refresh()->current_handin_id);
        self::assertSame(0, app(\App\Actions\Discuss\FreezeDueDiscussions::class)(), 'once');
    }
}
