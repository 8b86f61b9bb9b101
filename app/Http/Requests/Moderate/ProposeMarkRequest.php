<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * A mark proposed to the other marker.
 */
final class ProposeMarkRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['settle', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['mark' => ['required', 'string', 'max:10'], 'reason' => ['required', 'string', 'min:10', 'max:4000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reason.*' => 'Write the reason in a sentence (10 letters at least): the other marker, the examiner and the student’s working will show it.',
        ];
    }
}
