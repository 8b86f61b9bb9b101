<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Mark\Concerns\WritesBankComment;
use App\Models\BankSet;
use App\Models\Module;

/**
 * A comment for the bank, from its page or from the desk.
 */
final class NewBankCommentRequest extends GuardedRequest
{
    use WritesBankComment;

    protected function guard(): array
    {
        return ['viewAny', BankSet::class];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return $this->commentRules() + ['set' => ['required', 'string'], 'module' => ['nullable', 'string']];
    }

    public function module(): ?Module
    {
        return $this->person()->teamModules()->firstWhere('public_id', $this->validated('module') ?? '');
    }
}
