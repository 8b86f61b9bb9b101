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
 * Deletes a comment of the bank for now; it can be brought back.
 */
final class DeleteBankComment
{
    use LogsBankComment;

    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(BankComment $comment, User $by): void
    {
        DB::transaction(function () use ($comment, $by): void {
            $comment->delete();
            $this->log(LogEvent::BankCommentDeleted, $comment, $by);
        });
    }
}
