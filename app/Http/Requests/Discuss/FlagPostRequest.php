<?php

declare(strict_types=1);

namespace App\Http\Requests\Discuss;

use App\Http\Requests\GuardedRequest;
use App\Models\Post;

/**
 * What is wrong with a post, in a reader's words.
 */
final class FlagPostRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['flag', $this->bound('post', Post::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'min:5', 'max:500']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['reason.*' => 'Say in 5 to 500 characters what is wrong with it; only coordinators read that.'];
    }
}
