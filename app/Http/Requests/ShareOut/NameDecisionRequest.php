<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * Whether a family name in a script is hidden.
 */
final class NameDecisionRequest extends GuardedRequest
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
        return ['what' => ['required', 'in:hide,leave']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['what.*' => 'Choose whether the name is hidden or left.'];
    }
}
