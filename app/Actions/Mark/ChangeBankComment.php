<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Models\BankComment;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Changes a comment of the bank.
 */
final class ChangeBankComment
{
    /**
     * @param  array{label: string, text: string, kind: string, criterion: string}  $fields
     *
     * @throws Refused when someone else changed it since it was looked at
     */
    public function __invoke(BankComment $comment, array $fields, int $seen, User $by): void
    {
        DB::transaction(function () use ($comment, $fields, $seen, $by): void {
            $stored = BankComment::query()->lockForUpdate()->findOrFail($comment->id);
            throw_if(
                $stored->lock_version !== $seen,
                new Refused(
                    "Someone changed “{$stored->label}” while you were at it. It now reads: “{$stored->text}”. Your words are still in the field; save again to put them in its place.",
                    'text',
                ),
            );
            $stored->update([...$fields, 'saved_by' => $by->id, 'lock_version' => $seen + 1]);
        });
    }
}
