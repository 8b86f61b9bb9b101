<?php

declare(strict_types=1);

namespace App\Actions\Account;

use App\Account\SignedInPlaces;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Signs someone out elsewhere: at one place, or at all but the one that asks.
 */
final class EndSessions
{
    public function __construct(private readonly Logbook $logbook, private readonly SignedInPlaces $places)
    {
    }

    /**
     * @param  string|null  $name  of one place; null for all of them
     * @param  string  $but  the session that stays
     * @return int how many ended
     */
    public function __invoke(User $person, User $by, ?string $name, string $but = ''): int
    {
        return DB::transaction(function () use ($person, $by, $name, $but): int {
            $ended = $name === null
                ? $this->places->endAll($person, $but)
                : (int) $this->places->end($person, $name);
            $ended === 0 || $this->logbook->write(
                Entry::of(LogEvent::SessionsEnded)->on($person)->with(what: $ended)->by($by)
            );

            return $ended;
        });
    }
}
