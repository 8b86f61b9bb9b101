<?php

declare(strict_types=1);

namespace App\Http\Requests\Reflect;

use App\Http\Requests\GuardedRequest;
use App\Models\ReflectionSheet;

/**
 * What a student writes on a sheet.
 */
final class WriteSheetRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['write', $this->bound('sheet', ReflectionSheet::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['texts' => ['nullable', 'array', 'max:6'], 'texts.*' => ['nullable', 'string', 'max:20000']];
    }

    /**
     * @return list<string>
     */
    public function texts(): array
    {
        $given = (array) $this->validated('texts', []);

        return array_map(
            fn (int $n) => is_string($given[$n] ?? null) ? $given[$n] : '', range(0, 5),
        );
    }
}
