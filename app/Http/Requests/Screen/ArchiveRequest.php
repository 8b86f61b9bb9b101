<?php

declare(strict_types=1);

namespace App\Http\Requests\Screen;

use App\Http\Requests\GuardedRequest;
use App\Models\Module;

/**
 * Texts of earlier cohorts for the archive.
 */
final class ArchiveRequest extends GuardedRequest
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
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'title' => ['required', 'string', 'max:200'], 'cohort' => ['required', 'string', 'max:60'],
            'texts' => ['required', 'array', 'max:150'], 'texts.*' => ['file', 'max:'.$most * 1024],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'title.required' => 'Say what the texts were written for.',
            'cohort.required' => 'Say when, such as “2024/25”.', 'texts.required' => 'Choose at least one file.',
            'texts.max' => 'Choose at most 150 files at a time, 30 MB together; none of these was added.',
            'texts.*.max' => "A file is larger than {$most} MB.",
            'texts.*.uploaded' => 'A file did not arrive whole. Choose it again.',
        ];
    }
}
