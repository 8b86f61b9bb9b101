<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Rules\SafePassword;

/**
 * A new password in place of a forgotten one, with the token of the link that was sent.
 */
final class NewPasswordRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $name = (string) User::query()->where('email', $this->address())->value('name');

        return [
            'email' => ['required', 'string', 'max:190'], 'token' => ['required', 'string', 'max:200'],
            'password' => [
                'required', 'string', 'max:200', 'confirmed', new SafePassword($this->address(), $name),
            ],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['password.confirmed' => 'The two passwords are not the same.'];
    }

    public function address(): string
    {
        return User::addressKey($this->string('email')->limit(190, '')->toString());
    }
}
