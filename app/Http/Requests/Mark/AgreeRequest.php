<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Models\Mark;

/**
 * Agreeing with the first mark as it was read.
 */
final class AgreeRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['open', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['seen' => ['required', 'integer', 'min:1']];
    }
}
