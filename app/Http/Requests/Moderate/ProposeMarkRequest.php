<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Models\Script;

/**
 * A mark proposed to the other marker.
 */
final class ProposeMarkRequest extends OfferRequest
{
    protected function guard(): array
    {
        return ['settle', $this->bound('script', Script::class)];
    }
}
