<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

/**
 * The last word before markers see names.
 */
final class RevealNamesRequest extends SureRequest
{
    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['sure.*' => 'Tick the box to say that you know this cannot be undone.'];
    }
}
