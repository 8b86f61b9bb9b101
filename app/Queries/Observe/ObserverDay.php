<?php

declare(strict_types=1);

namespace App\Queries\Observe;

use App\Actions\Observe\KeepEvidence;
use App\Models\Assignment;
use App\Models\Mark;
use App\Models\ObservationEvent;
use App\Models\ObservationFile;
use App\Models\Slot;
use App\Models\User;
use App\Wording\LocalTime;
use YoungHarbor\Core\Rubric\ChecklistCriterion;
use YoungHarbor\Core\Rubric\ChecklistItem;
use YoungHarbor\Core\Rubric\Criterion;
use YoungHarbor\Core\Rubric\LevelCriterion;
use YoungHarbor\Core\Rubric\RailStop;
use YoungHarbor\Core\Rubric\ScaleCriterion;

/**
 * What the observer's page holds: the people one observes in order of time, each with what one recorded, and the rubric.
 * Of what others recorded it holds nothing.
 */
final class ObserverDay
{
    /**
     * @return array<string, mixed>
     */
    public static function of(Assignment $assignment, User $person): array
    {
        $slots = $assignment->slots()->whereNotNull('published_at')->whereHas('observers', fn ($one) => $one->whereKey($person->id))
            ->with('script.student', 'script.result')->get();
        $marks = Mark::counting()->where('assignment_id', $assignment->id)->where('marker_id', $person->id)
            ->whereIn('script_id', $slots->pluck('script_id'))->get()->keyBy('script_id');
        $events = ObservationEvent::query()->whereIn('mark_id', $marks->modelKeys())->orderBy('id')->get()->groupBy('mark_id');
        $people = [];
        foreach ($slots as $slot) {
            $mark = $marks->get($slot->script_id);
            $mark === null || $people[] = self::one(
                $slot, $mark, array_values(($events->get($mark->id) ?? collect())->all()),
            );
        }

        return [
            'person' => $person->public_id, 'assignment' => $assignment->public_id, 'people' => $people,
            'rules' => $assignment->observing->rules, 'most' => KeepEvidence::LARGEST,
            'files' => ObservationFile::query()->whereIn('mark_id', $marks->modelKeys())->get()->map(fn (ObservationFile $file) => [
                'id' => $file->public_id, 'name' => $file->name, 'kind' => $file->kind,
                'url' => $file->kind === 'photo' ? route('observation-files.show', $file) : null,
            ])->all(),
            'token' => route('observe.token'), 'worker' => route('observe.worker'),
            'rubric' => $assignment->rubricVersion === null ? [] : array_map(
                self::criterion(...), $assignment->rubricVersion->toCore()->criteria,
            ),
        ];
    }

    /**
     * @param  list<ObservationEvent>  $events
     * @return array<string, mixed>
     */
    private static function one(Slot $slot, Mark $mark, array $events): array
    {
        return [
            'mark' => $mark->public_id, 'who' => $slot->script->names(), 'room' => $slot->room, 'minutes' => $slot->minutes(),
            'when' => LocalTime::shown($slot->starts_at), 'done' => $mark->isClosed(),
            'events' => array_map(fn (ObservationEvent $one) => [
                'id' => $one->event, 'kind' => $one->kind->value, 'at' => (int) round(
                    1000 * (float) $one->toCore()->at->format('U.u'),
                ),
                'number' => $one->number, 'about' => $one->about, 'value' => $one->value,
            ], $events),
            'to' => [
                'events' => route('observe.events', $mark), 'files' => route('observe.files', $mark), 'done' => route('observe.done', $mark),
                'desk' => route('mark.desk', $mark),
            ],
        ];
    }

    /**
     * @return array<string, mixed>
     */
    private static function criterion(Criterion $criterion): array
    {
        return [
            'id' => $criterion->id(), 'title' => $criterion->title(), 'purpose' => $criterion->purpose(),
            'steps' => $criterion instanceof ChecklistCriterion ? array_map(fn (ChecklistItem $item) => [
                'id' => $item->id, 'title' => $item->title, 'reminder' => $item->reminder,
            ], $criterion->items) : [],
            'scale' => $criterion instanceof ScaleCriterion ? [
                'min' => (string) $criterion->min, 'max' => (string) $criterion->highest, 'step' => (string) $criterion->step,
            ] : null,
            'stops' => $criterion instanceof LevelCriterion ? array_map(fn (RailStop $stop) => [
                'key' => $stop->key, 'title' => $stop->above === null ? $stop->level->title : '',
                'words' => $stop->above === null ? $stop->level->descriptor : '',
            ], RailStop::of($criterion)) : [],
        ];
    }
}
