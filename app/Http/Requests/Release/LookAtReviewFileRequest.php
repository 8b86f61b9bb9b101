<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Review;

/**
 * Why someone opens what is attached to a review before names are revealed.
 */
final class LookAtReviewFileRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['lookAtFile', $this->bound('review', Review::class)];
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
        return ['reason.*' => (string) __('reviews.why_look')];
    }
}
