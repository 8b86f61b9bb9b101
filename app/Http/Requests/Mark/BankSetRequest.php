<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Models\BankSet;
use App\Models\Module;
use Illuminate\Validation\Rule;

/**
 * A new set of the bank: one's own, or shared with the team of a module.
 */
final class BankSetRequest extends GuardedRequest
{
    protected function guard(): array
    {
        return ['viewAny', BankSet::class];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:120'],
            'module' => ['nullable', Rule::in($this->person()->teamModules()->pluck('public_id'))],
        ];
    }

    /**
     * @return array<string, string>
     */
    public function messages(): array
    {
        return ['title.required' => 'Give the set a name.'];
    }

    public function module(): ?Module
    {
        return $this->person()->teamModules()->firstWhere('public_id', $this->validated('module') ?? '');
    }
}
