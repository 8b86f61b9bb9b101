<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Enums\ConversationFinding;
use App\Http\Requests\GuardedRequest;
use App\Models\Script;
use Illuminate\Validation\Rule;

/**
 * An entry in the conversation record.
 */
final class ConversationRequest extends GuardedRequest
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
            'found' => ['required', Rule::enum(ConversationFinding::class)],
            'why' => ['required', 'string', 'max:5000'],
            'run' => ['nullable', 'integer', 'min:1'], 'hold' => ['nullable', 'in:0,1'],
            'questions' => ['nullable', 'string', 'max:3000'], 'student_sees' => ['nullable', 'in:0,1'],
            'evidence' => ['nullable', 'array'], 'evidence.*' => ['in:overlap,writing'],
            'from' => ['nullable', 'in:overlap,writing'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'questions.max' => 'Questions have at most 3,000 characters.',
            'found.required' => 'Choose what you found. Nothing was written yet.',
            'why.required' => 'Say what you saw and why you think so. Nothing was written yet.',
            'why.max' => 'An entry has at most 5,000 characters.',
        ];
    }
}
