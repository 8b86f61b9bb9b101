<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Enums\PackRequest;
use App\Http\Requests\GuardedRequest;
use App\Models\SamplePack;
use Illuminate\Validation\Rule;

/**
 * A note of the reader, or what they ask for.
 */
final class SayOnPackRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['sign', $this->bound('pack', SamplePack::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'body' => ['required', 'string', 'max:8000'], 'script' => ['nullable', 'string', 'max:20'],
            'asks_for' => ['nullable', Rule::enum(PackRequest::class)],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['body.required' => 'Write something first.'];
    }
}
