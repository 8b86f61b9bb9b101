<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Models\Mark;

/**
 * Acts at the desk that have waited for a connection.
 */
final class SyncRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['write', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'changes' => ['present', 'array', 'max:200'], 'changes.*' => ['array'],
            'changes.*.key' => ['required', 'string', 'max:120'],
            'place' => ['nullable', 'array'], 'place.y' => ['nullable', 'numeric', 'min:0', 'max:100000000'],
            'place.view' => ['nullable', 'string', 'max:20'],
            'place.page' => ['nullable', 'integer', 'min:1', 'max:10000'],
            'place.criterion' => ['nullable', 'string', 'max:100'],
            'active' => ['nullable', 'integer', 'min:0', 'max:86400'],
        ];
    }
}
