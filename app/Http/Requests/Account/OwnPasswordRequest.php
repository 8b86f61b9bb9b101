<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Http\Requests\GuardedRequest;

/**
 * What needs the password once more: whoever finds a browser that is signed in cannot do it.
 */
class OwnPasswordRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['current_password' => ['bail', 'required', 'string', 'max:200', 'current_password']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['current_password.*' => __('accounts.not_your_password'), 'code.*' => __('accounts.second.write_code')];
    }
}
