<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Models\Script;

/**
 * A mark set by a coordinator who marked neither.
 */
final class DecideMarkRequest extends OfferRequest
{
    protected function guard(): array
    {
        return ['decide', $this->bound('script', Script::class)];
    }
}
