<?php

declare(strict_types=1);

namespace App\Http\Requests\ShareOut;

use App\Enums\Role;
use App\Http\Requests\GuardedRequest;
use App\Models\Membership;
use App\Models\Module;
use App\Models\User;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Validation\Rule;

/**
 * Who does not mark whose work, and why.
 */
final class ConflictRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'marker' => ['required', Rule::in($this->ids(Role::Tutor, Role::Coordinator))],
            'student' => ['required', Rule::in($this->ids(Role::Student))],
            'reason' => ['required', 'string', 'max:300'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'marker.*' => 'Choose who does not mark.', 'student.*' => 'Choose whose work it is.',
            'reason.*' => 'Say why in a few words; coordinators alone read it.',
        ];
    }

    public function marker(): User
    {
        return $this->member('marker');
    }

    public function student(): User
    {
        return $this->member('student');
    }

    private function member(string $field): User
    {
        return $this->members()->where('public_id', $this->validated($field))->firstOrFail()->user;
    }

    /**
     * @return list<string>
     */
    private function ids(Role ...$roles): array
    {
        return array_values($this->members()->whereIn('role', $roles)->pluck('public_id')->all());
    }

    /**
     * @return HasMany<Membership, Module>
     */
    private function members(): HasMany
    {
        return $this->bound('module', Module::class)->members();
    }
}
