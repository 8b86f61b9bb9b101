<?php

declare(strict_types=1);

namespace App\Actions\Release;

use App\Enums\ReleaseState;
use App\Jobs\RunReleaseJob;
use App\Models\Release;

/**
 * Asks for every release whose time has come, and for those whose worker was lost on the way. A time that passed while
 * the machine was down is taken up when it is back.
 */
final class SendDueReleases
{
    /** @return int how many were asked for */
    public function __invoke(): int
    {
        $due = Release::query()
            ->where(fn ($query) => $query->where('state', ReleaseState::Set)->where('due_at', '<=', now()))
            ->orWhere(fn ($query) => $query->where('state', ReleaseState::Running)
                ->where(fn ($lost) => $lost
                    ->where('beat_at', '<', now()->subSeconds(RunRelease::PATIENCE))
                    ->orWhere(fn ($never) => $never->whereNull('beat_at')
                        ->where('updated_at', '<', now()->subSeconds(RunRelease::PATIENCE)))))
            ->orderBy('id')->pluck('id');
        foreach ($due as $id) {
            RunReleaseJob::dispatch((int) $id);
        }

        return $due->count();
    }
}
