<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;

/**
 * Light, dark, or as the device has it.
 */
final class ThemeRequest extends GuardedRequest
{
    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['theme' => ['required', Rule::in(['device', 'light', 'dark'])]];
    }
}
