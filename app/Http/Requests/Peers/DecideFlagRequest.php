<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\PeerReview;

/**
 * A coordinator hides a review or leaves it, and says why.
 */
final class DecideFlagRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('peer', PeerReview::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['hide' => ['required', 'in:0,1'], 'reason' => ['required', 'string', 'min:5', 'max:2000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['reason.*' => (string) __('peers.say_reason')];
    }
}
