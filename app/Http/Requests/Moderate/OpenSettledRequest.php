<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * Opening a settled script again.
 */
final class OpenSettledRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['openSettled', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['why' => ['required', 'string', 'min:10', 'max:4000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['why.*' => 'Say in a sentence why it is opened again: the other marker and the examiner read it.'];
    }
}
