<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Exceptions\Refused;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\GradeScale;
use App\Models\Module;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Input\InvalidInput;
use YoungHarbor\Core\Marks\BandScale;

/**
 * Makes grade bands for a module, or changes them. Assignments that were given them earlier keep what they have.
 */
final class SaveGradeScale
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  int|null  $seen  the lock version the form was opened with; null for new bands
     *
     * @throws InvalidInput|Refused
     */
    public function __invoke(Module $module, ?GradeScale $scale, array $document, ?int $seen, User $user): GradeScale
    {
        $name = BandScale::fromArray($document)->name;

        return DB::transaction(function () use ($module, $scale, $document, $seen, $user, $name): GradeScale {
            $stored = $scale === null
                ? new GradeScale(['module_id' => $module->id, 'lock_version' => 0])
                : GradeScale::query()->lockForUpdate()->findOrFail($scale->id);
            if ($scale !== null && $stored->lock_version !== $seen) {
                throw new Refused(
                    'Someone else changed these bands meanwhile. Yours are still in the form; compare them with what is stored, and save again.'
                );
            }
            if (
                GradeScale::query()->where('module_id', $module->id)->where('name', $name)
                    ->when($scale !== null, fn ($query) => $query->whereKeyNot($scale?->id))->exists()
            ) {
                throw new Refused("This module has bands called “{$name}” already. Give these another name.");
            }
            $before = $stored->exists ? $stored->document : null;
            $stored->fill(
                [
                    'name' => $name, 'document' => $document, 'saved_by' => $user->id,
                    'lock_version' => $stored->lock_version + 1,
                ]
            )->save();
            $this->logbook->write(
                Entry::of($before === null ? LogEvent::BandsMade : LogEvent::BandsChanged)->in($module)
                    ->saying(title: $name, document: json_encode($document, JSON_THROW_ON_ERROR))
            );

            return $stored;
        });
    }
}
