<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Models\BankSet;

/**
 * A file of comments for a set of the bank.
 */
final class ImportCommentsRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['edit', $this->bound('set', BankSet::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:2048']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.', 'file.max' => 'The file is larger than 2 MB.',
            'file.uploaded' => 'The file did not arrive whole. Choose it again.',
        ];
    }
}
