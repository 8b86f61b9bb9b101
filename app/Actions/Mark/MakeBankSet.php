<?php

declare(strict_types=1);

namespace App\Actions\Mark;

use App\Models\BankSet;
use App\Models\Module;
use App\Models\User;

/**
 * Makes a set of the bank: one’s own, or a module’s, which its team shares.
 */
final class MakeBankSet
{
    public function __invoke(?Module $module, string $title, User $by): BankSet
    {
        return BankSet::query()->firstOrCreate(
            ['module_id' => $module?->id, 'title' => $title, ...($module === null ? ['owner_id' => $by->id] : [])],
            ['owner_id' => $by->id],
        );
    }
}
