<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Logbook\Logbook;
use App\Models\Script;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Tells the coordinator whose script it is before names are revealed. Each look is logged with its reason.
 */
final class LookAtName
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Script $script, string $reason): User
    {
        DB::transaction(fn () => $this->logbook->write('looked at the name behind a script', $script->code, ['reason' => $reason], null, $script->assignment));

        return $script->student;
    }
}
