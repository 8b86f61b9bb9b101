<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Logbook\Entry;
use App\Logbook\Logbook;
use App\Logbook\LogEvent;
use App\Models\Assignment;
use App\Models\Module;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/**
 * Copies an assignment into a module: everything but dates and people.
 */
final class CopyAssignment
{
    private const LEFT = [
        'public_id', 'opens_at', 'due_at', 'closes_at', 'promised_on', 'published_at', 'names_revealed_at',
        'shared_out_at', 'results_out_at', 'lock_version', 'created_at', 'updated_at',
    ];

    public function __construct(private readonly Logbook $logbook)
    {
    }

    public function __invoke(Assignment $assignment, Module $module): Assignment
    {
        return DB::transaction(function () use ($assignment, $module): Assignment {
            $copy = $assignment->replicate(self::LEFT)->forceFill(
                [
                    'module_id' => $module->id, 'copied_from_id' => $assignment->id,
                    'writing_baseline_id' => $module->id === $assignment->module_id
                        ? $assignment->writing_baseline_id
                        : null,
                    'writing_detector_since' => $assignment->screening->detector ? now() : null,
                ]
            );
            if ($module->is($assignment->module)) {
                $copy->title = mb_substr($assignment->title, 0, 190).' (copy)';
            }
            $copy->save();
            foreach ($assignment->templates as $template) {
                $path = 'templates/'.Str::uuid()->toString();
                Storage::copy($template->path, $path);
                $copy->templates()->create(
                    [
                        'name' => $template->name, 'path' => $path, 'bytes' => $template->bytes,
                        'sha256' => $template->sha256, 'text' => $template->text,
                    ]
                );
            }
            foreach ($assignment->topics as $topic) {
                $copy->topics()->create($topic->only(['position', 'title', 'prompt']));
            }
            $this->logbook->write(
                Entry::of(LogEvent::AssignmentMade)->on($copy->setRelation('module', $module))
                    ->saying(copied_from: "{$assignment->title}, {$assignment->module->code}")
            );

            return $copy->refresh();
        });
    }
}
