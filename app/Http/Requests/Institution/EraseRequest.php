<?php

declare(strict_types=1);

namespace App\Http\Requests\Institution;

use App\Models\User;
use Closure;

/**
 * On whose word someone is erased, and their name written once more.
 */
final class EraseRequest extends AdministerRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $user = $this->bound('user', User::class);

        return [
            'reason' => ['required', 'string', 'max:400'],
            'confirm' => ['required', 'string', function (string $field, mixed $value, Closure $fail) use ($user): void {
                trim((string) $value) === $user->name || $fail(__('keeping.erase.confirm_fault'));
            }],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reason.required' => __('accounts.person.why'), 'reason.*' => __('accounts.person.why_short'),
            'confirm.required' => __('keeping.erase.confirm_fault'), 'confirm.string' => __('keeping.erase.confirm_fault'),
        ];
    }
}
