<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * Why someone looks at the name behind a code.
 */
final class LookAtNameRequest extends GuardedRequest
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
        return ['reason' => ['required', 'string', 'min:5', 'max:500']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reason.*' => 'Say in a few words (5 letters at least) why you need the name; it is written in the logbook.',
        ];
    }
}
