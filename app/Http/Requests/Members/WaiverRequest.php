<?php

declare(strict_types=1);

namespace App\Http\Requests\Members;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * That lateness does not count, and why.
 */
final class WaiverRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['waiver' => ['nullable', 'string', 'max:500'], 'take_back' => ['nullable', 'in:1']];
    }
}
