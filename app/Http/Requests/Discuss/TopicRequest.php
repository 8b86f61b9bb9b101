<?php

declare(strict_types=1);

namespace App\Http\Requests\Discuss;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use App\Models\Topic;

/**
 * A topic of a discussion: its title and what students are asked.
 */
final class TopicRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->assignment()];
    }

    public function assignment(): Assignment
    {
        $topic = $this->route('topic');

        return $topic instanceof Topic ? $topic->assignment : $this->bound('assignment', Assignment::class);
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['title' => ['required', 'string', 'max:200'], 'prompt' => ['required', 'string', 'max:10000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'title.*' => 'A topic has a title of 1 to 200 characters.',
            'prompt.*' => 'Say in 1 to 10,000 characters what students are to write about.',
        ];
    }
}
