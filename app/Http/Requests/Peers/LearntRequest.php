<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\PeerReview;

/**
 * What a student learnt from rating their own work.
 */
final class LearntRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['learn', $this->bound('peer', PeerReview::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['learnt' => ['nullable', 'string', 'max:5000']];
    }
}
