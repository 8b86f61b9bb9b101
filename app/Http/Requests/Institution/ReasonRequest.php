<?php

declare(strict_types=1);

namespace App\Http\Requests\Institution;

/**
 * Something an administrator does to an account, with the reason for it.
 */
final class ReasonRequest extends AdministerRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'max:500'], 'close' => ['boolean']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reason.required' => __('accounts.person.why'), 'reason.*' => __('accounts.person.why_short'),
        ];
    }

    public function reason(): string
    {
        return $this->string('reason')->trim()->toString();
    }
}
