<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Enums\ReviewGround;
use App\Http\Requests\GuardedRequest;
use App\Models\Result;
use Illuminate\Validation\Rule;

/**
 * Why a student wants their mark looked at again.
 */
final class ReviewRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['read', $this->bound('result', Result::class)];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'ground' => ['required', Rule::enum(ReviewGround::class)],
            'text' => ['required', 'string', 'min:20', 'max:10000'],
            'file' => ['nullable', 'file', 'max:'.(int) config('harbor.upload.max_megabytes') * 1024],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        $most = (int) config('harbor.upload.max_megabytes');

        return [
            'ground.*' => 'Choose why. Nothing was sent.',
            'text.max' => 'Say it in 10,000 characters at most; what you wrote is kept here. A longer statement can be attached.',
            'text.*' => 'Say in a few sentences what is to be looked at (20 letters at least). Nothing was sent.',
            'file.max' => "The file is larger than {$most} MB. Nothing was sent.",
            'file.*' => 'The file did not arrive whole. Nothing was sent: choose it once more.',
        ];
    }
}
