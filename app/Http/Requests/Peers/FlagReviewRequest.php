<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Enums\WhyFlagged;
use App\Http\Requests\GuardedRequest;
use App\Models\PeerReview;
use Illuminate\Validation\Rule;

/**
 * What an author finds wrong with a review of their work.
 */
final class FlagReviewRequest extends GuardedRequest
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
        return [
            'why' => ['required', Rule::enum(WhyFlagged::class)],
            'text' => ['nullable', 'required_if:why,other', 'string', 'max:2000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['why.required' => (string) __('peers.say_wrong'), 'text.required_if' => (string) __('peers.say_more')];
    }

    public function why(): WhyFlagged
    {
        return WhyFlagged::from($this->string('why')->toString());
    }
}
