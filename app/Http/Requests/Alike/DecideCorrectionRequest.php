<?php

declare(strict_types=1);

namespace App\Http\Requests\Alike;

use App\Http\Requests\GuardedRequest;
use App\Models\Correction;

/**
 * Approving, refusing or taking back a correction.
 */
final class DecideCorrectionRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['correct', $this->bound('correction', Correction::class)->assignment];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'decision' => ['required', 'in:approve,refuse,take-back'],
            'reason' => ['nullable', 'required_unless:decision,approve', 'string', 'min:10', 'max:1000'],
            'digest' => ['nullable', 'required_if:decision,approve', 'string', 'size:64'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'decision.*' => 'Choose what is to happen with the correction.',
            'reason.*' => 'Say in a sentence why: the logbook and whoever asked read it. Nothing was changed.',
            'digest.*' => 'Look at what it would do first, and approve from there.',
        ];
    }
}
