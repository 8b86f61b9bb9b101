<?php

declare(strict_types=1);

namespace App\Http\Requests\Moderate;

use App\Http\Requests\GuardedRequest;
use App\Models\Assignment;
use Brick\Math\BigDecimal;
use YoungHarbor\Core\Marking\SampleRule;

/**
 * A sample pack to be put together.
 */
final class MakePackRequest extends GuardedRequest
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
            'reader' => ['required', 'string', 'max:60'],
            'share' => ['required', 'integer', 'min:0', 'max:100'], 'least' => ['required', 'integer', 'min:0', 'max:500'],
            'fails' => ['nullable', 'in:1'], 'top' => ['nullable', 'in:1'], 'near' => ['nullable', 'in:1'],
            'recordings' => ['nullable', 'in:1'],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return [
            'reader.required' => 'Choose who reads and signs it.',
            'share.*' => 'The part drawn is a percentage from 0 to 100.',
            'least.*' => 'The least number is a whole number from 0 to 500.',
        ];
    }

    public function rule(): SampleRule
    {
        return new SampleRule(
            BigDecimal::of($this->integer('share'))->dividedBy(100, 2), $this->integer('least'), false,
            $this->boolean('fails'), $this->boolean('top'), $this->boolean('near') ? BigDecimal::of(2) : null,
        );
    }
}
