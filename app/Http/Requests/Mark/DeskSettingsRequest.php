<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use Closure;

/**
 * How one person’s desk is laid out, and its keys.
 */
final class DeskSettingsRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'keys' => ['nullable', 'array', $this->eachKeyOnce(...)], 'keys.*' => ['nullable', 'string', 'max:1'],
            'side' => ['nullable', 'integer', 'min:300', 'max:3000'],
        ];
    }

    private function eachKeyOnce(string $field, mixed $keys, Closure $fail): void
    {
        $given = array_filter(
            is_array($keys) ? $keys : [], fn (mixed $key) => is_string($key) && $key !== '',
        );
        $twice = array_filter(array_count_values($given), fn (int $times) => $times > 1);
        if ($twice !== []) {
            $fail('Two commands have the same key: '.implode(', ', array_keys($twice)).'. Nothing was changed.');
        }
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['keys.*.max' => 'A key is one character.'];
    }
}
