<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Review;
use App\Models\User;

/**
 * What is done with a review: who looks at it, what they found, that the mark stands.
 */
final class TreatReviewRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return [
            $this->input('do') === 'advise' ? 'advise' : 'coordinate', $this->bound('review', Review::class),
        ];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'do' => ['required', 'in:give,advise,stands'],
            'with' => ['nullable', 'required_if:do,give', 'string', 'max:40'],
            'advice' => ['nullable', 'required_if:do,advise', 'string', 'min:10', 'max:10000'],
            'answer' => ['nullable', 'required_if:do,stands', 'string', 'min:20', 'max:10000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'do.*' => 'Choose what is to happen with the review.',
            'with.*' => 'Choose who is to look at it.',
            'advice.*' => 'Write what you found in a sentence or two. Nothing was kept.',
            'answer.*' => 'Answer the student in a sentence or two (20 letters at least): it is what they read. Nothing was decided.',
        ];
    }

    /** Someone of the module's team. */
    public function with(): ?User
    {
        $module = $this->bound('review', Review::class)->script->assignment->module;

        return User::query()->where('public_id', (string) $this->input('with'))->whereIn(
            'id', $module->members()->whereIn('role', ['tutor', 'coordinator'])->whereNull('left_at')->select('user_id'),
        )->first();
    }
}
