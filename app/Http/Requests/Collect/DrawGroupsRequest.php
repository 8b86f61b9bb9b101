<?php

declare(strict_types=1);

namespace App\Http\Requests\Collect;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * How groups are drawn by lot.
 */
final class DrawGroupsRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['size' => ['required', 'integer'], 'seed' => ['required', 'integer', 'min:0', 'max:2147483647']];
    }
}
