<?php

declare(strict_types=1);

namespace App\Http\Requests\Members;

use App\Enums\Role;
use App\Http\Requests\GuardedRequest;
use App\Models\Membership;

/**
 * A comment on a student's work in a module as a whole.
 */
final class MemberNoteRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('member', Membership::class)->module];
    }

    protected function prepareForValidation(): void
    {
        abort_if($this->bound('member', Membership::class)->role !== Role::Student, 422);
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['note' => ['required', 'string', 'min:3', 'max:5000'], 'student_reads' => ['nullable', 'in:0,1']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'note.max' => 'It has 5,000 characters at most. Nothing was kept on the server; what you wrote stands in the field.',
            'note.*' => 'Write something first.',
        ];
    }
}
