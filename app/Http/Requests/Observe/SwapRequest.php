<?php

declare(strict_types=1);

namespace App\Http\Requests\Observe;

use App\Http\Requests\GuardedRequest;
use App\Models\Slot;
use Illuminate\Validation\Rule;

/**
 * With whom a student wants to swap slots.
 */
final class SwapRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['swap', $this->slot()];
    }

    public function slot(): Slot
    {
        return $this->bound('slot', Slot::class);
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'other' => [
                'required', Rule::exists('slots', 'public_id')->where('assignment_id', $this->slot()->assignment_id)->whereNotNull('published_at'),
            ],
            'words' => ['nullable', 'string', 'max:500'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['other.*' => 'Choose a slot from the list.', 'words.*' => 'Write 500 characters at most.'];
    }

    public function other(): Slot
    {
        return Slot::query()->where('public_id', $this->string('other'))->firstOrFail();
    }
}
