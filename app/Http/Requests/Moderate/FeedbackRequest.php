<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;
use Illuminate\Validation\Rule;
use YoungHarbor\Core\Marking\Feedback;
use YoungHarbor\Core\Marking\Seat;

/**
 * Whose comments the student reads.
 */
final class FeedbackRequest extends GuardedRequest
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
        return [
            'from' => ['required', 'array', 'max:3'],
            'from.*' => [Rule::in([Seat::First->value, Seat::Second->value, Seat::Third->value])],
            'own_general' => ['nullable', 'in:1'], 'general' => ['nullable', 'string', 'max:20000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['from.required' => 'Choose whose comments the student is to read.'];
    }

    public function feedback(): Feedback
    {
        return Feedback::fromArray([
            'from' => array_values(array_filter((array) $this->input('from', []), is_string(...))),
            'general' => $this->boolean('own_general') ? (string) $this->input('general') : null,
        ]);
    }
}
