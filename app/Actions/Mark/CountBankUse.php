<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Models\BankComment;

/**
 * Counts how often a comment of the bank is used; the often used stand first.
 */
final class CountBankUse
{
    public function __invoke(BankComment $comment): void
    {
        BankComment::query()->whereKey($comment->id)->increment('used');
    }
}
