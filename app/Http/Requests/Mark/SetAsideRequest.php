<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Models\Mark;

/**
 * A note on a script that is set aside.
 */
final class SetAsideRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['open', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'max:300']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['reason.*' => 'Say in a few words why, so that you know when you come back. Everything else is kept.'];
    }
}
