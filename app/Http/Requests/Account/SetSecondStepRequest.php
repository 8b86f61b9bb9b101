<?php

declare(strict_types=1);

namespace App\Http\Requests\Account;

/**
 * The password, and the first code that the phone shows.
 */
final class SetSecondStepRequest extends OwnPasswordRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [...parent::rules(), 'code' => ['required', 'string', 'max:40']];
    }
}
