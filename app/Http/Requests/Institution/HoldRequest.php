<?php

declare(strict_types=1);

namespace App\Http\Requests\Institution;

/**
 * Why nothing of someone is erased for now, or that it may be again.
 */
final class HoldRequest extends AdministerRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['end' => ['boolean'], 'reason' => ['required_without:end', 'nullable', 'string', 'max:500']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reason.required_without' => __('accounts.person.why'), 'reason.*' => __('accounts.person.why_short'),
        ];
    }
}
