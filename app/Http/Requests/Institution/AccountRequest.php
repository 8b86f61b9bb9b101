<?php

declare(strict_types=1);

namespace App\Http\Requests\Institution;

use App\Models\User;
use Closure;

/**
 * Name, address and number of an account.
 */
final class AccountRequest extends AdministerRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $user = $this->bound('user', User::class);
        $free = function (string $column) use ($user): Closure {
            return function (string $field, mixed $value, Closure $fail) use ($column, $user): void {
                $key = $column === 'email' ? User::addressKey((string) $value) : (string) $value;
                User::query()->where($column, $key)->whereKeyNot($user->id)->exists()
                    && $fail(__("accounts.person.{$column}_taken"));
            };
        };

        return [
            'name' => ['required', 'string', 'max:150'], 'given_name' => ['nullable', 'string', 'max:75'],
            'family_name' => ['nullable', 'string', 'max:75'],
            'email' => ['bail', 'required', 'string', 'email', 'max:190', $free('email')],
            'number' => ['bail', 'nullable', 'string', 'max:40', $free('number')],
            'seen' => ['required', 'string', 'size:64'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'name.*' => __('accounts.person.name_fault'), 'given_name.*' => __('accounts.person.part_fault'),
            'family_name.*' => __('accounts.person.part_fault'), 'email.email' => __('accounts.person.email_fault'),
            'email.required' => __('accounts.person.email_fault'), 'email.max' => __('accounts.person.email_fault'),
            'number.max' => __('accounts.person.number_fault'),
        ];
    }

    /**
     * @return array<string, string|null>
     */
    public function fields(): array
    {
        $text = fn (string $key): ?string => ($value = $this->string($key)->trim()->toString()) === '' ? null : $value;

        return [
            'name' => (string) $text('name'), 'given_name' => $text('given_name'),
            'family_name' => $text('family_name'), 'email' => User::addressKey((string) $text('email')),
            'number' => $text('number'),
        ];
    }
}
