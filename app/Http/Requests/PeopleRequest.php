<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\Role;
use App\Models\Module;
use Illuminate\Validation\Rule;

/**
 * People added to a module by lines.
 */
final class PeopleRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['addPeople', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'role' => ['required', Rule::enum(Role::class)],
            'lines' => ['required', 'string', 'max:100000'],
        ];
    }
}
