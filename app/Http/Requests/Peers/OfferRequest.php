<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Actions\Peers\OfferReviews;
use App\Http\Requests\GuardedRequest;
use App\Models\Round;

/**
 * How many reviews a student would write besides.
 */
final class OfferRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['take', $this->bound('round', Round::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['extra' => ['required', 'integer', 'min:0', 'max:'.OfferReviews::MOST]];
    }
}
