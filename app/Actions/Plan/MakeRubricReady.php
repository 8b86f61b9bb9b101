<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Enums\RubricState;
use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Rubric;
use App\Models\RubricVersion;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Rubric as CoreRubric;

/**
 * Freezes a working copy as a new version that assignments can use.
 */
final class MakeRubricReady
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @throws Refused
     */
    public function __invoke(Rubric $rubric, int $seen, User $user): RubricVersion
    {
        return DB::transaction(function () use ($rubric, $seen, $user): RubricVersion {
            $stored = Rubric::query()->lockForUpdate()->findOrFail($rubric->id);
            if ($stored->state !== RubricState::WorkingCopy) {
                throw new Refused('This rubric is '.__("plan.rubric_state.{$stored->state->value}").' already.');
            }
            if ($stored->lock_version !== $seen) {
                throw new Refused(
                    "{$stored->savedBy->name} changed this rubric meanwhile. Look at what it says now, then make it ready."
                );
            }
            CoreRubric::fromArray($stored->document);
            $version = RubricVersion::query()->create([
                'rubric_id' => $stored->id,
                'number' => (int) $stored->versions()->max('number') + 1,
                'document' => $stored->document,
                'hash' => hash('sha256', json_encode($stored->document, JSON_THROW_ON_ERROR)),
                'made_by' => $user->id,
                'created_at' => now(),
            ]);
            $stored->forceFill(['state' => RubricState::Ready, 'lock_version' => $stored->lock_version + 1])->save();
            $this->logbook->write(
                Entry::of(LogEvent::RubricReady)->on($stored)->with(version: $version->number, hash: $version->hash)
            );

            return $version;
        });
    }
}
