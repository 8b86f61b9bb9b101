<?php

declare(strict_types=1);

namespace App\Actions\Peers;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Round;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * Shows a round to students. From then on it runs by its times.
 */
final class OpenRound
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Round $round, User $by): void
    {
        DB::transaction(function () use ($round, $by): void {
            $stored = Round::query()->lockForUpdate()->findOrFail($round->id);
            if ($stored->isOpened()) {
                return;
            }
            $stored->assignment->isPublished() || throw new Refused((string) __('peers.assignment_closed'));
            $stored->due_at->isFuture() || throw new Refused((string) __('peers.due_is_over'));
            $stored->settings->trialPass === null || $stored->trials()->exists()
                || throw new Refused((string) __('peers.pass_without_trials'));
            $stored->update(['opened_at' => now()]);
            $this->logbook->write(
                Entry::of(LogEvent::RoundOpened)->on($stored->assignment)->saying(title: $stored->title)->by($by),
            );
        });
    }
}
