<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * A message among those who settle a script.
 */
final class SayRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['say', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['body' => ['required', 'string', 'max:4000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['body.required' => 'Write something first.', 'body.max' => 'A message has at most 4,000 letters; it is still in the field.'];
    }
}
