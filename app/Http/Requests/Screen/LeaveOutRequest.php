<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Enums\LeftOutBy;
use App\Http\Requests\GuardedRequest;
use App\Models\Script;
use Illuminate\Validation\Rule;

/**
 * What a reader leaves out of a report’s figures.
 */
final class LeaveOutRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['viewOverlap', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'what' => ['required', Rule::enum(LeftOutBy::class)], 'reason' => ['required', 'string', 'max:300'],
            'source' => ['nullable', 'uuid'],
            'from' => ['nullable', 'integer', 'min:0'], 'to' => ['nullable', 'integer', 'min:0'],
            'leave_out' => ['nullable', 'in:0,1'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reason.required' => 'Say in a few words why: the report keeps it for whoever reads it next. Nothing was changed.',
            'reason.max' => 'A reason has at most 300 characters.', 'from.*' => 'Give a whole number of words.',
        ];
    }
}
