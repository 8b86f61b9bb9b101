<?php

declare(strict_types=1);

namespace App\Http\Requests\Collect;

use App\Actions\Collect\TakePiece;
use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * A file that comes in pieces: what it is, and the piece.
 */
final class UploadRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['sendWork', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:1000'],
            'bytes' => ['required', 'integer', 'min:1', 'max:'.$this->bound('assignment', Assignment::class)->max_megabytes * 1_048_576],
            'sha256' => ['required', 'regex:/\A[0-9a-f]{64}\z/'],
            'piece' => ['nullable', 'file', 'max:'.TakePiece::MOST / 1024],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'bytes.min' => 'This file is empty (0 bytes). Choose the file again after saving it in your writing program.',
            'bytes.max' => "This file is larger than the {$this->bound('assignment', Assignment::class)->max_megabytes} MB this assignment takes, so it was not sent.",
        ];
    }
}
