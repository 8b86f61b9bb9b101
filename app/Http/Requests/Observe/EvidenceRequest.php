<?php

declare(strict_types=1);

namespace App\Http\Requests\Observe;

use App\Http\Requests\GuardedRequest;
use App\Models\Mark;

/**
 * A photo, a sound or a file from an observer's device.
 */
final class EvidenceRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['observe', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['id' => ['required', 'uuid'], 'file' => ['required', 'file']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['file.*' => 'The file did not arrive whole; it is sent again.'];
    }
}
