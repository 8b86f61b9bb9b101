<?php

declare(strict_types=1);

namespace App\Http\Requests\Release;

use App\Http\Requests\GuardedRequest;
use App\Models\Release;
use App\Wording\LocalTime;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Validator;
use InvalidArgumentException;

/**
 * Another time for results to go out, or none.
 */
final class ChangeReleaseRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['coordinate', $this->bound('release', Release::class)->assignment];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return ['stop' => ['nullable', 'in:1'], 'at' => ['nullable', 'required_without:stop', 'string', 'max:20']];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['at.*' => 'Say when the results are to go out. It stays set as it was.'];
    }

    protected function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            try {
                $this->at();
            } catch (InvalidArgumentException $e) {
                $validator->errors()->add('at', "Not moved: {$e->getMessage()}. It stays set as it was.");
            }
        });
    }

    /** The new time; null stops it. */
    public function at(): ?Carbon
    {
        return $this->boolean('stop') ? null : LocalTime::parse($this->string('at')->toString());
    }
}
