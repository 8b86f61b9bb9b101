<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

use App\Http\Requests\GuardedRequest;

/**
 * A code at sign-in.
 */
final class CodeRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:40']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['code.*' => __('accounts.second.write_code')];
    }
}
