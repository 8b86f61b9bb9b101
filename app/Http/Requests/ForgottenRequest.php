<?php

declare(strict_types=1);

namespace App\Http\Requests;

/**
 * The address a new password is asked for.
 */
final class ForgottenRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'max:190']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['email.*' => 'Write the e-mail address that your account has.'];
    }
}
