<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Rules\SafePassword;

/**
 * A new password.
 */
final class PasswordRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $person = $this->person();

        return [
            'current_password' => ['bail', 'required', 'string', 'current_password'],
            'password' => [
                'required', 'string', 'max:200', 'confirmed', new SafePassword($person->email, $person->name),
            ],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'current_password.*' => 'This is not your password now.', 'password.required' => 'Choose a new password.',
            'password.confirmed' => 'The two new passwords are not the same.',
        ];
    }
}
