<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Enums\RubricState;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Rubric;
use Illuminate\Support\Facades\DB;

/**
 * Retires a rubric, or opens it again as a working copy. Versions made from it stay as they are.
 */
final class ChangeRubricState
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Rubric $rubric, RubricState $state): void
    {
        DB::transaction(function () use ($rubric, $state): void {
            $stored = Rubric::query()->lockForUpdate()->findOrFail($rubric->id);
            if ($stored->state === $state || $state === RubricState::Ready) {
                return;
            }
            $stored->forceFill(['state' => $state, 'lock_version' => $stored->lock_version + 1])->save();
            $this->logbook->write(
                Entry::of(
                    $state === RubricState::Retired ? LogEvent::RubricRetired : LogEvent::RubricOpened
                )->on($stored)
            );
        });
    }
}
