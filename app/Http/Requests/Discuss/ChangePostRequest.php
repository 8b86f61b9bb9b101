<?php

declare(strict_types=1);

namespace App\Http\Requests\Discuss;

use App\Http\Requests\GuardedRequest;
use App\Models\Post;

/**
 * Other words for a post.
 */
final class ChangePostRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['change', $this->bound('post', Post::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['text' => ['required', 'string'], 'seen' => ['required', 'integer']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['text.required' => 'There are no words in the field. To take the post back, choose “take back”.'];
    }

    public function text(): string
    {
        return str_replace("\r\n", "\n", $this->string('text')->toString());
    }
}
