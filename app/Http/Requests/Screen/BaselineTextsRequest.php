<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Http\Requests\GuardedRequest;
use App\Models\WritingBaseline;

/**
 * Texts that are trusted, from files or from the archive.
 */
final class BaselineTextsRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('baseline', WritingBaseline::class)->module];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'archive' => ['nullable', 'string', 'max:500'],
            'title' => ['required_without:archive', 'nullable', 'string', 'max:200'],
            'texts' => ['required_without:archive', 'nullable', 'array', 'max:150'],
            'texts.*' => ['file', 'max:'.$most * 1024],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'title.required_without' => 'Say where the texts come from, such as “Supervised writing, October 2025”.',
            'texts.required_without' => 'Choose at least one file.',
            'texts.max' => 'Choose at most 150 files at a time, 30 MB together; none of these was added.',
            'texts.*.max' => "A file is larger than {$most} MB.",
            'texts.*.uploaded' => 'A file did not arrive whole. Choose it again.',
        ];
    }
}
