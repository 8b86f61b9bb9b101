<?php

declare(strict_types=1);

namespace App\Http\Requests\Peers;

use App\Http\Requests\GuardedRequest;
use App\Models\Contribution;
use App\Models\User;
use Brick\Math\BigDecimal;

/**
 * What the mark of one member of a group is multiplied by, set by a coordinator; empty: what was worked out.
 */
final class MultiplierRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('contribution', Contribution::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'member' => ['required', 'string'],
            'times' => ['nullable', 'string', 'regex:/^(?:[0-2](?:[.,]\d{1,3})?|3(?:[.,]0{1,3})?)$/'],
            'reason' => ['required', 'string', 'min:5', 'max:2000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['times.*' => (string) __('contribution.say_times'), 'reason.*' => (string) __('contribution.say_reason')];
    }

    public function member(): User
    {
        return User::query()->where('public_id', $this->string('member')->toString())->firstOrFail();
    }

    public function instead(): ?BigDecimal
    {
        $times = $this->validated('times');

        return is_string($times) && $times !== '' ? BigDecimal::of(strtr($times, [',' => '.'])) : null;
    }
}
