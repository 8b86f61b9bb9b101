<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Models\Round;
use App\Models\RoundMember;

/**
 * Lets someone review whose trial scripts were not near enough.
 */
final class LetIntoRound
{
    public function __invoke(Round $round, string $code): void
    {
        RoundMember::query()->where('round_id', $round->id)->where('code', $code)->whereNull('let_in_at')
            ->update(['let_in_at' => now()]);
    }
}
