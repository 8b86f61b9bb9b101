<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;

/**
 * Which results go out: all that are ready, or those ticked.
 */
final class ReleaseResultsRequest extends GuardedRequest
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
        return [
            'which' => ['required', 'in:all,some'],
            'scripts' => ['array', 'required_if:which,some'],
            'scripts.*' => ['string', 'max:20'],
            'expected' => ['nullable', 'integer'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['scripts.required_if' => 'Choose the scripts to release in the list, or release all that are ready.'];
    }
}
