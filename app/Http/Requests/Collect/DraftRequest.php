<?php

declare(strict_types=1);

namespace App\Http\Requests\Collect;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * A draft that is to be checked.
 */
final class DraftRequest extends GuardedRequest
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
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'draft' => ['nullable', 'array', 'required_without:draft_text'], 'draft.*' => ['file', 'max:'.$most * 1024],
            'draft_text' => ['nullable', 'string', 'max:400000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'draft.required_without' => 'Choose a draft, or paste its text.',
            'draft.*.max' => "A file is larger than {$most} MB.",
            'draft.*.uploaded' => 'The file did not arrive whole. Choose it again.',
        ];
    }
}
