<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\SamplePack;

/**
 * Sending a pack to its reader.
 */
final class SendPackRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('pack', SamplePack::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['letter' => ['nullable', 'string', 'max:4000']];
    }
}
