<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\ReplyThread;
use App\Models\Result;
use Illuminate\Http\UploadedFile;

/**
 * A reply: of a student on their result, or of the team in a thread.
 */
final class ReplyRequest extends GuardedRequest
{
    protected function guard(): array
    {
        $result = $this->route('result');

        return $result instanceof Result
            ? ['read', $result]
            : ['answer', $this->bound('thread', ReplyThread::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'about' => [$this->route('result') instanceof Result ? 'required' : 'nullable', 'string', 'max:60'],
            // A spoken reply needs no words.
            'body' => ['nullable', 'required_unless:kind,voice', 'string', 'max:10000'],
            'kind' => ['nullable', 'in:voice'],
            'file' => ['nullable', 'required_if:kind,voice', 'file', 'max:'.(int) config('harbor.upload.max_megabytes') * 1024],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'about.*' => 'Say what the reply is about.',
            'body.required_unless' => 'Write your reply. Nothing was sent.',
            'body.max' => 'A reply has 10,000 characters at most. Nothing was sent; what you wrote is kept in the field.',
            'file.max' => "The file is larger than {$most} MB. Nothing was sent.",
            'file.*' => 'The file did not arrive whole. Nothing was sent: choose it once more.',
        ];
    }

    public function isSpoken(): bool
    {
        return $this->input('kind') === 'voice';
    }

    public function attached(): ?UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : null;
    }
}
