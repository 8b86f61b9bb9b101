<?php

declare(strict_types=1);

namespace App\Http\Requests\Plan;

use App\Extraction\FileKind;
use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * A file that students begin from.
 */
final class TemplateRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('assignment', Assignment::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'template' => [
                'required', 'file', 'max:'.$most * 1024,
                'extensions:'.implode(',', [...array_column(FileKind::documents(), 'value'), 'xlsx', 'csv']),
            ],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'template.required' => 'Choose a file.', 'template.max' => "The file is larger than {$most} MB.",
            'template.uploaded' => 'The file did not arrive whole. Choose it again.',
            'template.extensions' => 'A template can be '.FileKind::documentsInWords().', or a spreadsheet as .xlsx or .csv.',
        ];
    }
}
