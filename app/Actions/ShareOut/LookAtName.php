<?php

declare(strict_types=1);

namespace App\Actions\ShareOut;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Script;
use Illuminate\Support\Facades\DB;

/**
 * Tells the coordinator whose script it is before names are revealed. Each look is logged with its reason.
 */
final class LookAtName
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @return string the student's name, or the names of a group
     */
    public function __invoke(Script $script, string $reason): string
    {
        DB::transaction(
            fn () => $this->logbook->write(Entry::of(LogEvent::NameLookedAt)->on($script)->because($reason))
        );

        return $script->names();
    }
}
