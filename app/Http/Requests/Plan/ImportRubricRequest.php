<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Plan\Concerns\NamesShelf;
use App\Models\Rubric;

/**
 * A rubric from a file or from pasted text.
 */
final class ImportRubricRequest extends GuardedRequest
{
    use NamesShelf;

    protected function guard(): array
    {
        return ['create', Rubric::class];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return $this->shelfRule() + ['file' => ['required', 'file', 'max:20480']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.max' => 'The file is larger than 20 MB; a rubric is far smaller. Nothing was taken from it.',
        ];
    }
}
