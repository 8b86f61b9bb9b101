<?php

declare(strict_types=1);

namespace App\Queries\Observe;

use App\Models\Mark;
use App\Models\ObservationFile;
use App\Models\Script;
use App\Observing\Recorded;
use App\Wording\LocalTime;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use YoungHarbor\Core\Observing\Course;
use YoungHarbor\Core\Rubric\ChecklistCriterion;

/**
 * What observers recorded of someone, to be read: steps with their times, how long it took, how it went, notes,
 * evidence.
 */
final readonly class SeenRecord
{
    /**
     * @param  list<array{step: string, seen: string, at: string}>  $steps
     * @param  list<array{at: string, text: string}>  $notes
     * @param  Collection<int, ObservationFile>  $evidence
     */
    private function __construct(
        public Mark $mark, public ?string $began, public int $seconds, public Course $course, public array $steps,
        public array $notes, public Collection $evidence,
    ) {
    }

    /**
     * @param  bool  $student  whether only what is meant for the student
     * @return list<self> one for each mark that is done, in the order of the seats
     */
    public static function ofScript(Script $script, bool $student): array
    {
        $lead = $script->leadScript();

        // A student reads what whoever settled the mark chose to send: of both observers, or of one.
        return array_values($lead->marks->filter(fn (Mark $mark) => $mark->isDone()
            && (! $student || $lead->settlement === null || $lead->settlement->feedback->has($mark->seat)))
            ->sortBy(
                fn (Mark $mark) => $mark->seat->value,
            )->map(fn (Mark $mark) => self::ofMark($mark, $student))->all());
    }

    /**
     * @param  bool  $recordings  with what others kept as evidence, for whoever marks from it
     */
    public static function ofMark(Mark $mark, bool $student, bool $recordings = false): self
    {
        $seen = Recorded::of($mark);
        $shows = fn (array $one): bool => ! $student || str_starts_with($one['about'], 'student');
        $steps = [];
        foreach ($mark->rubric()->criteria as $criterion) {
            foreach ($criterion instanceof ChecklistCriterion ? $criterion->items : [] as $item) {
                $step = $seen->steps["{$criterion->id()}/{$item->id}"] ?? null;
                $step === null || $steps[] = ['step' => $item->title, 'seen' => $step['seen']->value, 'at' => self::time($step['at'])];
            }
        }

        return new self(
            $mark, $seen->began === null ? null : LocalTime::shown(Carbon::instance($seen->began)),
            $seen->since === null ? $seen->seconds : 0, $seen->course, $steps,
            array_map(fn (array $note) => [
                'at' => self::time($note['at']), 'text' => $note['text'],
            ], array_values(array_filter($seen->notes, $shows))),
            ObservationFile::query()->where('mark_id', $mark->id)
                ->whereIn('public_id', array_column(array_filter($seen->evidence, $shows), 'file'))->orderBy('id')->get()
                ->concat($recordings ? self::recordings($mark) : []),
        );
    }

    /**
     * @return Collection<int, ObservationFile> what other observers of the same script kept: files alone, none of their words
     */
    private static function recordings(Mark $mark): Collection
    {
        return ObservationFile::query()->where('mark_id', '<>', $mark->id)
            ->whereHas('mark', fn ($other) => $other->where('script_id', $mark->script_id)->where('counts', true))->orderBy('id')->get();
    }

    private static function time(DateTimeImmutable $at): string
    {
        return Carbon::instance($at)->setTimezone(LocalTime::zone())->format('H:i:s');
    }
}
