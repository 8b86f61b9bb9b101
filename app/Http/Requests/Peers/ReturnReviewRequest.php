<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Enums\WhyReturned;
use App\Http\Requests\GuardedRequest;
use App\Models\PeerReview;
use Illuminate\Validation\Rule;

/**
 * Why someone cannot review a work.
 */
final class ReturnReviewRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['write', $this->bound('peer', PeerReview::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'why' => ['required', Rule::enum(WhyReturned::class)],
            'text' => ['nullable', 'required_if:why,worries,other', 'string', 'max:2000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['why.required' => (string) __('peers.say_why'), 'text.required_if' => (string) __('peers.say_more')];
    }

    public function why(): WhyReturned
    {
        return WhyReturned::from($this->string('why')->toString());
    }
}
