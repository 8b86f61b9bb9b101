<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Models\Mark;

/**
 * A recording or a file that goes with a mark.
 */
final class AttachmentRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['open', $this->bound('mark', Mark::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');
        $field = $this->input('kind') === 'file' ? 'file' : 'recording';

        return [
            'kind' => ['required', 'in:voice,video,file'], $field => ['required', 'file', 'max:'.$most * 1024],
            'criterion' => ['nullable', 'string', 'max:100'], 'seconds' => ['nullable', 'numeric'],
            'written' => ['nullable', 'string', 'max:5000'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');
        $field = $this->input('kind') === 'file' ? 'file' : 'recording';

        return [
            "{$field}.required" => 'Choose a file.',
            "{$field}.max" => "It is larger than {$most} MB, which is more than is kept.",
            "{$field}.uploaded" => 'It did not arrive whole. Send it once more.',
        ];
    }
}
