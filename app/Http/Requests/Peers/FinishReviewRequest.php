<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\PeerReview;

/**
 * A review is done, or sent as it is after something was pointed out.
 */
final class FinishReviewRequest extends GuardedRequest
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
        return ['as_it_is' => ['nullable', 'in:0,1']];
    }
}
