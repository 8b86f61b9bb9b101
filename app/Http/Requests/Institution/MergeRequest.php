<?php

declare(strict_types=1);

namespace App\Http\Requests\Institution;

/**
 * Which account goes, and how one knows that both are one person's.
 */
final class MergeRequest extends AdministerRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['gone' => ['required', 'uuid'], 'reason' => ['required', 'string', 'max:500']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reason.required' => __('accounts.merge.why'), 'reason.*' => __('accounts.person.why_short'),
            'gone.*' => __('accounts.merge.nobody'),
        ];
    }
}
