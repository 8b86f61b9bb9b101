<?php

declare(strict_types=1);

namespace App\Http\Requests\Mark;

use App\Http\Requests\GuardedRequest;
use App\Http\Requests\Mark\Concerns\WritesBankComment;
use App\Models\BankComment;

/**
 * A comment of the bank as it is to read from now on.
 */
final class BankCommentRequest extends GuardedRequest
{
    use WritesBankComment;

    protected function guard(): array
    {
        return ['edit', $this->bound('comment', BankComment::class)->set];
    }

    /**
     * @return array<string, mixed>
     */
    public function rules(): array
    {
        return $this->commentRules() + ['seen' => ['required', 'integer']];
    }
}
