<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Http\Requests\GuardedRequest;
use App\Models\Module;
use App\Models\OverlapSource;

/**
 * Why a text is taken out of the archive.
 */
final class TakeOutSourceRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', Module::query()->findOrFail($this->bound('source', OverlapSource::class)->module_id)];
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
