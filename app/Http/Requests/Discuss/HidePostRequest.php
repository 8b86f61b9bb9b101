<?php

declare(strict_types=1);

namespace App\Http\Requests\Discuss;

use App\Http\Requests\GuardedRequest;
use App\Models\Post;

/**
 * Why a post is hidden from students; nothing when it is shown again.
 */
final class HidePostRequest extends GuardedRequest
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
        return ['show' => ['nullable', 'in:1'], 'reason' => ['required_without:show', 'nullable', 'string', 'min:5', 'max:500']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['reason.*' => 'Say in 5 to 500 characters why you hide it; its writer reads that.'];
    }

    public function reason(): ?string
    {
        return $this->boolean('show') ? null : $this->string('reason')->trim()->toString();
    }
}
