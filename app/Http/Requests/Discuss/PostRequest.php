<?php

declare(strict_types=1);

namespace App\Http\Requests\Discuss;

use App\Http\Requests\GuardedRequest;
use App\Models\Post;
use App\Models\Topic;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;

/**
 * A post or a reply in a topic, with files beside it.
 */
final class PostRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['view', $this->topic()];
    }

    public function topic(): Topic
    {
        return $this->bound('topic', Topic::class);
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'text' => ['required', 'string'], 'room' => ['nullable', 'string', 'max:60'], 'once' => ['nullable', 'uuid'],
            'answers' => ['nullable', 'uuid', Rule::exists('posts', 'public_id')->whereIn(
                'topic_id', $this->topic()->assignment->topics()->pluck('id')->all(),
            )],
            'files' => ['nullable', 'array'], 'files.*' => ['file'],
            'descriptions' => ['nullable', 'array'], 'descriptions.*' => ['nullable', 'string', 'max:500'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'text.required' => 'Write something first: there are no words in the field.',
            'answers.*' => 'What this answers is not in this discussion. Nothing was posted; your words are still in the field.',
            'files.*.uploaded' => 'A file did not arrive whole: it may be too large, or the connection broke. Nothing was posted; choose it again.',
            'descriptions.*.max' => 'What a picture shows is said in 500 characters at most.',
        ];
    }

    /** Forms send line breaks of their own kind. */
    public function text(): string
    {
        return str_replace("\r\n", "\n", $this->string('text')->toString());
    }

    public function answered(): ?Post
    {
        return $this->filled('answers') ? Post::query()->where('public_id', $this->string('answers'))->first() : null;
    }

    /**
     * @return list<array{file: UploadedFile, description: string}>
     */
    public function attached(): array
    {
        $said = (array) $this->input('descriptions', []);
        $files = [];
        foreach ((array) $this->file('files', []) as $n => $file) {
            $file instanceof UploadedFile
                && $files[] = ['file' => $file, 'description' => is_string($said[$n] ?? null) ? $said[$n] : ''];
        }

        return $files;
    }
}
