<?php

declare(strict_types=1);

namespace App\Http\Requests\Collect;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * A mail to the students a cohort page shows.
 */
final class MessageRequest extends GuardedRequest
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
            'subject' => ['required', 'string', 'max:200', 'not_regex:/[\r\n]/'],
            'body' => ['required', 'string', 'max:10000'], 'seen' => ['nullable', 'integer'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['subject.required' => 'Write a subject.', 'body.required' => 'Write what they should read.'];
    }
}
