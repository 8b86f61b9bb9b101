<?php

declare(strict_types=1);

namespace App\Http\Requests\Discuss;

use App\Http\Requests\GuardedRequest;
use App\Models\Post;
use App\Models\Topic;
use Illuminate\Validation\Rule;

/**
 * To which topic a thread goes.
 */
final class MovePostRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('post', Post::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $assignment = $this->bound('post', Post::class)->topic->assignment_id;

        return ['topic' => ['required', Rule::exists('topics', 'public_id')->where('assignment_id', $assignment)]];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['topic.*' => 'Choose a topic of this discussion.'];
    }

    public function topic(): Topic
    {
        return Topic::query()->where('public_id', $this->string('topic'))->firstOrFail();
    }
}
