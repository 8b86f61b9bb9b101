<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * Who else may see a conversation record.
 */
final class ShareRecordRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('script', Script::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['who' => ['required', 'uuid']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['who.*' => 'Choose someone.'];
    }
}
