<?php

declare(strict_types=1);

namespace App\Http\Requests\Collect;

use App\Http\Requests\GuardedRequest;
use App\Models\FirstFeedback;

/**
 * Which remarks on a draft its student used, and whether staff may read them.
 */
final class FirstFeedbackRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['view', $this->bound('feedback', FirstFeedback::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'used' => ['nullable', 'array', 'max:60'], 'used.*' => ['integer', 'min:0', 'max:59'],
            'share' => ['nullable', 'in:0,1'],
        ];
    }

    /**
     * @return list<int>
     */
    public function used(): array
    {
        return array_values(array_map(intval(...), (array) $this->validated('used', [])));
    }
}
