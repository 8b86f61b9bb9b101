<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Actions\Mark\Concerns\LogsBankComment;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\BankComment;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Brings a deleted comment of the bank back.
 */
final class BringBankCommentBack
{
    use LogsBankComment;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(BankComment $comment, User $by): void
    {
        DB::transaction(function () use ($comment, $by): void {
            $comment->restore();
            $this->log(LogEvent::BankCommentBack, $comment, $by);
        });
    }
}
