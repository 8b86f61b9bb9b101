<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Http\Requests\GuardedRequest;
use App\Models\WritingText;

/**
 * Why a text is taken out of a baseline.
 */
final class TakeOutTextRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('text', WritingText::class)->baseline->module];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['reason' => ['required', 'string', 'max:300']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['reason.required' => 'Say why it is taken out. Nothing was changed.'];
    }
}
