<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Enums\RubricScope;
use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Module;
use App\Models\Rubric;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use YoungHarbor\Core\Rubric\Draft;

/**
 * Puts a new working copy into the library: begun, copied or read from a file.
 */
final class AddRubric
{
    public function __construct(private readonly Logbook $logbook)
    {
    }

    /**
     * @param  Module|null  $module  null for a rubric of one's own, or of the institution
     * @param  string  $provenance  where it was made from, in words; empty when it was begun here
     */
    public function __invoke(
        Draft $draft, User $user, ?Module $module, string $provenance = '', bool $institution = false,
    ): Rubric {
        return DB::transaction(function () use ($draft, $user, $module, $provenance, $institution): Rubric {
            $title = mb_substr(trim($draft->get('title')), 0, 200);
            $rubric = Rubric::query()->create([
                'scope' => $module !== null
                    ? RubricScope::Module
                    : ($institution ? RubricScope::Institution : RubricScope::Person),
                'module_id' => $module?->id, 'owner_id' => $user->id, 'saved_by' => $user->id,
                'title' => $title === '' ? 'Rubric without a title' : $title, 'document' => $draft->document,
                'provenance' => mb_substr($provenance, 0, 300),
            ])->refresh();
            $this->logbook->write(
                Entry::of(LogEvent::RubricAdded)->on($rubric)->in($module)->saying(made_from: $provenance)
            );

            return $rubric;
        });
    }
}
