<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\IndividualCase;

/**
 * Why something that was decided for one student alone no longer holds.
 */
final class EndCaseRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('case', IndividualCase::class)->script];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['ended_reason' => ['required', 'string', 'min:5', 'max:1000']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['ended_reason.*' => 'Say why it no longer holds. Nothing was changed.'];
    }
}
