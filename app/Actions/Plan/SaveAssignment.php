<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Collect\ExpectScripts;
use App\Actions\Collect\SetDueTimes;
use App\Actions\Collect\SetGroups;
use App\Actions\Screen\RerunScreening;
use App\Actions\Screen\WorkOutBaseline;
use App\Exceptions\Refused;
use App\Jobs\RecountReports;
use App\Logbook\Logbook;
use App\Models\Assignment;
use App\Models\Module;
use Illuminate\Support\Facades\DB;

/**
 * Makes an assignment or changes one, without breaking what students were promised.
 */
final class SaveAssignment
{
    public function __construct(
        private readonly Logbook $logbook,
        private readonly SetDueTimes $setDueTimes,
        private readonly ExpectScripts $expectScripts,
        private readonly RerunScreening $rerun,
    ) {
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  int|null  $seen  the lock version the form was opened with; null for a new assignment
     *
     * @throws Refused
     */
    public function __invoke(Module $module, ?Assignment $assignment, array $fields, ?int $seen): Assignment
    {
        return DB::transaction(function () use ($module, $assignment, $fields, $seen): Assignment {
            if ($assignment === null) {
                $made = Assignment::query()->create(['module_id' => $module->id, 'writing_detector_since' => ($fields['writing_detector'] ?? false) === true ? now() : null, ...$fields])->refresh();
                $this->logbook->write('made an assignment', $made->title, [], $module, $made);

                return $made;
            }
            $stored = Assignment::query()->lockForUpdate()->findOrFail($assignment->id);
            if ($stored->lock_version !== $seen) {
                throw new Refused('Someone else saved this assignment while you were changing it. Your words are still in the form; compare them with what is stored now, and save again.', 'lock_version');
            }
            $stored->fill($fields);
            $this->refuseBrokenPromises($stored);
            $changed = array_keys($stored->getDirty());
            if ($changed !== []) {
                $stored->lock_version++;
                if (in_array('writing_detector', $changed, true)) {
                    $stored->writing_detector_since = $stored->writing_detector ? now() : null;
                }
                $stored->save();
                if (in_array('handin_by', $changed, true)) {
                    SetGroups::lead($stored);
                }
                $details = ['changed' => $changed];
                if (array_intersect($changed, ['due_at', 'opens_at', 'closes_at', 'handin_by']) !== [] && $stored->isPublished()) {
                    // Who joined after it had closed has a place when it opens once more.
                    in_array('closes_at', $changed, true) && ($this->expectScripts)($stored);
                    $details['no longer late'] = ($this->setDueTimes)($stored);
                }
                $this->logbook->write('changed an assignment', $stored->title, $details, $module, $stored);
                $this->screenAgain($stored, $changed);
            }

            return $stored;
        });
    }

    /**
     * Reports follow the settings: compared again when what is compared changes, worked out anew when only what counts does.
     *
     * @param  list<string>  $changed
     */
    private function screenAgain(Assignment $stored, array $changed): void
    {
        if (array_intersect($changed, ['overlap_min_words', 'overlap_module', 'overlap_archive', 'overlap_web', 'joins_archive', 'brief']) !== []) {
            $this->rerun->whenHandedIn($stored);
        } elseif (array_intersect($changed, ['overlap_quotations', 'overlap_bibliography']) !== []) {
            RecountReports::dispatch($stored->id)->afterCommit();
        }
        if ($stored->writing_baseline_id !== null && array_intersect($changed, ['writing_baseline_id', 'writing_alarm', 'writing_least_words', 'writing_detector']) !== []) {
            WorkOutBaseline::again($stored->id);
        }
    }

    /**
     * @return list<string>|null
     */
    private function kindsBefore(Assignment $stored): ?array
    {
        $kinds = $stored->getOriginal('handin_kinds');

        return is_array($kinds) ? array_values($kinds) : null;
    }

    private function refuseBrokenPromises(Assignment $stored): void
    {
        if (! $stored->isPublished()) {
            return;
        }
        if ($stored->isDirty('rubric_version_id')) {
            throw new Refused('Students can already see this rubric, so another cannot take its place.', 'rubric');
        }
        $before = $stored->getOriginal('due_at');
        if ($stored->due_at === null || ($before !== null && $stored->due_at->lt($before))) {
            throw new Refused('Students were promised the due time; it can be moved later, not earlier.', 'due_at');
        }
        foreach (['late_rule' => 'late_take', 'length_rule' => 'word_limit', 'cap' => 'cap'] as $column => $field) {
            if ($stored->isDirty($column) && $stored->{$column} !== null) {
                throw new Refused('Students were told what late or long work costs and what a resit can give. Once it is open to them that can be dropped, not made stricter or changed.', $field);
            }
        }
        if ($stored->scripts()->whereNotNull('current_handin_id')->exists()) {
            if ($stored->isDirty('handin_by')) {
                throw new Refused('Work has come in, so who hands in and who gets a mark for it can no longer change.', 'handin_by');
            }
            $before = (new Assignment)->forceFill(['handin_kinds' => $this->kindsBefore($stored)]);
            $lost = array_udiff($before->fileKinds(), $stored->fileKinds(), fn ($a, $b) => $a->value <=> $b->value);
            if ($lost !== [] || ($before->takesTyped() && ! $stored->takesTyped()) || $stored->max_megabytes < (int) $stored->getOriginal('max_megabytes') || $stored->max_files < (int) $stored->getOriginal('max_files')) {
                throw new Refused('Work has come in under these kinds and sizes of files; more can be allowed, not fewer or smaller.', 'kinds');
            }
        }
        $handedOut = $stored->scripts()->whereHas('marks')->exists();
        if ($handedOut && $stored->isDirty(['second_marking', 'formative', 'tolerance', 'settle_rule', 'pass_mark', 'bands'])) {
            throw new Refused('Scripts are with markers; whether they get marks, how marks settle and which bands they fall in can no longer change.', 'settle_rule');
        }
    }
}
