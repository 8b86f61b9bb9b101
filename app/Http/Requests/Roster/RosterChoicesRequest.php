<?php

declare(strict_types=1);

namespace App\Http\Requests\Roster;

use App\Http\Requests\GuardedRequest;
use App\Models\RosterImport;
use Illuminate\Validation\Rule;

/**
 * How a roster file is read.
 */
final class RosterChoicesRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['addPeople', $this->bound('import', RosterImport::class)->module];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'columns' => ['nullable', 'array'], 'columns.*' => ['nullable', 'integer', 'min:0', 'max:500'],
            'role' => ['nullable', 'in:student,tutor'], 'roles' => ['nullable', 'array', 'max:40'],
            'roles.*' => ['nullable', 'in:coordinator,tutor,examiner,student,skip'],
            'classes' => ['nullable', 'array', 'max:2000'], 'classes.*' => ['string', 'max:200'],
            'complete' => ['nullable', 'in:1'],
            'groups' => [
                'bail', 'nullable', 'string',
                Rule::exists('assignments', 'public_id')->where('module_id', $this->bound('import', RosterImport::class)->module_id),
            ],
        ];
    }
}
