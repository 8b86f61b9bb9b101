<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Module;

/**
 * The days a module is closed, one to a line.
 */
final class ClosureDaysRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('module', Module::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['lines' => ['nullable', 'string', 'max:20000']];
    }
}
