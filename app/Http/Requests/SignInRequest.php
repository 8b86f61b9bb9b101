<?php

declare(strict_types=1);

namespace App\Http\Requests;

/**
 * Who signs in.
 */
final class SignInRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:190'], 'password' => ['required', 'string', 'max:200']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['email.*' => 'Write the e-mail address of your account.', 'password.*' => 'Write your password.'];
    }
}
