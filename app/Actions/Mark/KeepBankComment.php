<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Exceptions\Refused;
use App\Models\BankComment;
use App\Models\BankSet;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Keeps a comment in a set of the bank, which is made when it is the first.
 */
final class KeepBankComment
{
    public function __construct(
        private readonly MakeBankSet $make,
        private readonly AddToBankSet $add,
    ) {
    }

    /**
     * @param  string  $set  a set's public id, or "own" or "team" for a new one
     * @param  array{label: string, text: string, kind: string, criterion: string}  $fields
     *
     * @throws Refused
     */
    public function __invoke(string $set, ?Module $module, array $fields, User $by): BankComment
    {
        return DB::transaction(function () use ($set, $module, $fields, $by): BankComment {
            $into = match ($set) {
                'own' => ($this->make)(null, 'My comments', $by),
                'team' => ($this->make)(
                    $module ?? throw new Refused('Choose the module whose team shares the set.'),
                    'Comments of the team', $by,
                ),
                default => BankSet::of($by)->where('public_id', $set)
                    ->first()
                        ?? throw new Refused('There is no such set, or it is not yours to write in. Nothing was kept.'),
            };

            return ($this->add)($into, [$fields], $by)[0];
        });
    }
}
