<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\PeerReview;

/**
 * How useful a review was to its author, and what they will do with it.
 */
final class AnswerReviewRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['read', $this->bound('peer', PeerReview::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['useful' => ['required', 'in:0,1,2'], 'answer' => ['nullable', 'string', 'max:5000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['useful.required' => (string) __('peers.say_useful')];
    }

    /**
     * @return int<0, 2>
     */
    public function useful(): int
    {
        return max(0, min(2, $this->integer('useful')));
    }
}
