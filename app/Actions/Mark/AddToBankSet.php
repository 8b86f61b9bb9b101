<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Puts comments into a set of the bank.
 */
final class AddToBankSet
{
    public const MOST = 2000;

    /**
     * @param  list<array{label: string, text: string, kind: string, criterion: string}>  $comments
     * @return list<BankComment> what was added; what stood there word for word already is not added again
     *
     * @throws Refused
     */
    public function __invoke(BankSet $set, array $comments, User $by): array
    {
        return DB::transaction(function () use ($set, $comments, $by): array {
            $has = $set->comments()->lockForUpdate()->pluck('text', 'id')->flip();
            throw_if(
                $has->count() + count($comments) > self::MOST,
                new Refused(
                    'A set holds '.number_format(self::MOST).' comments at most. Nothing was added; begin another set.'
                ),
            );
            $added = [];
            foreach ($comments as $one) {
                $known = $has[$one['text']] ?? null;
                if ($known !== null && count($comments) > 1) {
                    continue;
                }
                $added[] = $known !== null
                    ? BankComment::query()->findOrFail($known)
                    : $set->comments()->create([...$one, 'saved_by' => $by->id]);
            }

            return $added;
        });
    }
}
