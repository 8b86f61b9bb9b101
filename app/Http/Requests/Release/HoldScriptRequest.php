<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Script;

/**
 * Why a script is held, or that it is let go.
 */
final class HoldScriptRequest extends GuardedRequest
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
        $letGo = $this->input('let_go') === '1';

        return ['reason' => [$letGo ? 'nullable' : 'required', 'string', 'min:5', 'max:500']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['reason.*' => 'Say in a few words why it is held (5 letters at least); it is written in the logbook.'];
    }
}
