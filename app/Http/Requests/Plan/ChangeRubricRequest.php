<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Actions\Plan\ChangeAssignmentRubric;
use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use Illuminate\Validation\Rule;

/**
 * The version of a rubric that an assignment is to be marked by.
 */
final class ChangeRubricRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'marks' => ['required', Rule::in(array_keys(ChangeAssignmentRubric::CHOICES))],
            'to' => ['required', 'integer'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['marks.required' => 'Choose what happens to the marks that are begun.'];
    }
}
